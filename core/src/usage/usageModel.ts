import type { CivilDate } from '../calendar/civilDate.js';

/** The day on which a machine reaches an hour: expected, and the 10 % and 90 % points of when it may. */
export interface ReachedDates {
  readonly earlyOn: CivilDate | null;
  readonly expectedOn: CivilDate | null;
  readonly lateOn: CivilDate | null;
}

/** Life hours on a day: expected, and the 10 % and 90 % points. */
export interface HoursRange {
  readonly low: number;
  readonly expected: number;
  readonly high: number;
}

/** What a machine is expected to run. Forecasts of every kind answer these questions. */
export interface UsageModel {
  /** hours a week at present; 0 while laid up, null while nothing is known */
  readonly hoursPerWeek: number | null;
  /** hours a week planned for the present; null without a plan */
  readonly plannedPerWeek: number | null;
  /**
   * The days on which the machine reaches `life` hours; one and the same day where it was passed already. A day is null where
   * the machine will not reach it within ten years, or passed it before its first reading.
   */
  dateReached(life: number): ReachedDates;
  /** Life hours expected on a day, which is not before the last reading; null while nothing is known. */
  lifeOn(day: CivilDate): HoursRange | null;
  /** Life hours that a true reading on `day` exceeds in one of a hundred cases; null while nothing is known. */
  mostLikelyLife(day: CivilDate): number | null;
}

/** Life hours on a day: what a usage model learns from. */
export interface UsagePoint {
  /** days since 1970-01-01 */
  readonly day: number;
  readonly life: number;
}
