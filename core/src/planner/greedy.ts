import { visitsOf } from './column.js';
import type { Column } from './column.js';
import { f64, one } from './dense.js';
import type { PlannerInstance, SeasonPlan } from './instance.js';
import { fits, Pool } from './pool.js';
import type { Choice } from './pool.js';
import { takeRoom } from './refit.js';

/** A little above nought, so that visits are not spread where one would do. */
const MINUTE_PRICE = 0.15;

/** A first plan: machines by what waiting would cost, each planned into what is left. What is settled has its room before all. */
export function greedyPlan(pool: Pool): Choice {
  const settled = pool.instance.machines.map((_machine, at) => pool.keep(pool.settled(at)));
  const room = pool.roomBeside(pool.loadOf(settled));
  const byRegret = settled.map(({ cost }, at) => ({ at, cost })).sort((a, b) => b.cost - a.cost);
  const { length } = pool.minutes;
  const prices = { minute: new Float64Array(length).fill(MINUTE_PRICE), bay: new Float64Array(length) };
  const choice: Column[] = [...settled];
  for (const { at } of byRegret) {
    const old = one(settled, at);
    giveRoom(room, old);
    const search = one(pool.searches, at);
    search.setPrices(prices, room);
    const done = search.assigned(old);
    const column = search.respond(done) < Infinity ? search.column(done) : old;
    const kept = fits(column, room) ? pool.keep(column) : old;
    choice[at] = kept;
    takeRoom(room, kept);
  }
  return choice;
}

function giveRoom(room: { minutes: Float64Array; bays: Float64Array }, { days, minutes }: Column): void {
  for (let at = 0; at < days.length; at += 1) {
    const day = one(days, at);
    room.minutes[day] = f64(room.minutes, day) + one(minutes, at);
    room.bays[day] = f64(room.bays, day) + 1;
  }
}

/** A usable plan at once, without a solver: often a tenth dearer than the best. */
export function firstPlan(instance: PlannerInstance): SeasonPlan {
  return greedyPlan(new Pool(instance)).map((column) => visitsOf(instance, column));
}
