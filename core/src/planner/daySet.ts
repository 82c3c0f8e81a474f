import type { Assignment } from './column.js';
import { f64, i32, one } from './dense.js';
import type { PricedMachine } from './prices.js';
import type { ItemTable, MachineTable } from './tables.js';

/** More visits than this are not looked at: they are kept in the bits of a number. */
export const MOST_VISITS = 28;

/** Items by how much they have to open, then by how long they take: those that decide most come first. */
function inOrder({ items }: MachineTable): number[] {
  return [...items.keys()].sort((a, b) => {
    const [first, second] = [one(items, a), one(items, b)];
    return second.access.length - first.access.length || second.minutes - first.minutes;
  });
}

/**
 * The cheapest plan of a machine that comes on given nodes alone. Each item takes its best times among them; openings are shared by
 * letting items answer each other a few times, so that it is good rather than best.
 */
export class DaySet {
  private readonly table: MachineTable;
  /** by opening, then by visit: how many items need it */
  private readonly openings: readonly Int32Array[];
  private readonly minutes: Float64Array;
  /** items on each visit */
  private readonly visits: Int32Array;
  /** by item: the visits on which it is done, as bits */
  private readonly chosen: Int32Array;
  private readonly reached: Float64Array;
  private readonly before: Int32Array;
  private readonly beside: Float64Array;
  private readonly order: readonly number[];

  constructor(private readonly priced: PricedMachine) {
    const { table } = priced;
    this.table = table;
    const size = MOST_VISITS + 2;
    this.openings = Array.from(table.access, () => new Int32Array(size));
    this.minutes = new Float64Array(size);
    this.visits = new Int32Array(size);
    this.chosen = new Int32Array(table.items.length);
    this.reached = new Float64Array(size);
    this.before = new Int32Array(size);
    this.beside = new Float64Array(size);
    this.order = inOrder(table);
  }

  /** What the plan on `nodes` (1 to `count`, in order) costs at prices; Infinity where there is none. `out` takes it down. */
  cost(nodes: Int32Array, count: number, out: Assignment | null = null): number {
    if (count > MOST_VISITS) return Infinity;
    this.begin(count);
    for (let pass = 0; pass < 3; pass += 1) {
      let isMoved = false;
      for (const item of this.order) {
        const old = i32(this.chosen, item);
        if (pass > 0) this.take(item, old, count, -1);
        const best = this.bestTimes(item, nodes, count, pass > 0);
        if (best < 0) return Infinity;
        if (best !== old) isMoved = true;
        this.chosen[item] = best;
        this.take(item, best, count, 1);
      }
      if (!isMoved && pass > 0) break;
    }
    if (out) this.write(nodes, count, out);
    return this.total(nodes, count);
  }

  private begin(count: number): void {
    const { setUp } = this.table;
    for (let at = 1; at <= count; at += 1) {
      this.minutes[at] = setUp;
      this.visits[at] = 0;
      for (const opened of this.openings) opened[at] = 0;
    }
    this.chosen.fill(0);
  }

  /** Counts an item in or out on its visits; each opening is paid with the first item that needs it. */
  private take(item: number, visits: number, count: number, by: 1 | -1): void {
    const own = one(this.table.items, item);
    const first = by === 1 ? 0 : 1;
    for (let at = 1; at <= count; at += 1) {
      if (((visits >> at) & 1) === 0) continue;
      let minutes = own.minutes;
      for (const access of own.access) {
        const opened = one(this.openings, access);
        const before = i32(opened, at);
        if (before === first) minutes += f64(this.table.access, access);
        opened[at] = before + by;
      }
      this.minutes[at] = f64(this.minutes, at) + by * minutes;
      this.visits[at] = i32(this.visits, at) + by;
    }
  }

  /** What it costs to do an item on each visit beside the others; at first openings are thought to be free. */
  private priceBeside(
    own: ItemTable,
    item: number,
    nodes: Int32Array,
    count: number,
    paysOpenings: boolean,
  ): void {
    const { priced, table, beside } = this;
    const work = one(priced.work, item);
    for (let at = 1; at <= count; at += 1) {
      const node = i32(nodes, at);
      const taken = f64(this.minutes, at);
      let cost = f64(work, node);
      let minutes = taken + own.minutes;
      for (const access of own.access)
        if (i32(one(this.openings, access), at) === 0) {
          minutes += f64(table.access, access);
          if (paysOpenings) cost += f64(one(priced.access, access), node);
        }
      if (priced.isSoft) cost += priced.overCost(node, minutes) - priced.overCost(node, taken);
      beside[at] = minutes > f64(priced.limit, node) + 1e-9 ? Infinity : cost;
    }
  }

  /** The visits on which an item is best done, as bits; -1 where it cannot be. */
  private bestTimes(item: number, nodes: Int32Array, count: number, paysOpenings: boolean): number {
    const own = one(this.table.items, item);
    this.priceBeside(own, item, nodes, count, paysOpenings);
    const { width, n } = this.table;
    const { reached, before, beside } = this;
    const { costs } = own;
    reached[0] = 0;
    for (let to = 1; to <= count + 1; to += 1) {
      const node = to <= count ? i32(nodes, to) : n + 1;
      let best = Infinity;
      let tail = -1;
      for (let from = 0; from < to; from += 1) {
        const cost = f64(reached, from) + f64(costs, (from ? i32(nodes, from) : 0) * width + node);
        if (cost < best) {
          best = cost;
          tail = from;
        }
      }
      reached[to] = to <= count ? best + f64(beside, to) : best;
      before[to] = tail;
    }
    if (!(f64(reached, count + 1) < Infinity)) return -1;
    let visits = 0;
    for (let at = i32(before, count + 1); at > 0; at = i32(before, at)) visits |= 1 << at;
    return visits;
  }

  private total(nodes: Int32Array, count: number): number {
    const { priced, table } = this;
    let cost = table.constant;
    for (let item = 0; item < table.items.length; item += 1) cost += this.itemCost(item, nodes, count);
    for (let at = 1; at <= count; at += 1) {
      if (i32(this.visits, at) === 0) continue;
      const node = i32(nodes, at);
      cost += f64(priced.setUp, node) + priced.overCost(node, f64(this.minutes, at));
      for (let access = 0; access < this.openings.length; access += 1)
        if (i32(one(this.openings, access), at) > 0) cost += f64(one(priced.access, access), node);
    }
    return cost;
  }

  private itemCost(item: number, nodes: Int32Array, count: number): number {
    const { width, n } = this.table;
    const { costs } = one(this.table.items, item);
    const work = one(this.priced.work, item);
    const visits = i32(this.chosen, item);
    let cost = 0;
    let last = 0;
    for (let at = 1; at <= count; at += 1) {
      if (((visits >> at) & 1) === 0) continue;
      const node = i32(nodes, at);
      cost += f64(costs, last * width + node) + f64(work, node);
      last = node;
    }
    return cost + f64(costs, last * width + n + 1);
  }

  private write(nodes: Int32Array, count: number, out: Assignment): void {
    const { width } = this.table;
    out.fill(0);
    for (let item = 0; item < this.chosen.length; item += 1)
      for (let at = 1; at <= count; at += 1)
        if ((i32(this.chosen, item) >> at) & 1) out[item * width + i32(nodes, at)] = 1;
  }
}
