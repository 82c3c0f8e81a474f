import type { CivilDate } from '../../calendar/civilDate.js';
import type { Extension, ItemHistory, ServicePoint } from '../baseline.js';
import type { DueState } from '../dueState.js';
import type { ScheduleItem } from '../item.js';
import type {
  EveryHours,
  EveryNth,
  FirstCalendar,
  FirstHours,
  EveryCalendar,
  MeterName,
  SeasonEdge,
  Trigger,
} from '../trigger.js';
import type { RandomMachine } from './randomMachine.js';
import { addDays, after, between, daysBetween } from './slowCalendar.js';
import { isInUse, SlowDays } from './slowDays.js';
import { cents, inOrder, plain } from './slowLimit.js';
import type { SlowLimit } from './slowLimit.js';
import { holds, judgedPoints } from './slowJudgement.js';
import { lifeOnDay, pointsOf } from './slowMeter.js';
import type { SlowMeter } from './slowMeter.js';
import { SlowMeters } from './slowMeters.js';
import { isOn, renews } from './slowRenewal.js';

/**
 * The schedule once more, without a table, a search or a formula for a date: it walks from day to day and from multiple to
 * multiple, and counts. Slow and plain, to be held against the real one.
 */

export interface SlowAnswer {
  readonly state: DueState;
  readonly expectedOn: CivilDate | null;
  /** every due point, in no order */
  readonly points: readonly string[];
}

/** The point that a limit names, as text. */
export function pointText(limit: { at: number; on: CivilDate | null; meter: MeterName | null }): string {
  return limit.on ?? `${limit.at} h ${limit.meter ?? ''}`;
}

export class SlowMachine {
  readonly items: readonly ScheduleItem[];
  private readonly all: readonly ScheduleItem[];
  private readonly days: SlowDays;
  private readonly meters: SlowMeters;
  private readonly ranLately: number;
  private readonly horizon: CivilDate;

  constructor(private readonly machine: RandomMachine) {
    const { facts, lines, overrides, site, today } = machine;
    const ofLine = (id: string) => overrides.find(({ itemId }) => itemId === id);
    this.items = lines
      .filter(({ id }) => !ofLine(id)?.isOmitted && facts.status.kind !== 'retired')
      .map((line) => {
        const own = ofLine(line.id);
        return {
          ...line,
          triggers: own?.triggers ?? line.triggers,
          dutyFactor: own?.dutyFactor ?? line.dutyFactor,
          window: own?.window ?? line.window,
        };
      });
    this.all = [...this.items, ...lines.filter(({ id }) => ofLine(id)?.isOmitted)];
    const read = pointsOf(facts.readings, today);
    const points = [{ on: facts.entry.on, life: facts.entry.life }, ...read];
    const life = points.at(-1)?.life;
    const lastRun = points.find((point) => point.life === life)?.on ?? facts.entry.on;
    this.days = new SlowDays(facts, site, today, lastRun);
    this.meters = new SlowMeters(facts, points, this.days);
    this.ranLately = (points.at(-1)?.life ?? 0) - lifeOnDay(points, addDays(today, -365));
    this.horizon = after(today, 120, 'month');
  }

  answer(item: ScheduleItem): SlowAnswer {
    const { limits, isUnresolved, isKnown } = this.standing(item, 0, [item.id]);
    const text = (limit: SlowLimit) =>
      pointText({ at: limit.at, on: limit.on, meter: limit.meter?.name ?? null });
    const overdue = limits.filter(({ left }) => left < 0);
    const { today } = this.machine;
    const anyDay = (limit: SlowLimit) => limit.left <= limit.window && this.days.works(today);
    const comes = (limit: SlowLimit) =>
      limit.expectedOn ?? (limit.left < 0 ? '' : anyDay(limit) ? today : '9999');
    const first = [...(overdue.length ? overdue : limits)].sort((a, b) =>
      comes(a) < comes(b) ? -1 : comes(a) > comes(b) ? 1 : this.rank(a) - this.rank(b),
    )[0];
    const rests = !this.days.works(today) && item.triggers.length > 0 && this.allStandStill(item, [item.id]);
    const state = rests
      ? 'resting'
      : !isKnown || (!first && isUnresolved)
        ? 'noRecord'
        : first
          ? this.stateOf(first)
          : 'fine';
    return {
      state,
      expectedOn: first?.expectedOn ?? null,
      points: limits.map(text),
    };
  }

  /** The limits of an item, so many of its regular intervals further on. `asked` are those that wait for the answer. */
  private standing(item: ScheduleItem, ahead: number, asked: readonly string[]) {
    const { facts } = this.machine;
    const past = this.past(item);
    const done = inOrder(past.completions).at(-1) ?? inOrder(past.declared).at(-1);
    const isNeverDone = !done;
    const from = done ?? (facts.entry.cameNew ? facts.entry : null);
    const judged = inOrder((past.extensions ?? []).map((each) => ({ ...each.made, each }))).at(-1);
    if (judged && holds(judged.each.kind, plain(judged), done && plain(done))) {
      return { limits: this.judged(judged.each, item, ahead), isUnresolved: false, isKnown: true };
    }
    if (!from && item.triggers.some(({ kind }) => kind !== 'storage')) {
      return { limits: [], isUnresolved: false, isKnown: false };
    }
    let isUnresolved = false;
    const limits = item.triggers
      .filter((trigger) => this.counts(trigger, item, isNeverDone))
      .flatMap((trigger) => {
        const found = this.limits(trigger, item, from, isNeverDone, ahead, asked);
        if (found === null) isUnresolved = true;
        return found ?? [];
      });
    return { limits, isUnresolved, isKnown: true };
  }

  /** Everything up to today that counts as doing `item`. */
  private past(item: ScheduleItem): ItemHistory {
    const { facts, today } = this.machine;
    const of = (id: string) => facts.history.get(id) ?? { completions: [], declared: [], extensions: [] };
    const doing = this.all.filter((other) => renews(other, item, this.all));
    const kept = this.all.flatMap((other) =>
      item.action === 'inspect' && other.id !== item.id && isOn(other, item)
        ? (of(other.id).extensions ?? []).filter(({ kind }) => kind === 'kept').map(({ made }) => made)
        : [],
    );
    const isPast = ({ on }: ServicePoint) => on <= today;
    return {
      completions: [...doing.flatMap(({ id }) => of(id).completions), ...kept].filter(isPast),
      declared: doing.flatMap(({ id }) => of(id).declared).filter(isPast),
      extensions: (of(item.id).extensions ?? []).filter(({ made }) => isPast(made)),
    };
  }

  private counts(trigger: Trigger, item: ScheduleItem, isNeverDone: boolean): boolean {
    if (trigger.kind === 'firstHours' || trigger.kind === 'firstCalendar') return isNeverDone;
    if (!isNeverDone) return true;
    if (trigger.kind === 'everyCalendar') return !item.triggers.some(({ kind }) => kind === 'firstCalendar');
    if (trigger.kind !== 'everyHours') return true;
    return !item.triggers.some(
      (other) => other.kind === 'firstHours' && this.meters.areSame(other.meter, trigger.meter),
    );
  }

  private limits(
    trigger: Trigger,
    item: ScheduleItem,
    from: ServicePoint | null,
    isNeverDone: boolean,
    ahead: number,
    asked: readonly string[],
  ): SlowLimit[] | null {
    if (trigger.kind === 'storage') return this.storage(trigger.days, item, from, ahead);
    if (!from) return [];
    switch (trigger.kind) {
      case 'everyHours':
        return this.everyHours(trigger, item, from, isNeverDone, ahead);
      case 'firstHours':
        return this.firstHours(trigger, item, ahead);
      case 'everyCalendar':
        return this.calendarTrigger(trigger, item, from.on, ahead);
      case 'firstCalendar':
        return this.calendarTrigger(trigger, item, this.machine.facts.entry.on, ahead);
      case 'seasonEdge':
        return this.seasonEdge(trigger, item, from, ahead);
      case 'everyNth':
        return this.everyNth(trigger, from, ahead, asked);
    }
  }

  private everyHours(
    trigger: EveryHours,
    item: ScheduleItem,
    from: ServicePoint,
    isNeverDone: boolean,
    ahead: number,
  ): SlowLimit[] | null {
    const meter = this.meters.named(trigger.meter);
    if (!meter) return null;
    const step = trigger.hours * item.dutyFactor;
    const window = item.window.hours ?? between(1, step / 10, 10);
    const start = meter.lifeAt(from);
    let at = start + step;
    if ((trigger.grid ?? this.machine.site.grid) === 'onMeter') {
      at = step;
      while (at <= start + (isNeverDone ? 0 : window) + 1e-6 * step) at += step;
    }
    for (let more = 0; more < ahead; more += 1) at += step;
    return [this.hours(meter, at, window)];
  }

  private firstHours(trigger: FirstHours, item: ScheduleItem, ahead: number): SlowLimit[] | null {
    const meter = this.meters.named(trigger.meter);
    if (!meter) return null;
    const step = this.stepOn(item, trigger.meter);
    if (ahead > 0 && step === null) return [];
    const at = trigger.hours + ahead * (step ?? 0);
    return [this.hours(meter, at, item.window.hours ?? between(1, trigger.hours / 10, 10))];
  }

  private stepOn(item: ScheduleItem, name: MeterName): number | null {
    for (const trigger of item.triggers) {
      if (trigger.kind === 'everyHours' && this.meters.areSame(trigger.meter, name)) {
        return trigger.hours * item.dutyFactor;
      }
    }
    return null;
  }

  private calendarTrigger(
    trigger: EveryCalendar | FirstCalendar,
    item: ScheduleItem,
    from: CivilDate,
    ahead: number,
  ): SlowLimit[] {
    const regular = item.triggers.find((other) => other.kind === 'everyCalendar');
    if (ahead > 0 && !regular) return [];
    const again = trigger.kind === 'everyCalendar' ? trigger : regular;
    const more = (start: CivilDate) =>
      again && ahead > 0 ? after(start, again.count * ahead, again.unit) : start;
    const ends = after(from, trigger.count, trigger.unit);
    const window = item.window.days ?? between(1, daysBetween(from, ends) / 10, 14);
    if (!isInUse(trigger, item)) return [this.calendar(more(ends), window)];
    const began = this.days.beganOn();
    if (began === null) return [];
    const late = (wanted: CivilDate): CivilDate => (began !== '' && began > wanted ? began : wanted);
    const due = this.days.workingDayFrom(late(ends));
    const on = due && ahead > 0 ? this.days.workingDayFrom(late(more(due))) : due;
    return on ? [this.calendar(on, window)] : [];
  }

  private seasonEdge(
    trigger: SeasonEdge,
    item: ScheduleItem,
    from: ServicePoint,
    ahead: number,
  ): SlowLimit[] | null {
    let last = from.on;
    for (let times = 0; times <= ahead; times += 1) {
      let on = addDays(last, 46);
      while (!this.days.isEdge(addDays(on, -trigger.offsetDays), trigger.season, trigger.edge)) {
        on = addDays(on, 1);
        if (daysBetween(last, on) > 900) return null;
      }
      last = on;
    }
    return last > this.horizon ? null : [this.calendar(last, item.window.days ?? 14)];
  }

  private storage(days: number, item: ScheduleItem, from: ServicePoint | null, ahead: number): SlowLimit[] {
    let span = this.days.storageEnds(days, from?.on ?? null);
    for (let more = 0; more < ahead && span; more += 1) span = this.days.storageEnds(days, span.on);
    if (!span || span.on > this.horizon) return [];
    return [this.calendar(span.on, item.window.days ?? between(1, days / 10, 14))];
  }

  private everyNth(
    trigger: EveryNth,
    from: ServicePoint,
    ahead: number,
    asked: readonly string[],
  ): SlowLimit[] | null {
    const other = this.items.find(({ id }) => id === trigger.itemId);
    if (!other || asked.includes(other.id) || asked.length >= 3) return null;
    const often = trigger.everyTimeAboveHours;
    const n = often !== null && this.ranLately > often ? 1 : trigger.n;
    const times = [...new Set(this.past(other).completions.map(plain))]
      .sort()
      .filter((time) => time > plain(from));
    const nth = times[n - 1];
    if (nth && ahead === 0) return [this.calendar(nth.slice(0, 10) as CivilDate, 0)];
    // How often the other is done until this is due, its next time included.
    const until = nth ? ahead * n : n - times.length + ahead * n;
    const { limits, isUnresolved, isKnown } = this.standing(other, until - 1, [...asked, other.id]);
    return !isKnown || (isUnresolved && limits.length === 0) ? null : limits;
  }

  private judged(judgement: Extension, item: ScheduleItem, ahead: number): SlowLimit[] {
    const meter = this.meters.named(judgement.meter ?? 'engine') ?? this.meters.named('engine');
    if (!meter) return [];
    const step = this.stepOn(item, meter.name);
    const points = judgedPoints(judgement, item, meter, step, ahead, this.machine.today);
    return points.map(({ at, on, window }) =>
      on === null ? this.hours(meter, at, window) : this.calendar(on, window),
    );
  }

  private allStandStill(item: ScheduleItem, asked: readonly string[]): boolean {
    return (
      item.triggers.length > 0 &&
      item.triggers.every((trigger) => {
        if (trigger.kind === 'everyHours' || trigger.kind === 'firstHours') return true;
        if (trigger.kind !== 'everyNth') return isInUse(trigger, item);
        const other = this.items.find(({ id }) => id === trigger.itemId);
        return other && !asked.includes(other.id) && asked.length < 3
          ? this.allStandStill(other, [...asked, other.id])
          : false;
      })
    );
  }

  private hours(meter: SlowMeter, at: number, window: number): SlowLimit {
    const due = cents(at);
    const left = cents(due - meter.life);
    return { meter, at: due, on: null, left, window, expectedOn: meter.reached(due) };
  }

  private calendar(on: CivilDate, window: number): SlowLimit {
    const left = daysBetween(this.machine.today, on);
    return { meter: null, at: 0, on, left, window, expectedOn: on > this.horizon ? null : on };
  }

  private stateOf({ left, window, expectedOn }: SlowLimit): DueState {
    if (left <= window) return left < 0 ? 'overdue' : 'ripe';
    return expectedOn !== null && daysBetween(this.machine.today, expectedOn) <= 30 ? 'coming' : 'fine';
  }

  private rank(limit: SlowLimit): number {
    return ['overdue', 'ripe', 'coming', 'fine'].indexOf(this.stateOf(limit));
  }
}
