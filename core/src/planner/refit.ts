import { shuffled } from './chance.js';
import type { Column } from './column.js';
import { f64, one } from './dense.js';
import { carry, fits, pricedColumn } from './pool.js';
import type { Choice, Pool } from './pool.js';
import type { DayPrices, Room } from './prices.js';

/** A machine's best plan that fits into the room left, at prices; null where not even what is settled fits. */
export function refit(
  pool: Pool,
  machine: number,
  room: Room,
  prices: DayPrices,
  { now, rounds = 2 }: { readonly now: Column | null; readonly rounds?: number },
): Column | null {
  const search = one(pool.searches, machine);
  search.setPrices(prices, room);
  let best: Column | null = null;
  let least = Infinity;
  for (const column of now ? [now, ...one(pool.byMachine, machine)] : one(pool.byMachine, machine)) {
    const cost = pricedColumn(column, prices);
    if (cost < least - 1e-9 && fits(column, room)) [best, least] = [column, cost];
  }
  best ??= pool.settled(machine);
  const done = search.assigned(best);
  const cost = search.improve(done, { rounds, far: 3, added: null });
  const better = cost < least - 1e-7 ? search.column(done) : best;
  if (fits(better, room)) return better;
  return fits(best, room) ? best : null;
}

/** Makes a choice fit: of machines on days that are too full some leave, in an order by chance, and come back into the room left. */
export function repair(pool: Pool, choice: Choice, prices: DayPrices, random: () => number): Column[] | null {
  const repaired = [...choice];
  const load = pool.loadOf(choice);
  const out = new Set<number>();
  const isOver = (day: number) =>
    f64(load.minutes, day) > f64(pool.minutes, day) + 1e-6 || f64(load.bays, day) > f64(pool.bays, day);
  for (let day = 0; day < pool.minutes.length; day += 1) {
    if (!isOver(day)) continue;
    const onDay = repaired.flatMap((column, machine) =>
      !out.has(machine) && column.days.includes(day) ? [machine] : [],
    );
    for (const machine of shuffled(onDay, random)) {
      if (!isOver(day)) break;
      out.add(machine);
      carry(load, one(repaired, machine), -1);
    }
  }
  const room = pool.roomBeside(load);
  for (const machine of shuffled([...out], random)) {
    const column = refit(pool, machine, room, prices, { now: null, rounds: 1 });
    if (!column) return null;
    repaired[machine] = pool.keep(column);
    takeRoom(room, column);
  }
  return repaired;
}

export function takeRoom(room: Room, { days, minutes }: Column): void {
  for (let at = 0; at < days.length; at += 1) {
    const day = one(days, at);
    room.minutes[day] = f64(room.minutes, day) - one(minutes, at);
    room.bays[day] = f64(room.bays, day) - 1;
  }
}
