import { addDays, dateOfDayNumber, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { ReachedDates } from '../usage/usageModel.js';
import { roundQuantity } from './ledger.js';

/** Something that will be taken from the shelf, as far as the schedule knows when. */
export interface Demand extends ReachedDates {
  readonly expectedOn: CivilDate;
  /** pieces or litres, each time all of it */
  readonly quantity: number;
}

/** Something that was ordered and is to come. */
export interface Arrival {
  readonly on: CivilDate;
  readonly quantity: number;
}

/** Rounding must not make an amount that is there look short, nor a day late. */
const A_LITTLE = 1e-6;

/** Chance of the 10 %, expected and 90 % points. */
const [EARLY, EXPECTED, LATE] = [0.1, 0.5, 0.9];

/** From `from` with the chance `low` to `to` with the chance `high`, straight between them, and on beyond both to 0 and 1. */
function straight(
  day: number,
  from: number,
  to: number,
  [low, high]: readonly [low: number, high: number],
): number {
  if (to <= from) return day < from ? low : high;
  return low + ((day - from) / (to - from)) * (high - low);
}

/**
 * The chance that a demand comes by a day (with it): through the 10 % point, the expected day and the 90 % point in straight lines,
 * and on beyond them to 0 and 1. Without a 90 % point the machine may never come so far: it stays at one half.
 */
export function chanceBy({ earlyOn, expectedOn, lateOn }: Omit<Demand, 'quantity'>, on: CivilDate): number {
  const day = dayNumber(on);
  const middle = dayNumber(expectedOn);
  if (day < middle) {
    const early = earlyOn === null ? middle : dayNumber(earlyOn);
    if (early >= middle) return 0;
    return Math.max(0, straight(day, early, middle, [EARLY, EXPECTED]));
  }
  if (lateOn === null) return EXPECTED;
  const late = dayNumber(lateOn);
  return late <= middle ? 1 : Math.min(1, straight(day, middle, late, [EXPECTED, LATE]));
}

/** The first day by which a demand comes with a chance (above 0, below 1); null where it never does. */
export function firstDayOf(
  { earlyOn, expectedOn, lateOn }: Omit<Demand, 'quantity'>,
  chance: number,
): CivilDate | null {
  const middle = dayNumber(expectedOn);
  const after = (from: number, days: number) => dateOfDayNumber(Math.ceil(from + days - A_LITTLE));
  if (chance <= EXPECTED) {
    const early = earlyOn === null ? middle : dayNumber(earlyOn);
    return after(early, ((chance - EARLY) / (EXPECTED - EARLY)) * (middle - early));
  }
  if (lateOn === null) return null;
  return after(middle, ((chance - EXPECTED) / (LATE - EXPECTED)) * (dayNumber(lateOn) - middle));
}

/** What is expected to be taken in each of the coming weeks, the first beginning today. */
export function weeklyDemand(demands: readonly Demand[], today: CivilDate, weeks: number): number[] {
  const ends = Array.from({ length: weeks }, (_, week) => addDays(today, 7 * week + 6));
  return ends.map((end, week) => {
    const before = ends[week - 1];
    const sum = demands.reduce((all, demand) => {
      const earlier = before === undefined ? 0 : chanceBy(demand, before);
      return all + demand.quantity * (chanceBy(demand, end) - earlier);
    }, 0);
    return roundQuantity(sum);
  });
}

/** Where chances are reckoned, litres go by tenths, and what is taken in parts of a piece (grease out of a cartridge) by hundredths. */
const LITRES_OF_A_STEP = 0.1;
const PARTS_OF_A_STEP = 0.01;

function finestStep(demands: readonly Demand[], unit: 'piece' | 'litre'): number {
  if (unit === 'litre') return LITRES_OF_A_STEP;
  return demands.every(({ quantity }) => Number.isInteger(quantity)) ? 1 : PARTS_OF_A_STEP;
}

/** So many steps are told apart; of more than that, several are one. */
const MOST_STEPS = 4_000;

/**
 * How likely each amount is to be taken by a day, machines reckoned as independent of each other: at place k the chance of k steps of
 * `step`.
 */
function takenBy(demands: readonly Demand[], on: CivilDate, unit: 'piece' | 'litre') {
  const all = demands.reduce((sum, { quantity }) => sum + quantity, 0);
  const step = Math.max(finestStep(demands, unit), all / MOST_STEPS);
  let chances = [1];
  for (const demand of demands) {
    const chance = chanceBy(demand, on);
    if (chance <= 0) continue;
    const steps = Math.max(1, Math.round(demand.quantity / step));
    const next = new Array<number>(chances.length + steps).fill(0);
    for (const [taken, before] of chances.entries()) {
      next[taken] = (next[taken] ?? 0) + before * (1 - chance);
      next[taken + steps] = (next[taken + steps] ?? 0) + before * chance;
    }
    chances = next;
  }
  return { chances, step };
}

/** The chance that more is taken by a day than `available`. */
export function chanceOfShortage(
  demands: readonly Demand[],
  available: number,
  on: CivilDate,
  unit: 'piece' | 'litre',
): number {
  const { chances, step } = takenBy(demands, on, unit);
  return chances.reduce(
    (sum, chance, steps) =>
      steps * step > Math.max(0, available) + step / 2 - A_LITTLE ? sum + chance : sum,
    0,
  );
}

/** So much has to be there that it is enough by a day with a chance of `sure` (0 to 1). */
export function enoughFor(
  demands: readonly Demand[],
  on: CivilDate,
  unit: 'piece' | 'litre',
  sure: number,
): number {
  const { chances, step } = takenBy(demands, on, unit);
  let sum = 0;
  for (const [steps, chance] of chances.entries()) {
    sum += chance;
    if (sum >= sure - A_LITTLE) return roundQuantity(steps * step);
  }
  return roundQuantity((chances.length - 1) * step);
}

/** How the stock of an article stands against what is coming. */
export interface Outlook {
  /** taken by the end of the time looked at, as expected */
  readonly expected: number;
  /** the chance that it runs out before an order of today is there */
  readonly chanceBeforeArrival: number;
  /** the first day on which it is less sure than wanted that there is enough; null where there is enough all through */
  readonly shortOn: CivilDate | null;
  /** the last day on which an order comes in time for that; before today where it is too late */
  readonly orderBy: CivilDate | null;
  /** what is to be there for the days until an order arrives, beyond what they are expected to take */
  readonly safety: number;
}

interface Stocked {
  readonly unit: 'piece' | 'litre';
  readonly onHand: number;
  readonly arrivals: readonly Arrival[];
  /** days from the order to the shelf */
  readonly leadDays: number;
  /** how sure it has to be that there is enough, 0 to 1 */
  readonly sure: number;
}

/** The outlook of one article over the coming weeks. */
export function outlookOf(
  demands: readonly Demand[],
  { unit, onHand, arrivals, leadDays, sure }: Stocked,
  today: CivilDate,
  weeks: number,
): Outlook {
  const there = (on: CivilDate) =>
    arrivals.reduce((sum, arrival) => (arrival.on <= on ? sum + arrival.quantity : sum), onHand);
  const isShort = (days: number) => {
    const on = addDays(today, days);
    return chanceOfShortage(demands, there(on), on, unit) > 1 - sure + A_LITTLE;
  };
  const last = 7 * weeks - 1;
  // What is taken only grows: between two arrivals the first day that is short is found by halves.
  const begins = [0, ...arrivals.map(({ on }) => dayNumber(on) - dayNumber(today))]
    .filter((days) => days >= 0 && days <= last)
    .sort((a, b) => a - b);
  let shortIn: number | null = null;
  for (const [at, begin] of begins.entries()) {
    const end = (begins[at + 1] ?? last + 1) - 1;
    if (end < begin || !isShort(end)) continue;
    let [low, high] = [begin, end];
    while (low < high) {
      const middle = Math.floor((low + high) / 2);
      if (isShort(middle)) high = middle;
      else low = middle + 1;
    }
    shortIn = low;
    break;
  }
  const arrival = addDays(today, leadDays);
  const eve = addDays(arrival, -1);
  const untilArrival = demands.reduce((sum, demand) => sum + demand.quantity * chanceBy(demand, arrival), 0);
  const safety = Math.max(0, enoughFor(demands, arrival, unit, sure) - untilArrival);
  return {
    expected: roundQuantity(weeklyDemand(demands, today, weeks).reduce((sum, week) => sum + week, 0)),
    chanceBeforeArrival: chanceOfShortage(demands, there(eve), eve, unit),
    shortOn: shortIn === null ? null : addDays(today, shortIn),
    orderBy: shortIn === null ? null : addDays(today, shortIn - leadDays),
    safety: roundQuantity(safety),
  };
}
