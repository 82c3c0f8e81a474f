import { addDays, daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';

/** Something that went into a container of waste; collections are below 0. */
export interface WasteEntry {
  readonly on: CivilDate;
  readonly litres: number;
}

/** When a container is full, going by what went into it. */
export interface CollectionOutlook {
  /** litres a week over the last year */
  readonly perWeek: number;
  /** at the rate of the last year */
  readonly fullOn: CivilDate;
  /** at the rate of the busiest quarter of it: have it collected before */
  readonly soonest: CivilDate;
}

const YEAR = 365;
const QUARTER = 91;
/** Of less than four weeks, or fewer drains, nothing is said. */
const LEAST_DAYS = 28;
const LEAST_ENTRIES = 3;
/** What is so far off that it says nothing. */
const FARTHEST = 5 * YEAR;

/** The day on which so many litres have come together, counted from `today`. */
function dayOf(litres: number, perDay: number, today: CivilDate): CivilDate {
  return addDays(today, Math.min(FARTHEST, Math.max(0, Math.floor(litres / perDay))));
}

/** From this share on, or when it may be full within so many days, a container is to be collected. */
const NEARLY_FULL = 0.8;
const SOON_DAYS = 14;

/** Whether a container is to be collected soon: it is nearly full, or may be before long. An empty one is not. */
export function isToBeCollected(
  {
    inside,
    capacity,
    outlook,
  }: {
    readonly inside: number;
    readonly capacity: number;
    readonly outlook: CollectionOutlook | null;
  },
  today: CivilDate,
): boolean {
  if (inside <= 0) return false;
  const isFilling = outlook !== null && daysBetween(today, outlook.soonest) <= SOON_DAYS;
  return inside > NEARLY_FULL * capacity || isFilling;
}

/** The most litres that went in within a quarter. */
function busiestQuarter(entries: readonly WasteEntry[]): number {
  return Math.max(
    ...entries.map(({ on }) =>
      entries
        .filter((each) => each.on >= on && daysBetween(on, each.on) < QUARTER)
        .reduce((sum, { litres }) => sum + litres, 0),
    ),
  );
}

/**
 * When a container of `capacity` litres with `inside` in it is full, by what went in in the year before `today`; null where too little
 * is known.
 */
export function collectionOutlook(
  entries: readonly WasteEntry[],
  { inside, capacity }: { readonly inside: number; readonly capacity: number },
  today: CivilDate,
): CollectionOutlook | null {
  const from = addDays(today, -YEAR);
  const lately = entries.filter(({ on, litres }) => litres > 0 && on > from && on <= today);
  const first = lately.reduce((least, { on }) => (on < least ? on : least), today);
  const days = daysBetween(first, today);
  if (lately.length < LEAST_ENTRIES || days < LEAST_DAYS) return null;
  const litres = lately.reduce((sum, each) => sum + each.litres, 0);
  // A year that is known whole is counted whole: it has its quiet months, too.
  const known = entries.some(({ on }) => on <= from) ? YEAR : days;
  const perDay = litres / known;
  const busiest = Math.max(perDay, busiestQuarter(lately) / Math.min(QUARTER, known));
  const room = Math.max(0, capacity - inside);
  return {
    perWeek: Math.round(perDay * 70) / 10,
    fullOn: dayOf(room, perDay, today),
    soonest: dayOf(room, busiest, today),
  };
}
