/** What a job cost, in minor units of the currency. */
export interface JobCost {
  readonly parts: number;
  /** null where the crew has no rate */
  readonly labour: number | null;
  readonly total: number;
}

/** Something from the shelf, at what it cost in minor units; what went back on it below 0. */
export interface CostedDraw {
  readonly costMinor: number;
}

/** Parts and fluids at what they cost, and the minutes at the crew's rate (minor units an hour). */
export function jobCost(draws: readonly CostedDraw[], minutes: number, rate: number | null): JobCost {
  const parts = draws.reduce((sum, draw) => sum + draw.costMinor, 0);
  const labour = rate === null ? null : Math.round((minutes * rate) / 60);
  return { parts, labour, total: parts + (labour ?? 0) };
}
