import { f64, i32, one, u8 } from './dense.js';
import { visitMinutesOf } from './instance.js';
import type { PlannedVisit, PlannerInstance } from './instance.js';
import { arcOf } from './tables.js';
import type { MachineTable } from './tables.js';

/** What is done on each node of a machine: 1 at `item * width + node`. */
export type Assignment = Uint8Array;

export function isDone(done: Assignment, width: number, item: number, node: number): boolean {
  return u8(done, item * width + node) === 1;
}

/** The whole plan of one machine: what it costs, and what it takes of which days. */
export interface Column {
  readonly machine: number;
  readonly cost: number;
  /** workshop days by their places in the instance, in order */
  readonly days: readonly number[];
  /** minutes on each of these */
  readonly minutes: readonly number[];
  /** nodes of the machine, and the items done on each */
  readonly nodes: readonly number[];
  readonly items: readonly (readonly number[])[];
  /** the same for the same plan of the same machine */
  readonly key: string;
}

/** What the arcs of an item cost along an assignment. */
export function arcsCost(table: MachineTable, item: number, done: Assignment): number {
  const { n, width } = table;
  const own = one(table.items, item);
  let cost = 0;
  let last = 0;
  for (let node = 1; node <= n; node += 1)
    if (isDone(done, width, item, node)) {
      cost += arcOf(own, width, last, node);
      last = node;
    }
  return cost + arcOf(own, width, last, n + 1);
}

/** The plan of a machine that an assignment stands for. */
export function columnOf(table: MachineTable, done: Assignment): Column {
  const { n, width, place } = table;
  let cost = table.constant;
  const nodes: number[] = [];
  const minutes: number[] = [];
  const items: number[][] = [];
  for (let node = 1; node <= n; node += 1) {
    const own = [...table.items.keys()].filter((item) => isDone(done, width, item, node));
    if (own.length === 0) continue;
    const taken = visitMinutesOf(table, own);
    nodes.push(node);
    minutes.push(taken);
    items.push(own);
    cost += taken + f64(table.ownCost, node);
  }
  for (const item of table.items.keys()) cost += arcsCost(table, item, done);
  const days = nodes.map((node) => i32(table.dayOf, node));
  const key = `${place}:${nodes.map((node, at) => `${node}.${one(items, at).join('.')}`).join(',')}`;
  return { machine: place, cost, days, minutes, nodes, items, key };
}

/** Writes a column into an assignment. */
export function assign(
  { nodes, items }: Pick<Column, 'nodes' | 'items'>,
  width: number,
  done: Assignment,
): Assignment {
  done.fill(0);
  for (const [at, node] of nodes.entries()) for (const item of one(items, at)) done[item * width + node] = 1;
  return done;
}

/** The visits of a column. */
export function visitsOf({ days }: PlannerInstance, column: Column): PlannedVisit[] {
  return column.days.map((day, at) => ({ day: one(days, day).day, items: one(column.items, at) }));
}
