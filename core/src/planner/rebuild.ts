import type { Column } from './column.js';
import { one } from './dense.js';
import { carry, costOfChoice } from './pool.js';
import type { Choice, Load, Pool } from './pool.js';
import type { DayPrices } from './prices.js';
import { refit, shuffled, takeRoom } from './refit.js';

const FEWEST_MACHINES = 2;
const MOST_MACHINES = 6;
/** Days to either side that count as near. */
const NEAR_DAYS = 3;
/** A choice that is dearer by this share at most is gone on from: out of what only looks best. */
const MOST_DEARER = 0.01;
/** So many tries without a better one, and it begins again at the best. */
const PATIENCE = 120;

/** What is begun with: a choice that fits, and the prices of the bound. */
export interface RebuildBegin {
  readonly choice: Choice;
  readonly prices: DayPrices;
}

/**
 * Betters a choice that fits: the plans of a few machines that come near a day are taken out and made anew one after the other for the
 * room that is left, in an order by chance. Nothing is ever too full. On small sites, where each day holds few visits, that finds what
 * exchanges between full days do not.
 */
export class Rebuild {
  private best: Choice;
  private leastCost: number;
  private now: Column[];
  private cost: number;
  private load: Load;
  private tries = 0;
  private lastBetter = 0;

  constructor(
    private readonly pool: Pool,
    private readonly begin: RebuildBegin,
    private readonly random: () => number,
    private readonly onFound: (choice: Choice) => void,
  ) {
    this.best = begin.choice;
    this.leastCost = costOfChoice(begin.choice);
    this.now = [...begin.choice];
    this.cost = this.leastCost;
    this.load = pool.loadOf(begin.choice);
  }

  run(isOver: () => boolean): void {
    while (!isOver()) {
      this.tries += 1;
      this.step();
      if (this.tries - this.lastBetter > PATIENCE) this.goBack();
    }
  }

  private goBack(): void {
    this.now = [...this.best];
    this.cost = this.leastCost;
    this.load = this.pool.loadOf(this.best);
    this.lastBetter = this.tries;
  }

  private step(): void {
    const { pool, random } = this;
    const machines = this.machinesRound(Math.floor(random() * pool.minutes.length));
    for (const machine of machines) carry(this.load, one(this.now, machine), -1);
    const anew = this.madeAnew(machines);
    const cost = anew
      ? anew.reduce((sum, column) => sum + column.cost - one(this.now, column.machine).cost, this.cost)
      : Infinity;
    if (anew && cost <= this.leastCost * (1 + MOST_DEARER * random() ** 2)) {
      for (const column of anew) this.now[column.machine] = pool.keep(column);
      this.cost = cost;
    }
    for (const machine of machines) carry(this.load, one(this.now, machine), 1);
    if (this.cost < this.leastCost - 1e-6) this.find();
  }

  private find(): void {
    this.best = [...this.now];
    this.leastCost = costOfChoice(this.best);
    this.lastBetter = this.tries;
    this.onFound(this.best);
  }

  /** Plans of these machines for the room beside all others; null where one of them finds none. */
  private madeAnew(machines: readonly number[]): Column[] | null {
    const { pool, random, begin } = this;
    const room = pool.roomBeside(this.load);
    const part = 0.9 * random();
    const gentle: DayPrices = {
      minute: begin.prices.minute.map((price) => part * price * (0.5 + random())),
      bay: begin.prices.bay.map((price) => part * price * (0.5 + random())),
    };
    const anew: Column[] = [];
    for (const machine of shuffled(machines, random)) {
      const column = refit(pool, machine, room, gentle, { now: null, rounds: 1 });
      if (!column) return null;
      anew.push(column);
      takeRoom(room, column);
    }
    return anew;
  }

  /** A few machines that come on a day or near it, and now and then one from anywhere. */
  private machinesRound(day: number): number[] {
    const { random, now } = this;
    const near = [...now.keys()].filter((machine) =>
      one(now, machine).days.some((on) => Math.abs(on - day) <= NEAR_DAYS),
    );
    const count = FEWEST_MACHINES + Math.floor(random() * (MOST_MACHINES - FEWEST_MACHINES + 1));
    const chosen = new Set(shuffled(near, random).slice(0, count));
    if (random() < 0.3) chosen.add(Math.floor(random() * now.length));
    return [...chosen];
  }
}
