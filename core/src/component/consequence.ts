/** What lateness costs, worst first. */
export const CONSEQUENCES = ['ruin', 'wear', 'care'] as const;

/**
 * - `ruin`: it can wreck a machine or hurt somebody
 * - `wear`: parts wear faster, the work gets worse
 * - `care`: grease, cleaning, pressures, looks
 */
export type Consequence = (typeof CONSEQUENCES)[number];

const RANK = new Map(CONSEQUENCES.map((consequence, rank) => [consequence, rank]));

/** Orders by what lateness costs, the worst first. */
export function compareConsequences(a: Consequence, b: Consequence): number {
  return (RANK.get(a) ?? 0) - (RANK.get(b) ?? 0);
}
