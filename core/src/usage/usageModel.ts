import type { CivilDate } from '../calendar/civilDate.js';

/** What a machine is expected to run. Forecasts of every kind answer these questions. */
export interface UsageModel {
  /** hours a week at present; null while nothing is known */
  readonly hoursPerWeek: number | null;
  /**
   * The day on which the machine reaches (or reached) `life` hours.
   * Null where it never will at its present use, or passed it before its first reading.
   */
  dateReached(life: number): CivilDate | null;
}
