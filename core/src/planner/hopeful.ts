import { f64, i32, one } from './dense.js';
import { priceAll } from './generate.js';
import type { Pool } from './pool.js';
import type { DayPrices } from './prices.js';
import type { ItemTable } from './tables.js';

/** By machine, then by item: 1 at `from * width + to` for the arcs that a plan of so much may have. */
export type HopefulArcs = readonly (readonly Uint8Array[])[];

/** So many steps make the split of what items share about as good as it becomes. */
const EFFORT = { steps: 300, rounds: 1, near: 0, exact: 0 };
const ROUNDING = 1e-6;

/**
 * The arcs that a plan of at most `upper` may have, by the bound at prices: one is left out where already the cheapest times through it,
 * with the bound of everything else, cost more. Whatever the prices, no plan that is as good is lost; good prices leave few arcs.
 */
export function hopefulArcs(pool: Pool, prices: DayPrices, upper: number): HopefulArcs {
  const { bound } = priceAll(pool, prices, EFFORT, null);
  const spare = upper - bound + ROUNDING;
  return pool.searches.map(({ table, costsAlone }) =>
    table.items.map((item, at) => arcsWithin(item, table.n, costsAlone(at), spare)),
  );
}

/** The arcs of an item of which the cheapest path through them costs at most `spare` more than the cheapest. */
function arcsWithin(item: ItemTable, n: number, nodeCost: Float64Array, spare: number): Uint8Array {
  const width = n + 2;
  const within = new Uint8Array(width * width);
  const cost = (node: number) => (node > n ? 0 : f64(nodeCost, node));
  const until = new Float64Array(width).fill(Infinity);
  const from = new Float64Array(width).fill(Infinity);
  until[0] = 0;
  from[n + 1] = 0;
  for (let to = 1; to <= n + 1; to += 1)
    eachArcTo(item, to, (tail, arc) => {
      until[to] = Math.min(f64(until, to), f64(until, tail) + arc + cost(to));
    });
  for (let to = n + 1; to >= 1; to -= 1)
    eachArcTo(item, to, (tail, arc) => {
      from[tail] = Math.min(f64(from, tail), arc + cost(to) + f64(from, to));
    });
  const most = f64(until, n + 1) + spare;
  for (let to = 1; to <= n + 1; to += 1)
    eachArcTo(item, to, (tail, arc) => {
      if (f64(until, tail) + arc + cost(to) + f64(from, to) <= most) within[tail * width + to] = 1;
    });
  return within;
}

function eachArcTo(
  { starts, tails, tailCosts }: ItemTable,
  to: number,
  look: (tail: number, cost: number) => void,
): void {
  const end = i32(starts, to + 1);
  for (let at = i32(starts, to); at < end; at += 1) look(i32(tails, at), f64(tailCosts, at));
}

export function mayHave(arcs: HopefulArcs, machine: number, item: number, place: number): boolean {
  return one(one(arcs, machine), item)[place] === 1;
}
