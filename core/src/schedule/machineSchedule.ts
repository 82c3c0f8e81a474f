import { civilDateAt } from '../calendar/instant.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { toLife } from '../meter/segment.js';
import type { MeterSegment } from '../meter/segment.js';
import type { LifeReading, Reading } from '../meter/reading.js';
import { averageUsage } from '../usage/averageUsage.js';
import type { UsageModel } from '../usage/usageModel.js';
import type { EntryIntoService, ItemHistory } from './baseline.js';
import { dueOf } from './due.js';
import type { DueAnswer } from './due.js';
import type { ScheduleItem } from './item.js';
import { compareAnswers } from './order.js';

/** All that the schedule of one machine follows from. Voided facts are left out by the caller. */
export interface MachineFacts {
  readonly entry: EntryIntoService;
  readonly segments: readonly MeterSegment[];
  readonly readings: readonly Reading[];
  readonly items: readonly ScheduleItem[];
  /** by item id */
  readonly history: ReadonlyMap<string, ItemHistory>;
}

/** A machine's schedule on a day. */
export interface MachineSchedule {
  /** life hours at the last reading, or on entering service */
  readonly life: number;
  readonly lastReading: LifeReading | null;
  /** in order of time */
  readonly readings: readonly LifeReading[];
  readonly usage: UsageModel;
  /** every item, worst first */
  readonly answers: readonly DueAnswer[];
}

const NOTHING_KNOWN: ItemHistory = { completions: [], declared: [] };

/** The schedule of one machine on `today`, a civil date of the site in `timeZone`. */
export function machineSchedule(facts: MachineFacts, today: CivilDate, timeZone: string): MachineSchedule {
  const readings = toLife(facts.readings, facts.segments);
  const lastReading = readings.at(-1) ?? null;
  const life = lastReading?.life ?? facts.entry.life;
  const points = readings.map((reading) => ({ on: civilDateAt(reading.at, timeZone), life: reading.life }));
  const entered = { on: facts.entry.on, life: facts.entry.life };
  const startsBefore = !points[0] || (entered.on < points[0].on && entered.life <= points[0].life);
  const usage = averageUsage(startsBefore ? [entered, ...points] : points, today);
  const answers = facts.items
    .map((item) =>
      dueOf(item, facts.history.get(item.id) ?? NOTHING_KNOWN, facts.entry, { today, life, usage }),
    )
    .sort(compareAnswers);
  return { life, lastReading, readings, usage, answers };
}
