import type { Assignment } from './column.js';
import { MOST_VISITS } from './daySet.js';
import type { DaySet } from './daySet.js';
import { i32, u8 } from './dense.js';
import type { PricedMachine } from './prices.js';
import { pricedCost } from './respond.js';

/** Nodes on which a machine comes, which are moved one at a time. */
class Visits {
  private readonly now: Int32Array;
  private readonly tried: Int32Array;
  private readonly isVisit: Uint8Array;
  private readonly out: Assignment;
  private count = 0;
  cost: number;

  constructor(
    private readonly priced: PricedMachine,
    private readonly daySet: DaySet,
    readonly done: Assignment,
  ) {
    const { width } = priced.table;
    this.now = new Int32Array(width + 1);
    this.tried = new Int32Array(width + 1);
    this.isVisit = new Uint8Array(width);
    this.out = new Uint8Array(done.length);
    this.cost = pricedCost(priced, done);
    this.load();
  }

  get size(): number {
    return this.count;
  }

  nodeAt(at: number): number {
    return i32(this.now, at);
  }

  has(node: number): boolean {
    return u8(this.isVisit, node) === 1;
  }

  private load(): void {
    const { n, width, items } = this.priced.table;
    this.isVisit.fill(0);
    this.count = 0;
    for (let node = 1; node <= n; node += 1) {
      if (u8(this.priced.open, node) === 0) continue;
      let isVisited = false;
      for (let item = 0; item < items.length && !isVisited; item += 1)
        isVisited = u8(this.done, item * width + node) === 1;
      if (!isVisited) continue;
      this.count += 1;
      this.now[this.count] = node;
      this.isVisit[node] = 1;
    }
  }

  /** Comes no more on one node (0: none), and on another one instead (0: none); whether that was better, and so is done. */
  move(without: number, with_: number): boolean {
    let count = 0;
    let isPlaced = with_ === 0;
    for (let at = 1; at <= this.count; at += 1) {
      const node = i32(this.now, at);
      if (node === without) continue;
      if (!isPlaced && with_ < node) {
        count += 1;
        this.tried[count] = with_;
        isPlaced = true;
      }
      count += 1;
      this.tried[count] = node;
    }
    if (!isPlaced) {
      count += 1;
      this.tried[count] = with_;
    }
    if (count > MOST_VISITS || !(this.daySet.cost(this.tried, count) < this.cost - 1e-7)) return false;
    this.cost = this.daySet.cost(this.tried, count, this.out);
    this.done.set(this.out);
    this.load();
    return true;
  }
}

function dropSome(visits: Visits, { table: { mustVisit } }: PricedMachine): boolean {
  let isBetter = false;
  for (let at = 1; at <= visits.size; at += 1)
    if (u8(mustVisit, visits.nodeAt(at)) === 0 && visits.move(visits.nodeAt(at), 0)) {
      isBetter = true;
      at = 0;
    }
  return isBetter;
}

function mayCome(visits: Visits, { table: { n }, open }: PricedMachine, node: number): boolean {
  return node >= 1 && node <= n && u8(open, node) === 1 && !visits.has(node);
}

/** Moves each visit to a node near it, where that is better. */
function shiftSome(visits: Visits, priced: PricedMachine, far: number): boolean {
  let isBetter = false;
  for (let at = 1; at <= visits.size; at += 1) {
    const node = visits.nodeAt(at);
    if (u8(priced.table.mustVisit, node) === 1) continue;
    for (let by = -far; by <= far; by += 1)
      if (by !== 0 && mayCome(visits, priced, node + by) && visits.move(node, node + by)) {
        isBetter = true;
        break;
      }
  }
  return isBetter;
}

function addSome(visits: Visits, priced: PricedMachine, tried: Uint8Array | null): boolean {
  let isBetter = false;
  for (let node = 1; node <= priced.table.n; node += 1)
    if ((!tried || u8(tried, node) === 1) && mayCome(visits, priced, node) && visits.move(0, node))
      isBetter = true;
  return isBetter;
}

/** How far a search goes: how often round, how far a visit moves at once, and on which nodes one may be added (null: on all). */
export interface Reach {
  readonly rounds: number;
  readonly far: number;
  readonly added: Uint8Array | null;
}

/** Betters an assignment by dropping, moving and adding visits; returns what it costs at prices then. */
export function improve(priced: PricedMachine, daySet: DaySet, done: Assignment, reach: Reach): number {
  const visits = new Visits(priced, daySet, done);
  if (visits.size > MOST_VISITS) return visits.cost;
  visits.move(0, 0);
  for (let round = 0; round < reach.rounds; round += 1) {
    const isDropped = dropSome(visits, priced);
    const isShifted = shiftSome(visits, priced, reach.far);
    const isAdded = addSome(visits, priced, reach.added);
    if (!isDropped && !isShifted && !isAdded) break;
  }
  return visits.cost;
}
