import { assign, columnOf } from './column.js';
import type { Assignment, Column } from './column.js';
import { DaySet } from './daySet.js';
import { ExactSearch } from './exactSearch.js';
import type { Found, SearchEffort } from './exactSearch.js';
import { u8 } from './dense.js';
import { improve } from './improve.js';
import type { Reach } from './improve.js';
import { PricedMachine } from './prices.js';
import type { DayPrices, OverPrices, Room } from './prices.js';
import { pricedCost, respond } from './respond.js';
import { SplitBound } from './splitBound.js';
import type { MachineTable } from './tables.js';

/** How hard plans of a machine are looked for. */
export interface Effort {
  /** steps of the bound */
  readonly steps: number;
  /** rounds of the search */
  readonly rounds: number;
  /** a plan so near its bound is good enough */
  readonly near: number;
}

/** The cheapest plan found at prices, another one that was met on the way, and what none goes below. */
export interface PricedPlan {
  readonly bound: number;
  readonly cost: number;
  readonly done: Assignment;
  readonly other: Assignment | null;
}

/** The search over the plans of one machine. */
export class MachineSearch {
  readonly priced: PricedMachine;
  private readonly daySet: DaySet;
  private readonly split: SplitBound;
  private exactSearch: ExactSearch | null = null;

  constructor(readonly table: MachineTable) {
    this.priced = new PricedMachine(table);
    this.daySet = new DaySet(this.priced);
    this.split = new SplitBound(this.priced);
  }

  empty(): Assignment {
    return new Uint8Array(this.table.items.length * this.table.width);
  }

  assigned(column: Column): Assignment {
    return assign(column, this.table.width, this.empty());
  }

  column(done: Assignment): Column {
    return columnOf(this.table, done);
  }

  setPrices(prices: DayPrices | null, room: Room | null = null): void {
    this.priced.set(prices, room);
  }

  setSoft(room: Room, beyond: OverPrices): void {
    this.priced.setSoft(room, beyond);
  }

  cost(done: Assignment): number {
    return pricedCost(this.priced, done);
  }

  respond(done: Assignment, passes = 4): number {
    return respond(this.priced, done, passes);
  }

  improve(done: Assignment, reach: Reach): number {
    return improve(this.priced, this.daySet, done, reach);
  }

  /** What the best plan with visits on these nodes (in order, from the second place on) alone costs. */
  onNodes(nodes: Int32Array, count: number, out: Assignment): number {
    return this.daySet.cost(nodes, count, out);
  }

  /** The cheapest plan at prices as far as it is easily found, from a plan that is known (null: from none), with its bound. */
  price(prices: DayPrices, effort: Effort, known: Column | null): PricedPlan {
    this.setPrices(prices);
    this.split.begin();
    let done = known ? this.assigned(known) : this.empty();
    let cost = known ? this.cost(done) : this.respond(done, 2);
    const bound = this.split.better(effort.steps, cost);
    const isNear = () => cost - bound <= Math.max(effort.near, 1e-6);
    if (isNear()) return { bound, cost, done, other: null };
    const rounded = this.empty();
    this.split.write(rounded);
    const reach = { rounds: effort.rounds, far: 2, added: this.visited(rounded) };
    let other: Assignment | null = null;
    const fromBound = this.improve(rounded, reach);
    if (fromBound < cost - 1e-9) {
      [other, done, cost] = [done, rounded, fromBound];
    } else if (fromBound < Infinity) other = rounded;
    if (isNear()) return { bound, cost, done, other };
    const moved = Uint8Array.from(done);
    const fromBest = this.improve(moved, reach);
    return fromBest < cost - 1e-9
      ? { bound, cost: fromBest, done: moved, other }
      : { bound, cost, done, other };
  }

  /** The cheapest plan below a cost, at the prices of the last {@link price} and from its split. */
  exact(below: number, effort: SearchEffort): Found {
    this.exactSearch ??= new ExactSearch(this.priced);
    return this.exactSearch.find(below, effort, this.split.save());
  }

  /** What an item by itself costs on each node, at the prices and the split of the last {@link price}. */
  readonly costsAlone = (item: number): Float64Array => this.split.nodeCostOf(item);

  /** 1 for the nodes on which something is done. */
  visited(done: Assignment): Uint8Array {
    const { n, width, items } = this.table;
    const visited = new Uint8Array(width);
    for (let item = 0; item < items.length; item += 1)
      for (let node = 1; node <= n; node += 1) if (u8(done, item * width + node)) visited[node] = 1;
    return visited;
  }
}
