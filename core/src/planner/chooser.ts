import type { Column } from './column.js';
import { f64, one } from './dense.js';
import { carry } from './pool.js';
import type { Load, Pool } from './pool.js';
import type { DayPrices } from './prices.js';

/** A plan in the short list of its machine, with what it costs at the prices of the bound. */
export interface Entry {
  readonly column: Column;
  readonly priced: number;
}

const MOST_LOOKS = 1500;

/** A machine that is to be chosen for: its short list, and its plan as it is. */
interface Open {
  readonly list: readonly Entry[];
  readonly now: Column;
}

/** The best plans of a few machines beside those of all others. */
export class Chooser {
  private best = Infinity;
  private chosen: Column[] | null = null;
  private looks = 0;
  private readonly sofar: Column[] = [];
  /** from each machine on: the least that the rest can cost at prices, and by itself */
  private restPriced = new Float64Array(0);
  private restCost = new Float64Array(0);
  private slack = 0;

  constructor(
    private readonly pool: Pool,
    private readonly load: Load,
    private readonly over: DayPrices,
    private readonly prices: DayPrices,
  ) {}

  /** Better plans, in the order of the machines; null where those of now are best. */
  choose(open: readonly Open[]): Column[] | null {
    const count = open.length;
    this.restPriced = new Float64Array(count + 1);
    this.restCost = new Float64Array(count + 1);
    for (let at = count - 1; at >= 0; at -= 1) {
      const { list } = one(open, at);
      this.restPriced[at] = f64(this.restPriced, at + 1) + (list[0]?.priced ?? 0);
      let least = Infinity;
      for (const { column } of list) least = Math.min(least, column.cost);
      this.restCost[at] = f64(this.restCost, at + 1) + least;
    }
    this.slack = this.worthOfRoom();
    this.best = this.costOfNow(open) - 1e-6;
    this.go(open, 0, 0, 0);
    return this.chosen;
  }

  /** What the room that is left is worth at prices: no choice can gain more than that against the bound. */
  private worthOfRoom(): number {
    const { pool, load, prices } = this;
    let worth = 0;
    for (let day = 0; day < pool.minutes.length; day += 1) {
      worth += f64(prices.minute, day) * Math.max(0, f64(pool.minutes, day) - f64(load.minutes, day));
      worth += f64(prices.bay, day) * Math.max(0, f64(pool.bays, day) - f64(load.bays, day));
    }
    return worth;
  }

  private costOfNow(open: readonly Open[]): number {
    let cost = 0;
    for (const { now } of open) {
      cost += this.costBeside(now);
      carry(this.load, now, 1);
    }
    for (const { now } of open) carry(this.load, now, -1);
    return cost;
  }

  /** What a plan costs beside the others, with what goes beyond what there is. */
  private costBeside({ cost, days, minutes }: Column): number {
    const { load, over, pool } = this;
    let whole = cost;
    for (let at = 0; at < days.length; at += 1) {
      const day = one(days, at);
      const before = f64(load.minutes, day) - f64(pool.minutes, day);
      const after = before + one(minutes, at);
      if (after > 0) whole += f64(over.minute, day) * (before > 0 ? one(minutes, at) : after);
      if (f64(load.bays, day) + 1 > f64(pool.bays, day)) whole += f64(over.bay, day);
    }
    return whole;
  }

  private go(open: readonly Open[], at: number, cost: number, priced: number): void {
    if (at === open.length) {
      if (cost < this.best) {
        this.best = cost;
        this.chosen = [...this.sofar];
      }
      return;
    }
    const restPriced = f64(this.restPriced, at + 1);
    const restCost = f64(this.restCost, at + 1);
    for (const { column, priced: own } of one(open, at).list) {
      if (priced + own + restPriced - this.slack >= this.best) return;
      this.looks += 1;
      if (this.looks > MOST_LOOKS) return;
      if (cost + column.cost + restCost >= this.best) continue;
      const beside = cost + this.costBeside(column);
      if (beside + restCost >= this.best) continue;
      carry(this.load, column, 1);
      this.sofar[at] = column;
      this.go(open, at + 1, beside, priced + own);
      carry(this.load, column, -1);
    }
  }
}
