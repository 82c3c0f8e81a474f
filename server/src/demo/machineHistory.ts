import {
  addDays,
  instantOnDay,
  lifeHours,
  machineSchedule,
  MS_PER_HOUR,
  roundHours,
  shareOf,
  instantOf,
} from '@yugator/core';
import type {
  Attachment,
  CivilDate,
  EntryIntoService,
  Instant,
  ItemHistory,
  Participation,
  ScheduleContext,
  ScheduleItem,
  ServicePoint,
} from '@yugator/core';
import { BLOWER_SHARE_IN_WINTER, LOADER_SHARE, SEASON_DAYS, SEASON_KEYS, TIME_ZONE } from './larkmere.js';
import type { DemoMachine, Pattern } from './larkmere.js';
import type { Random } from './random.js';

/** Weeks of history that the demonstration tells. */
const WEEKS = 104;
/** Weeks that a neglected machine has gone without service. */
const NEGLECTED_WEEKS = 5;
const UNREAD_DAYS = 11;
/** Places in their book of the items that nobody knows the last time of on a machine with that story. */
const UNKNOWN_ITEMS = [7, 9];

export interface DemoReading {
  readonly at: Instant;
  readonly shown: number;
  readonly voided: boolean;
}

export interface DemoJob {
  readonly at: Instant;
  readonly on: CivilDate;
  readonly life: number;
  readonly shown: number;
  readonly itemIds: readonly string[];
}

export interface DemoDeclaration {
  readonly itemId: string;
  readonly on: CivilDate;
  readonly life: number;
}

export interface DemoHistory {
  readonly entry: EntryIntoService;
  /** what the crew lead took over from the paper record */
  readonly declared: readonly DemoDeclaration[];
  readonly readings: readonly DemoReading[];
  /** the first segment, and the one after a replaced meter */
  readonly segments: readonly { readonly startsAt: Instant; readonly offset: number }[];
  readonly jobs: readonly DemoJob[];
}

/** Hours a week on a day of the year. */
function hoursPerWeek(on: CivilDate, pattern: Pattern): number {
  const day = on.slice(5);
  const { mowing, leaves } = SEASON_DAYS;
  if (day >= mowing.first && day <= mowing.last) return pattern.mowing;
  return day >= leaves.first && day <= leaves.last ? pattern.leaves : pattern.winter;
}

const WINTER_MONTHS: ReadonlySet<number> = new Set([12, 1, 2, 3]);

/** The part of a machine in the seasons it works in. */
export function participationOf(pattern: Pattern): Participation[] {
  return SEASON_KEYS.filter((key) => pattern[key] > 0).map((key) => ({
    seasonId: key,
    hoursPerWeek: pattern[key],
  }));
}

/** The loader of a machine that has one: new with the tractor, it works a fifth of the time. */
export function attachmentsOf(machine: DemoMachine): Attachment[] {
  if (!machine.hasLoader) return [];
  const hoursAtStart = shareOf(
    { kind: 'share', share: LOADER_SHARE, hoursAtStart: 0, engineAtStart: 0 },
    machine.startHours,
  );
  const hours = {
    kind: 'share',
    share: LOADER_SHARE,
    hoursAtStart,
    engineAtStart: machine.startHours,
  } as const;
  return [{ meter: 'loader', hours }];
}

/** What is known of each item as the story goes on. */
class ServiceBook {
  private readonly history: Map<string, ItemHistory & { completions: ServicePoint[] }>;

  constructor(
    private readonly machine: DemoMachine,
    private readonly items: readonly ScheduleItem[],
    private readonly entry: EntryIntoService,
    declared: readonly DemoDeclaration[],
    private readonly contextOn: (on: CivilDate) => ScheduleContext,
  ) {
    this.history = new Map(
      items.map(({ id }) => [
        id,
        {
          completions: [],
          declared: declared
            .filter((point) => point.itemId === id)
            .map(({ on, life }) => ({ on, life: lifeHours(life) })),
        },
      ]),
    );
  }

  /** What a good crew does on a visit: everything overdue or ripe. Items without a record stay without one. */
  ripe(today: CivilDate, life: number): string[] {
    const facts = {
      entry: this.entry,
      items: this.items,
      history: this.history,
      attachments: attachmentsOf(this.machine),
      omitted: [],
      status: { kind: 'inService' as const, since: null },
      participation: participationOf(this.machine.pattern),
      segments: [{ startsAt: instantOf(0), offset: 0 }],
      readings: [{ at: instantOnDay(today, 12, TIME_ZONE), shown: life }],
    };
    return machineSchedule(facts, this.contextOn(today))
      .answers.filter(({ state }) => state === 'overdue' || state === 'ripe')
      .map(({ item }) => item.id);
  }

  done(itemIds: readonly string[], on: CivilDate, life: number): void {
    for (const id of itemIds) this.history.get(id)?.completions.push({ on, life: lifeHours(life) });
  }
}

/** Declares each item done some way back in its interval, as the paper record of a crew that kept up would say. */
function paperRecord(
  items: readonly ScheduleItem[],
  begins: CivilDate,
  life: number,
  isUsed: boolean,
  random: Random,
): DemoDeclaration[] {
  return items.flatMap((item, index) => {
    const share = random.next();
    if (isUsed && UNKNOWN_ITEMS.includes(index)) return [];
    const hours = item.triggers.find((trigger) => trigger.kind === 'everyHours')?.hours ?? 0;
    const calendar = item.triggers.find((trigger) => trigger.kind === 'everyCalendar');
    const days = calendar ? calendar.count * (calendar.unit === 'month' ? 30 : 1) : 60;
    const back = Math.max(0, life - hours * share);
    return [
      { itemId: item.id, on: addDays(begins, -Math.round(days * share)), life: Math.round(back * 10) / 10 },
    ];
  });
}

/** Where the story of a machine starts. */
interface Beginning {
  readonly weeks: number;
  readonly begins: CivilDate;
  /** life hours then */
  readonly life: number;
  readonly entry: EntryIntoService;
  /** whether there was a time before the story that only the paper record knows */
  readonly hasPast: boolean;
}

function beginningOf(machine: DemoMachine, today: CivilDate, random: Random): Beginning {
  const sinceRead = machine.story === 'unread' ? UNREAD_DAYS : 1 + Math.floor(random.next() * 3);
  const owned = Math.floor(machine.yearsAgo * 52);
  const weeks = Math.min(WEEKS, owned);
  const begins = addDays(today, -sinceRead - weeks * 7);
  const { mowing, leaves, winter } = machine.pattern;
  const ranBefore = (owned - weeks) * (mowing * 0.55 + leaves * 0.11 + winter * 0.34);
  const cameNew = machine.startHours === 0;
  return {
    weeks,
    begins,
    life: Math.round((machine.startHours + ranBefore) * 10) / 10,
    entry: { on: addDays(begins, (weeks - owned) * 7), life: lifeHours(machine.startHours), cameNew },
    hasPast: owned > weeks || !cameNew,
  };
}

function firstReadings({ entry, begins, life }: Beginning): DemoReading[] {
  const entered = { at: instantOnDay(entry.on, 7, TIME_ZONE), shown: entry.life, voided: false };
  if (entry.on === begins) return [entered];
  return [entered, { at: instantOnDay(begins, 16, TIME_ZONE), shown: life, voided: false }];
}

/** Whether the crew looks at the machine in that week; now and then a week is missed. */
function isServiced(machine: DemoMachine, weeksToGo: number, random: Random): boolean {
  const missed = random.chance(0.06);
  return !missed && !(machine.story === 'neglected' && weeksToGo < NEGLECTED_WEEKS);
}

/** Two years of a machine's readings and services up to yesterday or so, the same for the same day and seed. */
export function machineHistory(
  machine: DemoMachine,
  items: readonly ScheduleItem[],
  today: CivilDate,
  random: Random,
  contextOn: (on: CivilDate) => ScheduleContext,
): DemoHistory {
  const beginning = beginningOf(machine, today, random);
  const { weeks, begins, entry } = beginning;
  const declared = beginning.hasPast
    ? paperRecord(items, begins, beginning.life, machine.story === 'noRecord', random)
    : [];
  const book = new ServiceBook(machine, items, entry, declared, contextOn);
  const hard = random.between(0.85, 1.15);
  const replacedInWeek = machine.story === 'meterReplaced' ? Math.floor(weeks * 0.6) : -1;
  const readings = firstReadings(beginning);
  const segments = [{ startsAt: instantOnDay(entry.on, 7, TIME_ZONE), offset: 0 }];
  const jobs: DemoJob[] = [];
  let life = beginning.life;
  let offset = 0;
  for (let week = 1; week <= weeks; week += 1) {
    const on = addDays(begins, week * 7);
    const weather = random.chance(0.05) ? 0.2 : random.between(0.6, 1.4);
    life = Math.round((life + hoursPerWeek(on, machine.pattern) * hard * weather) * 10) / 10;
    const at = instantOf(instantOnDay(on, 16, TIME_ZONE) + Math.floor(random.between(0, 50)) * 60_000);
    if (week === replacedInWeek) {
      offset = life;
      segments.push({ startsAt: at, offset });
    }
    const shown = roundHours(life - offset);
    const mustRead = week === weeks || week === replacedInWeek;
    if (mustRead || !random.chance(hoursPerWeek(on, machine.pattern) > 0 ? 0.06 : 0.7))
      readings.push({ at, shown, voided: false });
    const itemIds = isServiced(machine, weeks - week, random) ? book.ripe(on, life) : [];
    if (itemIds.length === 0) continue;
    book.done(itemIds, on, life);
    jobs.push({ at: instantOf(at + MS_PER_HOUR), on, life, shown, itemIds });
  }
  if (machine.story === 'slip') readings.push(slipBefore(readings));
  return { entry, declared, readings, segments, jobs };
}

/** What the own meter of a snow blower said on the same rounds: it runs while the snow lies, and rests all summer. */
export function blowerReadings(engine: readonly DemoReading[]): DemoReading[] {
  let shown = 0;
  let before: DemoReading | undefined;
  const readings: DemoReading[] = [];
  for (const reading of engine) {
    const month = Number(new Date(reading.at).toISOString().slice(5, 7));
    const ran = before ? reading.shown - before.shown : 0;
    if (WINTER_MONTHS.has(month)) shown = roundHours(shown + BLOWER_SHARE_IN_WINTER * ran);
    readings.push({ ...reading, shown });
    before = reading;
  }
  return readings;
}

/** The last reading with its point forgotten, entered a minute before and voided since. */
function slipBefore(readings: readonly DemoReading[]): DemoReading {
  const last = readings.at(-1);
  if (!last) throw new Error('A slip needs a reading to slip on.');
  return { at: instantOf(last.at - 60_000), shown: roundHours(last.shown * 10), voided: true };
}
