import type { Column } from './column.js';
import { f64 } from './dense.js';
import type { Effort } from './machineSearch.js';
import type { Master, MasterAnswer } from './master.js';
import { pricedColumn } from './pool.js';
import type { Pool } from './pool.js';
import type { DayPrices } from './prices.js';

/** How hard the plans of all machines are looked for in a round. */
export interface PricingEffort extends Effort {
  /** branches of an exact search of one machine; 0: none */
  readonly exact: number;
  /** whether there is no more time for exact searches: what is known without them is a bound too */
  readonly isOver?: () => boolean;
}

export const QUICK: PricingEffort = { steps: 8, rounds: 1, near: 0.3, exact: 0 };

/** What a column would save in the relaxed program, below nought. */
export function reducedCost(column: Column, { prices, machines }: MasterAnswer): number {
  return pricedColumn(column, prices) - f64(machines, column.machine);
}

/**
 * The cheapest plans of all machines at prices: those that may better the relaxed program go into the pool. Returns what no plan of the
 * season costs less than, whatever the prices; and whether something was found.
 */
export function priceAll(
  pool: Pool,
  prices: DayPrices,
  effort: PricingEffort,
  answer: MasterAnswer | null,
): { readonly bound: number; readonly isFound: boolean } {
  let bound = 0;
  for (let day = 0; day < pool.minutes.length; day += 1)
    bound -= f64(prices.minute, day) * f64(pool.minutes, day) + f64(prices.bay, day) * f64(pool.bays, day);
  let isFound = false;
  for (const [machine, search] of pool.searches.entries()) {
    const priced = search.price(prices, effort, pool.cheapest(machine, prices));
    let { bound: least, done } = priced;
    if (effort.exact > 0 && !effort.isOver?.() && priced.cost - least > effort.near) {
      const exact = search.exact(priced.cost, { most: effort.exact, near: effort.near });
      if (exact.done) done = exact.done;
      least = Math.max(least, exact.bound);
    }
    bound += least;
    for (const each of priced.other ? [done, priced.other] : [done]) {
      const column = search.column(each);
      if (answer && reducedCost(column, answer) >= -1e-6) continue;
      if (pool.add(column).isNew) isFound = true;
    }
  }
  return { bound, isFound };
}

/** The best bound so far, and the prices at which it was found. */
export interface Bound {
  readonly least: number;
  readonly prices: DayPrices;
}

/** Prices a little towards those of the best bound: they jump less. */
function smoothed(from: DayPrices, to: DayPrices, part: number): DayPrices {
  const mix = (a: Float64Array, b: Float64Array) =>
    b.map((price, day) => part * f64(a, day) + (1 - part) * price);
  return { minute: mix(from.minute, to.minute), bay: mix(from.bay, to.bay) };
}

/** The part of the best prices in the next ones. */
const SMOOTHING = 0.3;
/** So near to each other, program and bound are one. */
const NEAR = 0.0003;
/** Rounds in which the program falls by less than this are quiet: two of them are enough. */
const QUIET = 0.0008;

/** Rounds of prices and plans until the relaxed program hardly falls any more, or there is no more time. */
export function generateColumns(
  pool: Pool,
  master: Master,
  begin: Bound,
  isOver: () => boolean,
  most = 25,
): Bound {
  let best = begin;
  let misses = 0;
  let quiet = 0;
  let before = Infinity;
  for (let round = 0; round < most && !isOver(); round += 1) {
    const answer = master.solve();
    const prices = smoothed(best.prices, answer.prices, misses > 1 ? 0 : SMOOTHING);
    const { bound, isFound } = priceAll(pool, prices, QUICK, answer);
    if (bound > best.least) best = { least: bound, prices };
    master.addNew();
    quiet = (before - answer.cost) / answer.cost < QUIET ? quiet + 1 : 0;
    before = answer.cost;
    misses = isFound ? 0 : misses + 1;
    if (quiet < 2 && misses <= 3 && (answer.cost - best.least) / answer.cost >= NEAR) continue;
    if (!master.makeOvertimeDearer()) break;
    quiet = 0;
    misses = 0;
  }
  return best;
}
