import { countCorrection } from './ledger.js';

export interface CountDifference {
  /** more or less than booked */
  readonly quantity: number;
  /** its worth, in whole minor units; below 0 where something is missing */
  readonly valueMinor: number;
}

/** How much a count differs from the book, and what that is worth at the price of one. */
export function countDifference(
  { counted, booked }: { readonly counted: number; readonly booked: number },
  priceMinor: number,
): CountDifference {
  const quantity = countCorrection(booked, counted);
  const valueMinor = Math.round(quantity * priceMinor);
  // What rounds to nothing has no sign.
  return { quantity, valueMinor: valueMinor === 0 ? 0 : valueMinor };
}

/** What the differences of a whole count come to, in minor units: what is missing, and what is there besides the book. */
export function countTotals(differences: readonly CountDifference[]): { missing: number; besides: number } {
  const values = differences.map(({ valueMinor }) => valueMinor);
  const sum = (of: readonly number[]) => of.reduce((all, value) => all + value, 0);
  return {
    missing: Math.abs(sum(values.filter((value) => value < 0))),
    besides: sum(values.filter((value) => value > 0)),
  };
}
