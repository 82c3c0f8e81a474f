import { f64, one, u8 } from './dense.js';
import type { NodeCosts, PricedMachine } from './prices.js';

/** What is said of all plans of a branch: something shared (0: the visit, each opening follows) or an item is there on a node, or not. */
export interface Said {
  readonly what: 'shared' | 'item';
  readonly place: number;
  readonly node: number;
  readonly isThere: boolean;
}

/** An item that is said to be done on a node is so much cheaper there, which is added again: its times lead over that node. */
const REWARD = 100_000;

/** What things cost on the nodes of a machine in a branch of its plans. */
export class Restricted implements NodeCosts {
  readonly table;
  readonly open: Uint8Array;
  readonly setUp: Float64Array;
  readonly access: readonly Float64Array[];
  readonly work: readonly Float64Array[];
  /** what all plans of the branch have besides */
  constant = 0;
  /** 1 at `shared * width + node` for what is there whoever needs it, and at `item * width + node` */
  private readonly isShared: Uint8Array;
  private readonly isDone: Uint8Array;

  constructor(private readonly priced: PricedMachine) {
    const { table } = priced;
    this.table = table;
    this.open = priced.open;
    this.setUp = new Float64Array(table.width);
    this.access = priced.access.map(() => new Float64Array(table.width));
    this.work = priced.work.map(() => new Float64Array(table.width));
    this.isShared = new Uint8Array((priced.access.length + 1) * table.width);
    this.isDone = new Uint8Array(priced.work.length * table.width);
  }

  /** Sets the costs of a branch; false where nothing fits what is said. */
  apply(said: readonly Said[]): boolean {
    this.reset();
    for (const { what, place, node, isThere } of said) {
      if (what === 'shared') {
        if (isThere) this.settle(place, node);
        else this.leaveOut(place, node);
      } else if (isThere) this.settleItem(place, node);
      else one(this.work, place)[node] = Infinity;
    }
    return this.keepToRoom();
  }

  /** Whether an item is said to be done on a node. */
  isSettled(item: number, node: number): boolean {
    return u8(this.isDone, item * this.table.width + node) === 1;
  }

  private reset(): void {
    const { priced } = this;
    this.constant = 0;
    this.isShared.fill(0);
    this.isDone.fill(0);
    this.setUp.set(priced.setUp);
    for (const [at, costs] of this.access.entries()) costs.set(one(priced.access, at));
    for (const [at, costs] of this.work.entries()) costs.set(one(priced.work, at));
  }

  private costsOf(shared: number): Float64Array {
    return shared === 0 ? this.setUp : one(this.access, shared - 1);
  }

  private needs(item: number, shared: number): boolean {
    return shared === 0 || one(this.table.items, item).access.includes(shared - 1);
  }

  private settle(shared: number, node: number): void {
    const at = shared * this.table.width + node;
    if (u8(this.isShared, at) === 1) return;
    this.isShared[at] = 1;
    const costs = this.costsOf(shared);
    this.constant += f64(costs, node);
    costs[node] = 0;
  }

  private leaveOut(shared: number, node: number): void {
    this.costsOf(shared)[node] = 0;
    for (const [item, costs] of this.work.entries()) if (this.needs(item, shared)) costs[node] = Infinity;
  }

  private settleItem(item: number, node: number): void {
    this.isDone[item * this.table.width + node] = 1;
    const costs = one(this.work, item);
    costs[node] = f64(costs, node) - REWARD;
    this.constant += REWARD;
    for (let shared = 0; shared <= this.access.length; shared += 1)
      if (this.needs(item, shared)) this.settle(shared, node);
  }

  /** What does not fit beside what is said to be there cannot be done; false where that itself does not fit. */
  private keepToRoom(): boolean {
    const { n, width, items } = this.table;
    for (let node = 1; node <= n; node += 1) {
      const limit = f64(this.priced.limit, node) + 1e-9;
      let minutes = this.minutesOf(0);
      for (let shared = 1; shared <= this.access.length; shared += 1)
        if (u8(this.isShared, shared * width + node) === 1) minutes += this.minutesOf(shared);
      for (const [item, own] of items.entries()) if (this.isSettled(item, node)) minutes += own.minutes;
      if (u8(this.isShared, node) === 1 && minutes > limit) return false;
      for (const [item, own] of items.entries())
        if (!this.isSettled(item, node) && minutes + own.minutes + this.more(item, node) > limit)
          one(this.work, item)[node] = Infinity;
    }
    return true;
  }

  /** Minutes of what an item needs opened that is not said to be. */
  private more(item: number, node: number): number {
    let minutes = 0;
    for (const access of one(this.table.items, item).access)
      if (u8(this.isShared, (access + 1) * this.table.width + node) === 0)
        minutes += this.minutesOf(access + 1);
    return minutes;
  }

  private minutesOf(shared: number): number {
    return shared === 0 ? this.table.setUp : f64(this.table.access, shared - 1);
  }
}
