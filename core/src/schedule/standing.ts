import type { LifeReading } from '../meter/reading.js';
import type { MeterSegment } from '../meter/segment.js';
import type { Span } from '../season/season.js';
import type { UsePlan } from '../season/usePlan.js';
import type { UsageModel } from '../usage/usageModel.js';
import type { ServicePoint } from './baseline.js';
import type { HoursGrid, MeterName } from './trigger.js';

/** One meter of a machine on a day. */
export interface MeterStanding {
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

/** A time in which the machine rests, as day numbers: from `since` to the day before `until`; null where no end is planned. */
export interface LayUp {
  readonly since: number;
  readonly until: number | null;
}

/** Where a machine stands on a day: all that its items are judged by besides their own history. */
export interface Standing {
  /** day number */
  readonly today: number;
  readonly plan: UsePlan;
  /** past, present and planned, in order */
  readonly layUps: readonly LayUp[];
  readonly isLaidUp: boolean;
  /** the spans of a season by its name, in order, from the year before `day` on; none where there is no such season */
  spansOf(season: string, day: number): readonly Span[];
  /** the house rule for hours intervals */
  readonly grid: HoursGrid;
  readonly hoursLast12Months: number;
  /** the engine's stands in for an attachment that the machine does not have, so that nothing comes due too late */
  meter(name: MeterName): MeterStanding;
}
