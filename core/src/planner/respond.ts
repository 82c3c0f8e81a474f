import { arcsCost, isDone } from './column.js';
import type { Assignment } from './column.js';
import { f64, i32, one, u8 } from './dense.js';
import type { PricedMachine } from './prices.js';
import { ShortestPath } from './shortestPath.js';

/** How much of each node is taken: by items of each opening, by items at all, and minutes of work. */
interface Taken {
  readonly visits: Int32Array;
  readonly openings: readonly Int32Array[];
  readonly minutes: Float64Array;
}

/** What an assignment costs at prices; Infinity where it does not fit. */
export function pricedCost(priced: PricedMachine, done: Assignment): number {
  const { table } = priced;
  const { n, width } = table;
  let cost = table.constant;
  for (let node = 1; node <= n; node += 1) {
    const opened = new Set<number>();
    let minutes = 0;
    let isVisited = false;
    for (let item = 0; item < table.items.length; item += 1) {
      if (!isDone(done, width, item, node)) continue;
      isVisited = true;
      const own = one(table.items, item);
      for (const access of own.access) opened.add(access);
      cost += f64(one(priced.work, item), node);
      minutes += own.minutes;
    }
    if (!isVisited) continue;
    if (u8(priced.open, node) === 0) return Infinity;
    minutes += table.setUp;
    cost += f64(priced.setUp, node);
    for (const access of opened) {
      cost += f64(one(priced.access, access), node);
      minutes += f64(table.access, access);
    }
    if (minutes > f64(priced.limit, node) + 1e-9) return Infinity;
    cost += priced.overCost(node, minutes);
  }
  for (let item = 0; item < table.items.length; item += 1) cost += arcsCost(table, item, done);
  return cost;
}

function takenBy({ table }: PricedMachine): Taken {
  const { width } = table;
  return {
    visits: new Int32Array(width),
    openings: Array.from(table.access, () => new Int32Array(width)),
    minutes: new Float64Array(width),
  };
}

/** Counts an item in (1) or out (-1) on a node. */
function count(taken: Taken, item: { minutes: number; access: readonly number[] }, node: number, by: 1 | -1) {
  taken.visits[node] = i32(taken.visits, node) + by;
  taken.minutes[node] = f64(taken.minutes, node) + by * item.minutes;
  for (const access of item.access) {
    const opened = one(taken.openings, access);
    opened[node] = i32(opened, node) + by;
  }
}

/** What it costs to do an item on a node beside what the others do there; Infinity where it does not fit. */
function besideCost(priced: PricedMachine, taken: Taken, item: number, node: number): number {
  const { table } = priced;
  if (u8(priced.open, node) === 0) return Infinity;
  const own = one(table.items, item);
  let cost = f64(one(priced.work, item), node);
  let minutes = f64(taken.minutes, node) + own.minutes + table.setUp;
  if (i32(taken.visits, node) === 0) cost += f64(priced.setUp, node);
  for (let access = 0; access < taken.openings.length; access += 1) {
    const isOpened = i32(one(taken.openings, access), node) > 0;
    const isNeeded = own.access.includes(access);
    if (isOpened || isNeeded) minutes += f64(table.access, access);
    if (isNeeded && !isOpened) cost += f64(one(priced.access, access), node);
  }
  return minutes > f64(priced.limit, node) + 1e-9 ? Infinity : cost;
}

/** Gives one item its cheapest times beside all others, and counts it there; whether it moved. */
function answer(
  priced: PricedMachine,
  taken: Taken,
  done: Assignment,
  item: number,
  path: ShortestPath,
): boolean {
  const { n, width, items } = priced.table;
  const own = one(items, item);
  const row = item * width;
  const old = done.slice(row, row + width);
  for (let node = 1; node <= n; node += 1) if (u8(old, node)) count(taken, own, node, -1);
  const nodeCost = Float64Array.from({ length: width }, (_, node) =>
    node === 0 || node > n ? 0 : besideCost(priced, taken, item, node),
  );
  if (path.find(own, nodeCost) < Infinity) {
    done.fill(0, row, row + width);
    for (let at = 0; at < path.length; at += 1) done[row + i32(path.nodes, at)] = 1;
  }
  let isMoved = false;
  for (let node = 1; node <= n; node += 1) {
    if (u8(done, row + node)) count(taken, own, node, 1);
    if (u8(done, row + node) !== u8(old, node)) isMoved = true;
  }
  return isMoved;
}

/**
 * Betters an assignment: each item in turn takes its cheapest times, set-ups and openings that others pay for being free, until none
 * moves. Returns what it costs then.
 */
export function respond(priced: PricedMachine, done: Assignment, passes = 4): number {
  const { n, width, items } = priced.table;
  const taken = takenBy(priced);
  for (let item = 0; item < items.length; item += 1)
    for (let node = 1; node <= n; node += 1)
      if (isDone(done, width, item, node)) count(taken, one(items, item), node, 1);
  const path = new ShortestPath(n);
  for (let pass = 0; pass < passes; pass += 1) {
    let isMoved = false;
    for (let item = 0; item < items.length; item += 1)
      if (answer(priced, taken, done, item, path)) isMoved = true;
    if (!isMoved) break;
  }
  return pricedCost(priced, done);
}
