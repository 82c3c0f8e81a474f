import { drawn, shuffled } from './chance.js';
import type { Column } from './column.js';
import { f64, one } from './dense.js';
import { carry, costOfChoice } from './pool.js';
import type { Choice, Load, Pool } from './pool.js';
import { overPrices } from './prices.js';
import type { DayPrices, OverPrices } from './prices.js';
import { refit } from './refit.js';

const MOST_STEPS = 30;
/** What a minute and a bay too many cost at first, and by how much more with each step on which they still are. */
const MINUTE_OVER = 5;
const BAY_OVER = 150;
const DEARER = 1.3;
/** So many minutes a bay weighs where the fullest day is drawn. */
const MINUTES_OF_BAY = 50;
/** Steps in which a machine does not go back to the plan that it left. */
const NOT_BACK = 8;
/** A choice dearer than the best by more than this is not worth polishing. */
const WORTH_POLISHING = 300;
const MOST_POLISHING = 4;

/**
 * Makes a choice fit, where few days are too full: on one of these, drawn by how much, the machine gives way that loses least, to days that
 * may become too full in turn, which costs more with each step. What fits then is bettered machine by machine.
 */
class GivingWay {
  private readonly now: Column[];
  private readonly load: Load;
  private readonly over: OverPrices;
  /** by the plan that was left: the step until which nothing goes back to it */
  private readonly left = new Map<string, number>();

  constructor(
    private readonly pool: Pool,
    choice: Choice,
    prices: DayPrices,
    private readonly random: () => number,
  ) {
    this.now = [...choice];
    this.load = pool.loadOf(choice);
    this.over = overPrices(prices, { minute: MINUTE_OVER, bay: BAY_OVER });
  }

  /** Null where it does not come to fit, or costs too much for that. */
  run(upper: number): Column[] | null {
    for (let step = 0; step < MOST_STEPS; step += 1) {
      const day = this.fullDay();
      if (day < 0) {
        if (costOfChoice(this.now) >= upper + WORTH_POLISHING) return null;
        this.polish();
        return this.now;
      }
      this.giveWay(day, step);
      this.makeDearer();
    }
    return null;
  }

  private beyond(day: number): { readonly minutes: number; readonly bays: number } {
    const { load, pool } = this;
    const minutes = f64(load.minutes, day) - f64(pool.minutes, day);
    return {
      minutes: minutes > 1e-6 ? minutes : 0,
      bays: Math.max(0, f64(load.bays, day) - f64(pool.bays, day)),
    };
  }

  /** A day that is too full, the fuller the likelier; -1 where there is none. */
  private fullDay(): number {
    return drawn(this.pool.minutes.length, this.random, (day) => {
      const { minutes, bays } = this.beyond(day);
      return minutes + MINUTES_OF_BAY * bays;
    });
  }

  private giveWay(day: number, step: number): void {
    let least = Infinity;
    let chosen: Column | null = null;
    for (const column of this.now) {
      if (!column.days.includes(day)) continue;
      const { other, loss } = this.otherPlan(column);
      const isLeft = (this.left.get(other.key) ?? 0) > step;
      if (other.key !== column.key && !isLeft && loss < least) [least, chosen] = [loss, other];
    }
    if (!chosen) return;
    this.left.set(one(this.now, chosen.machine).key, step + NOT_BACK);
    this.put(chosen);
  }

  /** A machine's best plan beside all others near the one it has, and what it loses by it. */
  private otherPlan(column: Column): { readonly other: Column; readonly loss: number } {
    const { pool, load } = this;
    carry(load, column, -1);
    const search = one(pool.searches, column.machine);
    search.setSoft(pool.roomBeside(load), this.over);
    carry(load, column, 1);
    const done = search.assigned(column);
    const before = search.cost(done);
    const after = search.improve(done, { rounds: 1, far: 3, added: null });
    return { other: search.column(done), loss: after - before };
  }

  private put(column: Column): void {
    carry(this.load, one(this.now, column.machine), -1);
    carry(this.load, column, 1);
    this.now[column.machine] = this.pool.keep(column);
  }

  private makeDearer(): void {
    const { over } = this;
    for (let day = 0; day < this.pool.minutes.length; day += 1) {
      const { minutes, bays } = this.beyond(day);
      if (minutes > 0) over.minute[day] = DEARER * f64(over.minute, day);
      if (bays > 0) over.bay[day] = DEARER * f64(over.bay, day);
    }
  }

  /** Each machine in turn takes its best plan in the room beside the others, until none gains. */
  private polish(): void {
    const { pool, load, now } = this;
    const nothing = pool.nothing();
    const free: DayPrices = { minute: nothing.minutes, bay: nothing.bays };
    for (let round = 0; round < MOST_POLISHING; round += 1) {
      let isBetter = false;
      for (const column of shuffled(now, this.random)) {
        carry(load, column, -1);
        const room = pool.roomBeside(load);
        carry(load, column, 1);
        const better = refit(pool, column.machine, room, free, { now: column, rounds: 1 });
        if (!better || better.cost >= column.cost - 1e-6) continue;
        this.put(better);
        isBetter = true;
      }
      if (!isBetter) return;
    }
  }
}

/** Makes a choice fit at less than about `upper`; null where it does not succeed. The choice given stays as it is. */
export function giveWay(
  pool: Pool,
  choice: Choice,
  prices: DayPrices,
  { random, upper }: { readonly random: () => number; readonly upper: number },
): Column[] | null {
  return new GivingWay(pool, choice, prices, random).run(upper);
}
