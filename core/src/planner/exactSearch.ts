import type { Assignment } from './column.js';
import { f64, i32, one, u8 } from './dense.js';
import type { PricedMachine } from './prices.js';
import { arcOf } from './tables.js';
import type { SplitBound } from './splitBound.js';

/** What an exact search found: the cheapest plan below its target, or null; and whether it looked at all there is. */
export interface Found {
  readonly done: Assignment | null;
  readonly cost: number;
  readonly isAll: boolean;
}

/** A way to go on from a node: what it costs at least, and which items are done there (null: no visit). */
interface Way {
  readonly least: number;
  readonly items: readonly number[] | null;
}

/** Every set of openings that visits of the machine may need, as bits. */
function openingSets(priced: PricedMachine): number[] {
  const sets = new Set<number>();
  const own = priced.table.items.map(({ access }) => bitsOf(access));
  const add = (set: number) => {
    if (sets.has(set)) return;
    sets.add(set);
    for (const each of own) add(set | each);
  };
  add(0);
  return [...sets];
}

function bitsOf(places: readonly number[]): number {
  return places.reduce((bits, place) => bits | (1 << place), 0);
}

/**
 * The cheapest plan of a machine at its prices, node by node: what each item may cost at least from here on, by itself at the split of the
 * bound, says which ways need not be gone; where two ways come to the same last times, the cheaper one is gone on.
 */
export class ExactSearch {
  private readonly sets: readonly number[];
  private readonly needs: readonly number[];
  /** what an item costs at least after a node, last done on another: at `last * width + node`, by item */
  private readonly rest: readonly Float64Array[];
  private readonly saved: Float64Array;
  private readonly known = new Map<string, number>();
  private readonly now: (readonly number[] | null)[];
  private best = Infinity;
  private found: Assignment | null = null;
  private looks = 0;
  private most = 0;

  constructor(
    private readonly priced: PricedMachine,
    private readonly bound: SplitBound,
  ) {
    const { width, items, n } = priced.table;
    this.sets = openingSets(priced);
    this.needs = items.map(({ access }) => bitsOf(access));
    this.rest = items.map(() => new Float64Array(width * width));
    this.saved = new Float64Array(width + 1);
    this.now = Array.from({ length: n + 1 }, () => null);
  }

  /** The cheapest plan that costs less than `below`, looking at no more than so many nodes. */
  find(below: number, most: number): Found {
    const { n } = this.priced.table;
    this.best = below;
    this.found = null;
    this.looks = 0;
    this.most = most;
    this.known.clear();
    this.now.fill(null);
    this.reckonRest();
    for (let node = n; node >= 1; node -= 1)
      this.saved[node] = f64(this.saved, node + 1) + Math.min(0, f64(this.priced.setUp, node));
    this.go(1, this.priced.table.constant, new Int32Array(this.needs.length));
    return { done: this.found, cost: this.best, isAll: this.looks <= most };
  }

  private reckonRest(): void {
    const { n, width, items } = this.priced.table;
    const toGo = new Float64Array(width);
    for (let item = 0; item < items.length; item += 1) {
      const rest = one(this.rest, item);
      const own = one(items, item);
      const nodeCost = this.bound.nodeCostOf(item);
      for (let last = n; last >= 0; last -= 1) {
        let best = arcOf(own, width, last, n + 1);
        rest[last * width + n] = best;
        for (let next = n; next > last; next -= 1) {
          best = Math.min(best, arcOf(own, width, last, next) + f64(nodeCost, next) + f64(toGo, next));
          rest[last * width + next - 1] = best;
        }
        toGo[last] = f64(rest, last * width + last);
      }
    }
  }

  private go(node: number, cost: number, last: Int32Array): void {
    this.looks += 1;
    if (this.looks > this.most) return;
    const { n } = this.priced.table;
    if (node > n) {
      this.finish(cost, last);
      return;
    }
    for (const { least, items } of this.waysFrom(node, cost, last)) {
      if (least >= this.best - 1e-7 || this.looks > this.most) return;
      if (items) this.visit(node, cost, last, items);
      else this.go(node + 1, cost, last);
    }
  }

  private finish(cost: number, last: Int32Array): void {
    const { n, width, items } = this.priced.table;
    let whole = cost;
    for (let item = 0; item < items.length; item += 1)
      whole += arcOf(one(items, item), width, i32(last, item), n + 1);
    if (whole >= this.best - 1e-7) return;
    this.best = whole;
    const done = new Uint8Array(items.length * width);
    for (const [node, own] of this.now.entries()) for (const item of own ?? []) done[item * width + node] = 1;
    this.found = done;
  }

  private visit(node: number, cost: number, last: Int32Array, done: readonly number[]): void {
    const { priced } = this;
    const { width, items } = priced.table;
    const next = Int32Array.from(last);
    let whole = cost + f64(priced.setUp, node);
    let opened = 0;
    for (const item of done) {
      whole += arcOf(one(items, item), width, i32(last, item), node) + f64(one(priced.work, item), node);
      opened |= one(this.needs, item);
      next[item] = node;
    }
    whole += this.openingCost(opened, node);
    const key = `${node} ${next.join(' ')}`;
    const known = this.known.get(key);
    if (known !== undefined && known <= whole + 1e-9) return;
    this.known.set(key, whole);
    this.now[node] = done;
    this.go(node + 1, whole, next);
    this.now[node] = null;
  }

  private openingCost(opened: number, node: number): number {
    let cost = 0;
    for (let access = 0; access < this.priced.access.length; access += 1)
      if ((opened >> access) & 1) cost += f64(one(this.priced.access, access), node);
    return cost;
  }

  private openingMinutes(opened: number): number {
    const { table } = this.priced;
    let minutes = table.setUp;
    for (let access = 0; access < table.access.length; access += 1)
      if ((opened >> access) & 1) minutes += f64(table.access, access);
    return minutes;
  }

  /** All ways to go on that may still be cheaper, the most promising first. */
  private waysFrom(node: number, cost: number, last: Int32Array): Way[] {
    const { priced } = this;
    const { width, items } = priced.table;
    const later = items.map((_item, item) => f64(one(this.rest, item), i32(last, item) * width + node));
    const rest = cost + f64(this.saved, node + 1);
    const ways: Way[] = [];
    const without = later.reduce((sum, each) => sum + each, rest);
    if (without < this.best - 1e-7) ways.push({ least: without, items: null });
    if (u8(priced.open, node) === 0) return ways;
    const here = items.map(
      (own, item) =>
        arcOf(own, width, i32(last, item), node) +
        f64(one(priced.work, item), node) +
        f64(one(this.rest, item), node * width + node),
    );
    for (const opened of this.sets)
      this.addVisits(ways, { node, opened, rest: rest + f64(priced.setUp, node), later, here });
    return ways.sort((a, b) => a.least - b.least);
  }

  /** Adds the visits with one set of openings: every choice of items that need just these. */
  private addVisits(ways: Way[], at: VisitsAt): void {
    const { needs, priced, best } = this;
    const { node, opened, later, here } = at;
    let least = at.rest + this.openingCost(opened, node);
    const must: number[] = [];
    const may: number[] = [];
    let minutes = this.openingMinutes(opened);
    for (let item = 0; item < needs.length; item += 1) {
      const isAble = (one(needs, item) & ~opened) === 0 && one(here, item) < Infinity;
      if (one(later, item) < Infinity) {
        if (isAble) may.push(item);
        least += isAble ? Math.min(one(here, item), one(later, item)) : one(later, item);
      } else if (isAble) {
        // It can be done on no later day.
        must.push(item);
        least += one(here, item);
        minutes += one(priced.table.items, item).minutes;
      } else return;
    }
    if (least >= best - 1e-7) return;
    const weight = (item: number) => Math.abs(one(here, item) - one(later, item));
    may.sort((a, b) => weight(b) - weight(a));
    this.choose(ways, { ...at, may }, 0, { least, minutes, items: must });
  }

  private choose(ways: Way[], at: VisitsAt & { may: readonly number[] }, next: number, so: SoFar): void {
    const { priced, needs } = this;
    if (so.least >= this.best - 1e-7 || so.minutes > f64(priced.limit, at.node) + 1e-9) return;
    if (next === at.may.length) {
      const opened = so.items.reduce((bits, item) => bits | one(needs, item), 0);
      if (so.items.length && opened === at.opened) ways.push({ least: so.least, items: so.items });
      return;
    }
    const item = one(at.may, next);
    const more = one(at.here, item) - one(at.later, item);
    const minutes = so.minutes + one(priced.table.items, item).minutes;
    const doing = { least: so.least + Math.max(0, more), minutes, items: [...so.items, item] };
    const leaving = { ...so, least: so.least - Math.min(0, more) };
    for (const way of more < 0 ? [doing, leaving] : [leaving, doing]) this.choose(ways, at, next + 1, way);
  }
}

interface SoFar {
  readonly least: number;
  readonly minutes: number;
  readonly items: readonly number[];
}

interface VisitsAt {
  readonly node: number;
  /** as bits */
  readonly opened: number;
  /** what the visit and all that comes after cost at least, without items and openings */
  readonly rest: number;
  /** by item: what it costs at least if it is done later, and if it is done here */
  readonly later: readonly number[];
  readonly here: readonly number[];
}
