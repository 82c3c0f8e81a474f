import { readTable } from './readTable.js';
import type { TableLine } from './readTable.js';

/**
 * Least voltage of a charged 12 V battery at the end of 15 s under half of its cold-cranking amperes, by its temperature in °C. Source: the
 * table that battery makers and test instruments print after the industry's load test (from memory): 9.6 V at 70 °F down to 8.5 V at 0 °F.
 */
const LEAST_VOLTS: readonly [TableLine, ...TableLine[]] = [
  [-17.8, 8.5],
  [-12.2, 8.7],
  [-6.7, 8.9],
  [-1.1, 9.1],
  [4.4, 9.3],
  [10, 9.4],
  [15.6, 9.5],
  [21.1, 9.6],
];

/** Seconds that the load is held. */
export const LOAD_SECONDS = 15;

/** The least voltage under load at `celsius`, V: linear between the lines of the table, its ends beyond them. */
export function leastUnderLoad(celsius: number): number {
  return readTable(LEAST_VOLTS, celsius);
}

/** Whether a battery of `celsius` that stands at `volts` under load has passed. */
export function passesLoad(volts: number, celsius: number): boolean {
  // A meter shows hundredths.
  return Math.round(volts * 100) >= Math.round(leastUnderLoad(celsius) * 100);
}
