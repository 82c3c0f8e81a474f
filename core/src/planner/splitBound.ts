import type { Assignment } from './column.js';
import { f64, i32, one, u8 } from './dense.js';
import type { NodeCosts } from './prices.js';
import { ShortestPath } from './shortestPath.js';

/** Something that several items pay for together on a node: the visit itself, or an opening. */
interface Shared {
  readonly cost: Float64Array;
  readonly members: readonly number[];
  /** what each member pays of it, by member, then by node */
  readonly parts: readonly Float64Array[];
}

/** Something shared that items use on a node without paying all of it together. */
export interface Unpaid {
  /** 0: the visit; each opening follows */
  readonly shared: number;
  readonly node: number;
  readonly by: number;
}

/** Steps without a better bound before steps become shorter. */
const PATIENCE = 6;

/** How much an item pays for what is shared: a part of it. */
interface Pays {
  readonly shared: number;
  readonly part: Float64Array;
}

/**
 * A bound that no plan of a machine goes below at its prices. What items share is split among them, so that each takes its cheapest times
 * by itself; the split is bettered step by step (projected subgradient of the Lagrangean).
 */
export class SplitBound {
  private readonly shared: readonly Shared[];
  private readonly pays: readonly (readonly Pays[])[];
  private readonly nodeCost: readonly Float64Array[];
  private readonly paths: readonly ShortestPath[];
  private readonly touched: Uint8Array;
  private readonly best: readonly (readonly Float64Array[])[];
  /** what all plans have below nought: visits that pay for themselves */
  private belowZero = 0;

  constructor(private readonly costs: NodeCosts) {
    const { table, setUp, access: openings } = costs;
    const { width, items } = table;
    const perNode = () => new Float64Array(width);
    const sharing = (cost: Float64Array, members: readonly number[]): Shared => ({
      cost,
      members,
      parts: members.map(perNode),
    });
    this.shared = [
      sharing(setUp, [...items.keys()]),
      ...openings.map((cost, access) =>
        sharing(
          cost,
          [...items.keys()].filter((item) => one(items, item).access.includes(access)),
        ),
      ),
    ];
    this.pays = items.map((_item, item) =>
      this.shared.flatMap(({ members, parts }, shared) => {
        const at = members.indexOf(item);
        return at < 0 ? [] : [{ shared, part: one(parts, at) }];
      }),
    );
    this.nodeCost = items.map(perNode);
    this.paths = items.map(() => new ShortestPath(table.n));
    this.touched = new Uint8Array(this.shared.length * width);
    this.best = this.shared.map(({ parts }) => parts.map(perNode));
  }

  /** Fits the split to new prices: it adds up to what is shared, evenly where nothing was split yet. */
  begin(): void {
    const { table } = this.costs;
    this.belowZero = 0;
    for (let node = 1; node <= table.n; node += 1) this.belowZero += Math.min(0, f64(this.costs.setUp, node));
    for (const shared of this.shared) for (let node = 1; node <= table.n; node += 1) this.fit(shared, node);
    for (let item = 0; item < this.nodeCost.length; item += 1) this.priceItem(item);
  }

  private fit({ cost, members, parts }: Shared, node: number): void {
    const whole = Math.max(0, f64(cost, node));
    let sum = 0;
    for (const part of parts) sum += f64(part, node);
    if (sum > 1e-12) {
      for (const part of parts) part[node] = (f64(part, node) * whole) / sum;
      return;
    }
    const { items } = this.costs.table;
    const able = members.map((item) => u8(one(items, item).reachable, node));
    const count = able.reduce((all, is) => all + is, 0);
    for (let at = 0; at < parts.length; at += 1) one(parts, at)[node] = one(able, at) ? whole / count : 0;
  }

  private priceItem(item: number): void {
    for (let node = 1; node <= this.costs.table.n; node += 1) this.priceNode(item, node);
  }

  private priceNode(item: number, node: number): void {
    let cost = Infinity;
    if (u8(this.costs.open, node) === 1) {
      cost = f64(one(this.costs.work, item), node);
      for (const { part } of one(this.pays, item)) cost += f64(part, node);
    }
    one(this.nodeCost, item)[node] = cost;
  }

  /** Betters the split in at most so many steps, against a plan that costs `upper`; returns the best bound. */
  better(steps: number, upper: number): number {
    let bound = -Infinity;
    let length = 1;
    let patience = 0;
    for (let step = 0; step < steps; step += 1) {
      const { cost, spread } = this.solve();
      const isMuch = cost > bound + 0.02 * Math.max(1, upper - bound);
      patience = cost > bound + 1e-9 && isMuch ? 0 : patience + 1;
      if (cost > bound + 1e-9) {
        bound = cost;
        this.keep();
      }
      if (bound >= upper - 1e-6 || spread === 0) break;
      if (patience >= PATIENCE) {
        length *= 0.6;
        patience = 0;
        if (length < 0.02) break;
      }
      if (!this.step((length * Math.max(0.5, upper - cost)) / spread)) break;
    }
    this.takeBest();
    return bound;
  }

  /** Every item on its cheapest times at the present split. */
  private solve(): { cost: number; spread: number } {
    const { items, constant } = this.costs.table;
    let cost = this.belowZero + constant;
    let spread = 0;
    for (let item = 0; item < items.length; item += 1) {
      const path = one(this.paths, item);
      cost += path.find(one(items, item), one(this.nodeCost, item));
      spread += path.length * one(this.pays, item).length;
    }
    return { cost, spread };
  }

  /** The split as it stands, to {@link load} it again. */
  save(): Float64Array {
    const all = this.shared.flatMap(({ parts }) => parts);
    const saved = new Float64Array(all.length * this.costs.table.width);
    for (const [at, part] of all.entries()) saved.set(part, at * this.costs.table.width);
    return saved;
  }

  /** Takes a split that was saved; {@link begin} fits it to the costs of now. */
  load(saved: Float64Array): void {
    const { width } = this.costs.table;
    let at = 0;
    for (const { parts } of this.shared)
      for (const part of parts) {
        part.set(saved.subarray(at, at + width));
        at += width;
      }
  }

  /** What is used and paid least of, at the times that were written last; null where all is paid. */
  mostUnpaid(): Unpaid | null {
    const { width } = this.costs.table;
    const paid = new Map<number, number>();
    for (const [item, { nodes, length }] of this.paths.entries())
      for (let at = 0; at < length; at += 1) {
        const node = i32(nodes, at);
        for (const { shared, part } of one(this.pays, item)) {
          const place = shared * width + node;
          paid.set(place, (paid.get(place) ?? 0) + f64(part, node));
        }
      }
    let most: Unpaid | null = null;
    for (const [place, sum] of paid) {
      const shared = Math.floor(place / width);
      const node = place % width;
      const by = f64(one(this.shared, shared).cost, node) - sum;
      if (by > (most?.by ?? 0)) most = { shared, node, by };
    }
    return most;
  }

  private keep(): void {
    for (let at = 0; at < this.shared.length; at += 1)
      for (let member = 0; member < one(this.best, at).length; member += 1)
        one(one(this.best, at), member).set(one(one(this.shared, at).parts, member));
  }

  private takeBest(): void {
    for (let at = 0; at < this.shared.length; at += 1)
      for (let member = 0; member < one(this.best, at).length; member += 1)
        one(one(this.shared, at).parts, member).set(one(one(this.best, at), member));
    for (let item = 0; item < this.nodeCost.length; item += 1) this.priceItem(item);
  }

  /** Who uses something on a node pays more of it; then all parts are brought back to the whole. */
  private step(by: number): boolean {
    const { width, n } = this.costs.table;
    this.touched.fill(0);
    for (let item = 0; item < this.paths.length; item += 1) {
      const path = one(this.paths, item);
      for (let at = 0; at < path.length; at += 1) {
        const node = i32(path.nodes, at);
        for (const { shared, part } of one(this.pays, item)) {
          part[node] = f64(part, node) + by;
          this.touched[shared * width + node] = 1;
        }
      }
    }
    let isMoved = false;
    for (let at = 0; at < this.shared.length; at += 1)
      for (let node = 1; node <= n; node += 1) {
        if (u8(this.touched, at * width + node) === 0) continue;
        const shared = one(this.shared, at);
        bringBack(shared, node);
        for (const item of shared.members) this.priceNode(item, node);
        isMoved = true;
      }
    return isMoved;
  }

  /** What each item would do by itself on a node costs, at the present split. */
  nodeCostOf(item: number): Float64Array {
    return one(this.nodeCost, item);
  }

  /** The times that the items would take by themselves. */
  write(done: Assignment): void {
    const { width, items } = this.costs.table;
    this.solve();
    done.fill(0);
    for (let item = 0; item < items.length; item += 1) {
      const path = one(this.paths, item);
      for (let at = 0; at < path.length; at += 1) done[item * width + i32(path.nodes, at)] = 1;
    }
  }
}

/** Lowers the parts evenly until they add up to the whole; none goes below nought (projection on a simplex). */
function bringBack({ cost, parts }: Shared, node: number): void {
  const whole = Math.max(0, f64(cost, node));
  for (;;) {
    let sum = 0;
    let count = 0;
    for (const part of parts) {
      const own = f64(part, node);
      if (own <= 0) continue;
      sum += own;
      count += 1;
    }
    const beyond = sum - whole;
    if (beyond <= 1e-9 || count === 0) return;
    const each = beyond / count;
    let isClipped = false;
    for (const part of parts) {
      const own = f64(part, node);
      if (own <= 0) continue;
      if (own <= each) isClipped = true;
      part[node] = Math.max(0, own - each);
    }
    if (!isClipped) return;
  }
}
