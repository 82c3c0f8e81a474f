/*
 * What a season plan is made from: pure data, all that a worker gets. Days are counted from today (0). Costs are minutes of a mechanic, or
 * what is worth as much.
 */

/** A day on which the workshop is open. */
export interface WorkshopDay {
  readonly day: number;
  /** minutes of all hands together */
  readonly minutes: number;
  /** machines that find room */
  readonly bays: number;
}

/** Work of a visit that comes again, or is done once. */
export interface PlannerItem {
  readonly id: string;
  /** life hours from one time to the next; null where hours do not count */
  readonly hours: number | null;
  /** the same in days */
  readonly days: number | null;
  /** hours and days of its interval that are used up today */
  readonly usedHours: number;
  readonly usedDays: number;
  /** hours to the next mark of the meter, of an item that goes by marks; null of one that counts from the last time */
  readonly hoursToMark: number | null;
  /** of a mechanic, without set-up and access */
  readonly minutes: number;
  /** what of the machine has to be opened: places in its `access` */
  readonly access: readonly number[];
  /** what is thrown away when the whole of its interval is */
  readonly worth: number;
  /** what an hour and a day past the limit cost */
  readonly latePerHour: number;
  readonly latePerDay: number;
  /** share of the interval that has to be used up before it is done again: keeps the model small */
  readonly leastShare: number;
  /** its parts are not here before */
  readonly notBefore: number;
  /** of work that is done once: from when on, and by when (before 0 where that is past); null of all else */
  readonly once: { readonly from: number; readonly due: number } | null;
  /** to be done in the weeks before the season, and before the lay-up */
  readonly wakesUp: boolean;
  readonly laysUp: boolean;
}

/** A visit that is settled: on this day, with at least this work (places in the machine's `items`). */
export interface SettledVisit {
  readonly day: number;
  readonly items: readonly number[];
}

/** A visit that the crew was told of: to take it back costs. */
export interface PublishedVisit extends SettledVisit {
  readonly dropCost: number;
}

export interface PlannerMachine {
  readonly id: string;
  /** of a visit: to fetch, clean, make safe, write up */
  readonly setUp: number;
  /** minutes of each kind of opening, paid once a visit */
  readonly access: readonly number[];
  readonly items: readonly PlannerItem[];
  /** expected hours from today's beginning to the beginning of each day, and to the end of the horizon: one more than days */
  readonly hoursBy: readonly number[];
  /** how far the hours may be off: spread of a week's, and of all as a share */
  readonly spreadOfWeek: number;
  readonly spreadOfAll: number;
  /** what it costs to be without it, by day */
  readonly awayCost: readonly number[];
  /** days on which it is not to be missing */
  readonly blocked: readonly number[];
  readonly season: { readonly start: number; readonly ready: number; readonly wakeFrom: number } | null;
  readonly layUp: { readonly end: number; readonly by: number } | null;
  readonly locked: readonly SettledVisit[];
  readonly published: readonly PublishedVisit[];
}

export interface PlannerInstance {
  /** days that are looked at */
  readonly horizon: number;
  /** in order */
  readonly days: readonly WorkshopDay[];
  readonly machines: readonly PlannerMachine[];
  /** a day past readiness, and a day past the last of the lay-up */
  readonly readyCost: number;
  readonly layUpCost: number;
  /** a visit up to this day that nobody was told of costs so much; null before the first plan is published */
  readonly published: { readonly until: number; readonly addCost: number } | null;
}

/** A visit of a plan: work of one machine (places in its `items`) on one workshop day. */
export interface PlannedVisit {
  readonly day: number;
  readonly items: readonly number[];
}

/** The visits of each machine, in the order of the instance, each in order of days. */
export type SeasonPlan = readonly (readonly PlannedVisit[])[];

/** What the minutes of a visit follow from. */
export interface VisitTimes {
  readonly setUp: number;
  readonly access: ArrayLike<number>;
  readonly items: readonly Pick<PlannerItem, 'minutes' | 'access'>[];
}

/** Minutes of a visit of a machine: set-up, each opening once, and the work of some items, by their places. */
export function visitMinutesOf({ setUp, access, items }: VisitTimes, places: readonly number[]): number {
  const opened = new Set(places.flatMap((place) => items[place]?.access ?? []));
  const work = places.reduce((sum, place) => sum + (items[place]?.minutes ?? 0), 0);
  return [...opened].reduce((sum, place) => sum + (access[place] ?? 0), setUp + work);
}

/** Fewer hours than these are none. */
const NO_HOURS = 0.05;

/** Whether a machine is expected to rest from one day to another, both included: it runs no hours. */
export function isAtRest({ hoursBy }: Pick<PlannerMachine, 'hoursBy'>, first: number, last: number): boolean {
  const hours = (day: number) => hoursBy[Math.min(day, hoursBy.length - 1)] ?? 0;
  return hours(last + 1) - hours(first) < NO_HOURS;
}
