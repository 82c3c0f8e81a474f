import type { LifeReading } from '../meter/reading.js';
import type { MeterSegment } from '../meter/segment.js';
import type { Span } from '../season/season.js';
import type { UsageModel } from '../usage/usageModel.js';
import type { ServicePoint } from './baseline.js';
import type { HoursGrid, MeterName } from './trigger.js';
import type { WorkingTime } from './workingTime.js';

/** One meter of a machine on a day. */
export interface MeterStanding {
  readonly name: MeterName;
  /** life hours at its last reading */
  readonly life: number;
  /** what it was made of, over time; empty for a share of another meter */
  readonly segments: readonly MeterSegment[];
  /** in order of time; empty for a share of another meter */
  readonly readings: readonly LifeReading[];
  readonly usage: UsageModel;
  /** hours of the engine for one of its own: 5 for a loader that runs a fifth of the time */
  readonly engineHoursPerHour: number;
  /** life hours it had when the engine had those of `point` */
  lifeAt(point: ServicePoint): number;
}

/** Where a machine stands on a day: all that its items are judged by besides their own history. */
export interface Standing {
  /** day number */
  readonly today: number;
  /** last day that a date is told for: ten years from today */
  readonly horizon: number;
  readonly working: WorkingTime;
  /**
   * The spans of a season by its name, or, for null, of the machine's working time, in order, from the year before `day` on; none
   * where there is no such season.
   */
  spansOf(season: string | null, day: number): readonly Span[];
  /** the house rule for hours intervals */
  readonly grid: HoursGrid;
  readonly hoursLast12Months: number;
  /** the meter that hours by this name count on; null where it must be asked for, see `meterNamed` */
  meter(name: MeterName): MeterStanding | null;
}
