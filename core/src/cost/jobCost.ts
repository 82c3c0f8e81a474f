/** What a job cost, in minor units of the currency. */
export interface JobCost {
  readonly parts: number;
  /** null where the crew has no rate */
  readonly labour: number | null;
  readonly total: number;
}

/** Something from the shelf: pieces or litres, and what one costs in minor units. */
export interface PricedDraw {
  readonly quantity: number;
  readonly priceMinor: number;
}

/** What a line comes to, to the nearest minor unit. */
export function lineCost({ quantity, priceMinor }: PricedDraw): number {
  return Math.round(quantity * priceMinor);
}

/**
 * Parts and fluids at what they cost, and the minutes at the crew's rate (minor units an hour).
 * Each line is rounded by itself, so that the sum is what stands above it.
 */
export function jobCost(draws: readonly PricedDraw[], minutes: number, rate: number | null): JobCost {
  const parts = draws.reduce((sum, draw) => sum + lineCost(draw), 0);
  const labour = rate === null ? null : Math.round((minutes * rate) / 60);
  return { parts, labour, total: parts + (labour ?? 0) };
}
