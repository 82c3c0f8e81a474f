/** The meters that an interval may run on: the engine's, or that of an attachment. */
export const METERS = ['engine', 'loader', 'deck', 'blower', 'blade'] as const;
export type MeterName = (typeof METERS)[number];

/** How multiples of an hours interval are counted: from the last time, or as whole multiples on the meter. */
export const HOURS_GRIDS = ['sinceDone', 'onMeter'] as const;
export type HoursGrid = (typeof HOURS_GRIDS)[number];

/** Running-in: at that many life hours, once, on a machine that came new. */
export interface FirstHours {
  readonly kind: 'firstHours';
  readonly hours: number;
  readonly meter: MeterName;
}

/** Running-in: that long after a machine that came new went into service, once. */
export interface FirstCalendar {
  readonly kind: 'firstCalendar';
  readonly count: number;
  readonly unit: 'day' | 'month';
  /** whether its days wait for the machine to work; null for the usual (see `isInUse`) */
  readonly inUse: boolean | null;
}

/** After so much running. */
export interface EveryHours {
  readonly kind: 'everyHours';
  readonly hours: number;
  readonly meter: MeterName;
  /** null follows the house rule */
  readonly grid: HoursGrid | null;
}

/** After so long, however little the machine ran. */
export interface EveryCalendar {
  readonly kind: 'everyCalendar';
  readonly count: number;
  readonly unit: 'day' | 'month';
  /** whether its days wait for the machine to work; null for the usual (see `isInUse`) */
  readonly inUse: boolean | null;
}

/** Before or after the first or last day of a season. */
export interface SeasonEdge {
  readonly kind: 'seasonEdge';
  /** name of a season of the site; null stands for the working time of the machine, all its seasons joined */
  readonly season: string | null;
  readonly edge: 'first' | 'last';
  /** days after the edge; negative before it */
  readonly offsetDays: number;
}

/** Together with another item, each n-th time that one is done. */
export interface EveryNth {
  readonly kind: 'everyNth';
  readonly n: number;
  readonly itemId: string;
  /** every time, where the machine ran more than these hours in the last 12 months; null for never */
  readonly everyTimeAboveHours: number | null;
}

/** While the machine is laid up. */
export interface Storage {
  readonly kind: 'storage';
  readonly days: number;
}

/** What makes an item due. An item with several is due at the first of them to come. */
export type Trigger =
  | FirstHours
  | FirstCalendar
  | EveryHours
  | EveryCalendar
  | SeasonEdge
  | EveryNth
  | Storage;
