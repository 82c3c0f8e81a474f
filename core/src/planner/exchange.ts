import { drawn, nth } from './chance.js';
import { Chooser } from './chooser.js';
import type { Entry } from './chooser.js';
import type { Column } from './column.js';
import { f64, one } from './dense.js';
import { giveWay } from './giveWay.js';
import { carry, costOfChoice, pricedColumn } from './pool.js';
import type { Choice, Load, Pool } from './pool.js';
import { overPrices } from './prices.js';
import type { DayPrices } from './prices.js';
import { repair } from './refit.js';

const FEWEST_MACHINES = 3;
const MOST_MACHINES = 6;
/** Plans in a short list, and as many more as are made on the way. */
const SHORT_LIST = 30;
const MADE_BESIDE = 20;
/** What a minute and a bay too many cost at first. */
const MINUTE_OVER = 1.5;
const BAY_OVER = 30;
const MAKE_EVERY = 12;
const WEIGH_EVERY = 32;
const REPAIR_EVERY = 200;
/** On small sites few plans fit beside each other, and machines give way for it: measured, dearer on large ones than it is worth. */
export const FEW_MACHINES = 30;
const GIVE_WAY_EVERY = 120;
/** Part of the steps that begin at a day that is too full, where there is one. */
const AT_FULL_DAYS = 0.7;

/** What the exchange is begun with. */
export interface ExchangeBegin {
  readonly choice: Choice;
  /** of the bound */
  readonly prices: DayPrices;
  /** reduced cost up to which plans are in the short lists */
  readonly reach: number;
  /** the cost that is to be undercut */
  readonly upper: number;
}

/**
 * Betters a choice: the plans of a few machines at a time, round a day that is too full or dear, are chosen anew from their short lists
 * by branch and bound. A choice may be too full on the way; what is too much costs more the longer it stays.
 */
export class Exchange {
  private readonly now: Column[];
  private readonly load: Load;
  private readonly over: DayPrices;
  private readonly lists: Entry[][];
  /** machines by the days on which they come */
  private readonly onDay: readonly Set<number>[];
  private cost: number;
  private steps = 0;
  private lastFound = 0;
  private upper: number;

  constructor(
    private readonly pool: Pool,
    private readonly begin: ExchangeBegin,
    private readonly random: () => number,
    private readonly onFound: (choice: Choice) => void,
  ) {
    const { prices, choice, reach } = begin;
    this.now = [...choice];
    this.upper = begin.upper;
    this.load = pool.loadOf(choice);
    this.over = overPrices(prices, { minute: MINUTE_OVER, bay: BAY_OVER });
    this.lists = pool.byMachine.map((columns, machine) =>
      shortList(columns, one(choice, machine), prices, reach),
    );
    this.onDay = Array.from(pool.minutes, () => new Set<number>());
    for (const [machine, { days }] of choice.entries())
      for (const day of days) one(this.onDay, day).add(machine);
    this.cost = costOfChoice(choice);
  }

  /** Goes on until it is told to stop; returns where it came to, be it too full. */
  run(isOver: () => boolean): Choice {
    while (this.steps % WEIGH_EVERY !== 0 || !isOver()) {
      if (this.steps % WEIGH_EVERY === 0) this.weigh();
      this.steps += 1;
      this.step();
      if (this.steps % this.repairEvery === 0) this.tryRepair();
    }
    return this.now;
  }

  /** What is too full becomes dearer, what is not becomes cheaper again. */
  private weigh(): void {
    const { load, over, pool, begin } = this;
    for (let day = 0; day < pool.minutes.length; day += 1) {
      const minute = f64(over.minute, day);
      over.minute[day] =
        f64(load.minutes, day) > f64(pool.minutes, day) + 1e-6
          ? Math.min(500, minute * 1.08 + 0.02)
          : Math.max(0.6 * MINUTE_OVER, f64(begin.prices.minute, day), minute * 0.985);
      const bay = f64(over.bay, day);
      over.bay[day] =
        f64(load.bays, day) > f64(pool.bays, day)
          ? Math.min(20_000, bay * 1.1)
          : Math.max(10, f64(begin.prices.bay, day), bay * 0.98);
    }
  }

  private step(): void {
    const machines = this.machinesRound(this.dayToBeginAt());
    for (const machine of machines) carry(this.load, one(this.now, machine), -1);
    if (this.steps % MAKE_EVERY === 0) this.makeOne(machines);
    machines.sort((a, b) => one(this.lists, a).length - one(this.lists, b).length);
    const chosen = new Chooser(this.pool, this.load, this.over, this.begin.prices).choose(
      machines.map((machine) => ({ list: one(this.lists, machine), now: one(this.now, machine) })),
    );
    for (const [at, column] of chosen?.entries() ?? []) this.put(one(machines, at), column);
    for (const machine of machines) carry(this.load, one(this.now, machine), 1);
    if ((chosen || this.steps === 1) && this.cost < this.upper - 1e-6 && this.pool.beyond(this.load) < 1e-6)
      this.find(this.now);
  }

  private put(machine: number, column: Column): void {
    const old = one(this.now, machine);
    if (old === column) return;
    for (const day of old.days) one(this.onDay, day).delete(machine);
    for (const day of column.days) one(this.onDay, day).add(machine);
    this.cost += column.cost - old.cost;
    this.now[machine] = column;
  }

  private find(choice: Choice): void {
    this.upper = costOfChoice(choice);
    this.lastFound = this.steps;
    this.onFound([...choice]);
  }

  private get isSmall(): boolean {
    return this.now.length <= FEW_MACHINES;
  }

  private get repairEvery(): number {
    return this.isSmall ? GIVE_WAY_EVERY : REPAIR_EVERY;
  }

  private tryRepair(): void {
    const isFull = this.pool.beyond(this.load) > 1e-6;
    if (!isFull || this.steps - this.lastFound < this.repairEvery || this.cost >= this.upper - 1e-6) return;
    const { prices } = this.begin;
    const part = (list: Float64Array) => list.map((price) => 0.4 * price);
    const gentle = { minute: part(prices.minute), bay: part(prices.bay) };
    const { pool, now, random, upper } = this;
    const repaired = this.isSmall
      ? giveWay(pool, now, gentle, { random, upper })
      : repair(pool, now, gentle, random);
    if (repaired && costOfChoice(repaired) < this.upper - 1e-6) this.find(repaired);
  }

  /** A day that is too full, where there is one and by chance; else one by its price. */
  private dayToBeginAt(): number {
    const { load, pool, random, begin } = this;
    if (random() < AT_FULL_DAYS) {
      const full = drawn(pool.minutes.length, random, (day) => {
        const minutes = Math.max(0, f64(load.minutes, day) - f64(pool.minutes, day));
        return minutes + 30 * Math.max(0, f64(load.bays, day) - f64(pool.bays, day));
      });
      if (full >= 0) return full;
    }
    return Math.max(
      0,
      drawn(pool.minutes.length, random, (day) => 0.05 + f64(begin.prices.minute, day)),
    );
  }

  /** A few machines that come on a day or near it, and some from anywhere. */
  private machinesRound(day: number): number[] {
    const { random, onDay, now } = this;
    const count = FEWEST_MACHINES + Math.floor(random() * (MOST_MACHINES - FEWEST_MACHINES + 1));
    const chosen = new Set<number>();
    const oneOn = (on: number) => nth(one(onDay, on), random);
    const first = oneOn(day);
    if (first !== null) chosen.add(first);
    const second = random() < 0.5 ? oneOn(day) : null;
    if (second !== null) chosen.add(second);
    for (let tries = 0; chosen.size < count && tries < 20; tries += 1) {
      const near = Math.min(onDay.length - 1, Math.max(0, day + Math.floor(random() * 7) - 3));
      const machine = random() < 0.6 ? oneOn(near) : Math.floor(random() * now.length);
      if (machine !== null && one(this.lists, machine).length > 1) chosen.add(machine);
    }
    return [...chosen];
  }

  /** A new plan of the first machine for the room beside all others but those that are chosen with it. */
  private makeOne(machines: readonly number[]): void {
    const [machine] = machines;
    if (machine === undefined) return;
    const { pool, random, begin } = this;
    const room = pool.roomBeside(this.load);
    for (const other of machines.slice(1)) {
      const { days, minutes } = one(this.now, other);
      for (const [at, day] of days.entries()) {
        room.minutes[day] = f64(room.minutes, day) - one(minutes, at);
        room.bays[day] = f64(room.bays, day) - 1;
      }
    }
    const search = one(pool.searches, machine);
    const list = one(this.lists, machine);
    search.setSoft(room, this.over);
    const from =
      random() < 0.5 ? one(this.now, machine) : one(list, Math.floor(random() * list.length)).column;
    const done = search.assigned(from);
    const added = Uint8Array.from({ length: search.table.width }, () => (random() < 0.2 ? 1 : 0));
    if (!(search.improve(done, { rounds: 1, far: 2, added }) < Infinity)) return;
    const { column, isNew } = pool.add(search.column(done));
    if (!isNew) return;
    list.push({ column, priced: pricedColumn(column, begin.prices) });
    list.sort((a, b) => a.priced - b.priced);
    if (list.length <= SHORT_LIST + MADE_BESIDE) return;
    const last = list.findIndex(
      (entry, at) => at >= SHORT_LIST && entry.column !== one(this.now, machine) && entry.column !== column,
    );
    if (last >= 0) list.splice(last, 1);
  }
}

/** The plans of a machine that are near its cheapest at prices, the cheapest first, the present one among them. */
function shortList(columns: readonly Column[], now: Column, prices: DayPrices, reach: number): Entry[] {
  const all = columns.map((column) => ({ column, priced: pricedColumn(column, prices) }));
  all.sort((a, b) => a.priced - b.priced);
  const limit = (all[0]?.priced ?? 0) + reach;
  const list = all.slice(0, SHORT_LIST).filter(({ priced }, at) => at === 0 || priced <= limit);
  return list.some(({ column }) => column === now)
    ? list
    : [...list, { column: now, priced: pricedColumn(now, prices) }];
}
