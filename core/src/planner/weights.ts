import type { Consequence } from '../component/consequence.js';

/*
 * What the plan sets against each other, in minutes of a mechanic. Judgements, not measurements (docs/planner.md says what follows from
 * them).
 */

/** What an hour and a day past the limit are worth. */
export const LATENESS: Readonly<Record<Consequence, { readonly perHour: number; readonly perDay: number }>> =
  {
    ruin: { perHour: 20, perDay: 6 },
    wear: { perHour: 5, perDay: 1.5 },
    care: { perHour: 1.5, perDay: 0.5 },
  };

/** What a card that the crew was told of costs when it is taken back: once in a while is fine. */
export const DROP_COST = 22;
/** A new card within the first four weeks: the crew gets used to it. */
export const ADD_COST = 11;
export const TOLD_DAYS = 28;
/** A day past readiness, and a day past the last of the lay-up. */
export const READY_COST = 8;
export const LAY_UP_COST = 2;

/** Where nobody said what labour costs, parts are set against this rate for an hour, in minor units (an assumption). */
const USUAL_RATE_MINOR = 3_000;

/** What so much money is worth in minutes of a mechanic. */
export function minutesWorth(minor: number, rateMinor: number | null): number {
  return (minor * 60) / (rateMinor || USUAL_RATE_MINOR);
}
