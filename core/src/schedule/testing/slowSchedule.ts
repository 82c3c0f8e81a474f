import { civilDate } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';
import { seasonInYear } from '../../season/season.js';
import type { Season, SeasonYear } from '../../season/season.js';
import type { Participation } from '../../season/usePlan.js';
import type { ItemHistory, ServicePoint } from '../baseline.js';
import type { DueState } from '../dueState.js';
import type { ScheduleItem } from '../item.js';
import type { MachineFacts } from '../machineSchedule.js';
import type { SiteSettings } from '../scheduleContext.js';
import type { EveryHours, SeasonEdge, Trigger } from '../trigger.js';
import { addDays, daysBetween } from './slowCalendar.js';
import { renews } from './slowRenewal.js';

/**
 * The schedule once more, without a table, a search or a formula for a date: it walks from day to day and from multiple to
 * multiple, and counts. Slow and plain, to be held against the real one. It knows the engine's meter only.
 */

interface SlowLimit {
  readonly at: number | null;
  readonly on: CivilDate | null;
  readonly expectedOn: CivilDate | null;
  readonly state: DueState;
}

export interface SlowAnswer {
  readonly state: DueState;
  readonly expectedOn: CivilDate | null;
  /** every due point, hours or date, in no order */
  readonly points: readonly (number | string)[];
}

const STATES = ['overdue', 'noRecord', 'ripe', 'coming', 'fine', 'resting'] as const;

const cents = (hours: number) => Math.round(hours * 100) / 100;
const plain = (point: ServicePoint) => `${point.on} ${String(Math.round(point.life * 100)).padStart(9, '0')}`;

export class SlowMachine {
  private readonly points: { on: CivilDate; life: number }[];
  private readonly life: number;
  private readonly theta: number;
  private readonly isPlanned: boolean;
  private readonly years = new Map<string, SeasonYear | null>();
  private readonly partsOf = new Map<CivilDate, readonly Participation[]>();

  constructor(
    private readonly facts: MachineFacts,
    private readonly site: SiteSettings,
    private readonly today: CivilDate,
  ) {
    this.isPlanned = facts.participation.length > 0;
    // Readings of the generated machines are taken at noon UTC, which is the same day everywhere they stand.
    const read = facts.readings
      .map(({ at, shown }) => ({ on: civilDate(new Date(at).toISOString().slice(0, 10)), life: shown }))
      .sort((a, b) => daysBetween(b.on, a.on));
    this.points = [{ on: facts.entry.on, life: facts.entry.life }, ...read];
    this.life = read.at(-1)?.life ?? facts.entry.life;
    this.theta = this.isPlanned ? this.workFactor() : 1;
  }

  answer(item: ScheduleItem): SlowAnswer {
    const history = this.past(item);
    const completions = [...history.completions].sort((a, b) => (plain(a) < plain(b) ? -1 : 1));
    const declared = [...history.declared].sort((a, b) => (plain(a) < plain(b) ? -1 : 1));
    const isNeverDone = completions.length + declared.length === 0;
    const from =
      completions.at(-1) ?? declared.at(-1) ?? (this.facts.entry.cameNew ? this.facts.entry : null);
    if (!from && item.triggers.some((trigger) => trigger.kind !== 'storage')) {
      return { state: 'noRecord', expectedOn: null, points: [] };
    }
    const limits = item.triggers
      .filter((trigger) => this.counts(trigger, item, isNeverDone))
      .flatMap((trigger) => this.limits(trigger, item, from, isNeverDone));
    const worst = STATES.find((state) => limits.some((limit) => limit.state === state)) ?? 'fine';
    const rests = worst === 'fine' && this.isLaidUp(this.today) && item.triggers.every(countsRunning);
    const overdue = limits.filter((limit) => limit.state === 'overdue');
    const dates = (overdue.length ? overdue : limits).flatMap((limit) => limit.expectedOn ?? []);
    return {
      state: rests ? 'resting' : worst,
      expectedOn: dates.sort()[0] ?? null,
      points: limits.map((limit) => limit.at ?? limit.on ?? ''),
    };
  }

  /** Everything that counts as doing `item`. */
  private past(item: ScheduleItem): ItemHistory {
    const doing = this.facts.items.filter((other) => renews(other, item, this.facts.items));
    const of = (id: string) => this.facts.history.get(id) ?? { completions: [], declared: [] };
    return {
      completions: doing.flatMap((other) => of(other.id).completions),
      declared: doing.flatMap((other) => of(other.id).declared),
    };
  }

  private counts(trigger: Trigger, item: ScheduleItem, isNeverDone: boolean): boolean {
    const has = (kind: string) => item.triggers.some((other) => other.kind === kind);
    if (trigger.kind === 'firstHours' || trigger.kind === 'firstCalendar') return isNeverDone;
    if (trigger.kind === 'everyHours') return !(isNeverDone && has('firstHours'));
    if (trigger.kind === 'everyCalendar') return !(isNeverDone && has('firstCalendar'));
    return true;
  }

  private limits(
    trigger: Trigger,
    item: ScheduleItem,
    from: ServicePoint | null,
    isNeverDone: boolean,
  ): SlowLimit[] {
    if (trigger.kind === 'storage') return this.storage(trigger.days, from);
    if (!from) return [];
    switch (trigger.kind) {
      case 'everyHours':
        return [this.everyHours(trigger, item, from, isNeverDone)];
      case 'firstHours':
        return [this.hours(trigger.hours, Math.min(10, Math.max(1, trigger.hours / 10)))];
      case 'everyCalendar':
        return [this.calendar(from.on, this.after(from.on, trigger.count, trigger.unit))];
      case 'firstCalendar': {
        const entry = this.facts.entry.on;
        return [this.calendar(entry, this.after(entry, trigger.count, trigger.unit))];
      }
      case 'seasonEdge':
        return this.seasonEdge(trigger, from);
      case 'everyNth':
        throw new Error('The slow schedule leaves every n-th to the worked examples.');
    }
  }

  private everyHours(
    trigger: EveryHours,
    item: ScheduleItem,
    from: ServicePoint,
    isNeverDone: boolean,
  ): SlowLimit {
    const step = cents(trigger.hours * item.dutyFactor);
    const window = Math.min(10, Math.max(1, step / 10));
    let at = from.life + step;
    if ((trigger.grid ?? this.site.grid) === 'onMeter') {
      at = 0;
      while (cents(at) <= cents(from.life + (isNeverDone ? 0 : window))) at += step;
    }
    return this.hours(cents(at), window);
  }

  private seasonEdge(trigger: SeasonEdge, from: ServicePoint): SlowLimit[] {
    for (let on = addDays(from.on, 46); daysBetween(from.on, on) < 700; on = addDays(on, 1)) {
      if (this.isEdge(addDays(on, -trigger.offsetDays), trigger.season, trigger.edge)) {
        return [this.calendar(from.on, on)];
      }
    }
    return [];
  }

  private after(from: CivilDate, count: number, unit: 'day' | 'month'): CivilDate {
    if (unit === 'day') {
      let on = from;
      for (let i = 0; i < count; i += 1) on = addDays(on, 1);
      return on;
    }
    const wanted = Number(from.slice(8));
    let on = from;
    for (let months = 0; months < count; months += 1) {
      do on = addDays(on, 1);
      while (on.slice(8) !== '01');
    }
    while (Number(on.slice(8)) < wanted && addDays(on, 1).slice(5, 7) === on.slice(5, 7)) on = addDays(on, 1);
    return on;
  }

  private storage(days: number, from: ServicePoint | null): SlowLimit[] {
    let counted = 0;
    let since: CivilDate | null = null;
    const start = addDays(this.today, -500);
    for (let on = start; daysBetween(start, on) < 1300; on = addDays(on, 1)) {
      const rests = this.isLaidUp(on);
      const begins = rests && !this.isLaidUp(addDays(on, -1));
      if (!rests || begins || (from && on === from.on)) {
        counted = 0;
        since = rests ? on : null;
      } else counted += 1;
      const isOver = !rests || daysBetween(on, this.today) > 0;
      if (counted === days && since && (!isOver || this.stillRests(on, from))) {
        return [this.calendar(since, on)];
      }
    }
    return [];
  }

  /** Whether the lay-up that `on` lies in lasts until today, and nothing was done in it since. */
  private stillRests(on: CivilDate, from: ServicePoint | null): boolean {
    if (from && from.on > on) return false;
    for (let day = on; day <= this.today; day = addDays(day, 1)) if (!this.isLaidUp(day)) return false;
    return true;
  }

  private hours(at: number, window: number): SlowLimit {
    const left = cents(at - this.life);
    const expectedOn = this.reached(at);
    const state = left < 0 ? 'overdue' : left <= window ? 'ripe' : this.byDate(expectedOn);
    return { at, on: null, expectedOn, state };
  }

  private calendar(from: CivilDate, on: CivilDate): SlowLimit {
    const left = daysBetween(this.today, on);
    const window = Math.min(14, Math.max(1, daysBetween(from, on) / 10));
    const state = left < 0 ? 'overdue' : left <= window ? 'ripe' : this.byDate(on);
    return { at: null, on, expectedOn: on, state };
  }

  private byDate(on: CivilDate | null): DueState {
    return on !== null && daysBetween(this.today, on) <= 30 ? 'coming' : 'fine';
  }

  private seasonHas(season: Season, on: CivilDate): boolean {
    const year = Number(on.slice(0, 4));
    return [year - 1, year].some((y) => {
      const days = this.yearOf(season, y);
      return days !== null && days.firstDay <= on && on <= days.lastDay;
    });
  }

  private yearOf(season: Season, year: number): SeasonYear | null {
    const key = `${season.id} ${year}`;
    const known = this.years.get(key);
    if (known !== undefined) return known;
    const days = seasonInYear(season, year);
    this.years.set(key, days);
    return days;
  }

  private parts(on: CivilDate): readonly Participation[] {
    const known = this.partsOf.get(on);
    if (known) return known;
    const parts = this.facts.participation.filter(({ seasonId }) =>
      this.site.seasons.some((season) => season.id === seasonId && this.seasonHas(season, on)),
    );
    this.partsOf.set(on, parts);
    return parts;
  }

  private isLaidUp(on: CivilDate): boolean {
    if (this.facts.laidUpSince !== null) return on >= this.facts.laidUpSince;
    return this.isPlanned && this.parts(on).length === 0;
  }

  private isEdge(on: CivilDate, name: string | null, edge: 'first' | 'last'): boolean {
    const season = this.site.seasons.find((candidate) => candidate.name === name);
    const works = (day: CivilDate) => (season ? this.seasonHas(season, day) : this.parts(day).length > 0);
    if (name !== null && !season) return false;
    return works(on) && !works(addDays(on, edge === 'first' ? -1 : 1));
  }

  private planned(on: CivilDate): number {
    return this.parts(on).reduce((sum, part) => sum + part.hoursPerWeek / 7, 0);
  }

  private plannedBetween(from: CivilDate, to: CivilDate): number {
    let hours = 0;
    for (let on = addDays(from, 1); on <= to; on = addDays(on, 1)) hours += this.planned(on);
    return hours;
  }

  /** The mean of the posterior of θ: a gamma prior of shape and rate 6, dispersion learned from gaps of five days at least. */
  private workFactor(): number {
    const gaps: { hours: number; planned: number; weight: number }[] = [];
    let later = this.points.length - 1;
    for (let earlier = later - 1; earlier >= 0; earlier -= 1) {
      const [a, b] = [this.points[earlier], this.points[later]];
      if (!a || !b || daysBetween(a.on, b.on) < 5) continue;
      let age = 0;
      for (let on = addDays(b.on, 1); on <= this.today; on = addDays(on, 1))
        age += this.parts(on).length ? 1 : 0;
      const weight = 2 ** (-age / 42);
      if (weight < 0.001) break;
      const planned = this.plannedBetween(a.on, b.on);
      if (planned > 0) gaps.push({ hours: b.life - a.life, planned, weight });
      later = earlier;
    }
    const sum = (of: (gap: (typeof gaps)[number]) => number) => gaps.reduce((all, gap) => all + of(gap), 0);
    const [hours, planned] = [sum((gap) => gap.weight * gap.hours), sum((gap) => gap.weight * gap.planned)];
    const first = (6 + hours / 2.5) / (6 + planned / 2.5);
    const residual = (gap: (typeof gaps)[number]) => {
      const expected = Math.max(0.5, first * gap.planned);
      return (gap.weight * (gap.hours - expected) ** 2) / expected;
    };
    const dispersion = (4 * 2.5 + sum(residual)) / (4 + sum((gap) => gap.weight));
    return (6 + hours / dispersion) / (6 + planned / dispersion);
  }

  /** Hours a day over the last 90 days, or over all that is known. */
  private ownRate(): number {
    const [first, last] = [this.points[0], this.points.at(-1)];
    if (!first || !last) return 0;
    const back = addDays(this.today, -90);
    const from = first.on > back ? first.on : back;
    if (daysBetween(from, last.on) >= 7) return (last.life - this.lifeOn(from)) / daysBetween(from, last.on);
    const days = daysBetween(first.on, last.on);
    return days >= 7 ? (last.life - first.life) / days : 0;
  }

  private lifeOn(on: CivilDate): number {
    const after = this.points.find((point) => point.on >= on);
    const before = this.points.filter((point) => point.on < on).at(-1);
    if (!after) return before?.life ?? 0;
    if (!before || after.on === on) return after.life;
    return (
      before.life +
      ((after.life - before.life) * daysBetween(before.on, on)) / daysBetween(before.on, after.on)
    );
  }

  private reached(at: number): CivilDate | null {
    const last = this.points.at(-1);
    if (!last) return null;
    if (at <= last.life) {
      const index = this.points.findIndex((point) => point.life >= at);
      const [before, after] = [this.points[index - 1], this.points[index]];
      if (!after) return null;
      if (!before) return after.life === at ? after.on : null;
      const share = (at - before.life) / (after.life - before.life);
      return addDays(before.on, Math.floor(share * daysBetween(before.on, after.on) + 1e-6));
    }
    const rate = this.isPlanned ? 0 : this.ownRate();
    if (!this.isPlanned && rate === 0) return null;
    const horizon = addDays(this.today, 3650);
    let life = last.life;
    let on = last.on;
    while (life < at - 1e-6) {
      on = addDays(on, 1);
      if (on > horizon) return null;
      life += this.isPlanned ? this.theta * this.planned(on) : rate;
    }
    return on < this.today ? this.today : on;
  }
}

function countsRunning(trigger: Trigger): boolean {
  return trigger.kind === 'everyHours' || trigger.kind === 'firstHours';
}
