import type { ChartMark, ChartColumn } from '../chartCell.js';
import type { EntryIntoService, ServicePoint } from '../baseline.js';
import type { ScheduleItem } from '../item.js';
import type { From, Limit } from '../limit.js';
import type { Standing } from '../standing.js';
import type { MeterName, Trigger } from '../trigger.js';

/** The fields of a value from a file, a form or a table, which may be anything. */
export type Loose = Readonly<Record<string, unknown>>;

/** Why something is no trigger. */
export type TriggerFault =
  | 'kind'
  | 'hours'
  | 'count'
  | 'unit'
  | 'inUse'
  | 'meter'
  | 'grid'
  | 'season'
  | 'offset'
  | 'nth'
  | 'storage';

/** A trigger, or what is wrong with it. */
export type ParsedTrigger<T extends Trigger = Trigger> =
  | { readonly trigger: T }
  | { readonly fault: TriggerFault };

/** Why a trigger gives no limit. */
export type UnresolvedCode =
  /** no season of that name is planned, or the machine takes part in none */
  | 'noSeason'
  /** the other item is not on the machine's schedule, or has no record to count from */
  | 'noOtherItem'
  /** it counts hours of an attachment of which the machine says nothing */
  | 'noMeter';

/** The other item of an every-n-th rule. */
export interface OtherItem {
  /** times it was done, those of what renews it included */
  readonly completions: readonly ServicePoint[];
  /** whether it stands still while the machine does not work */
  standsStill(): boolean;
  /** its limits, so many of its regular intervals further on; null where nothing says from when they count */
  limitsAhead(ahead: number): readonly Limit[] | null;
}

/** Finds the other item of an every-n-th rule; undefined where it is not on the schedule, or waits for this one in turn. */
export type FindItem = (itemId: string) => OtherItem | undefined;

/** What an item's limits follow from, besides the item. */
export interface LimitFrom {
  readonly from: From;
  readonly entry: EntryIntoService;
  readonly standing: Standing;
  readonly find: FindItem;
  /** how many regular intervals beyond the next due point: 0 for that itself */
  readonly ahead: number;
}

/** The length of an interval that comes again and again. */
export interface Interval<T extends Trigger = Trigger> {
  /** in what it is counted: only lengths of the same are compared */
  readonly of: string;
  /** hours of that meter, or days */
  readonly length: number;
  /** the trigger with its hours, days or months changed */
  readonly scaled: (change: (count: number) => number) => T;
}

/** Where a trigger stands on a meter. */
export interface MeterPoint {
  readonly meter: MeterName;
  /** once at so many hours, or every time after as many */
  readonly hours: number;
  readonly isOnce: boolean;
}

/** What there is to know of one kind of trigger `T`: all that the schedule, the charts and the files ask of it. */
export interface TriggerKind<T extends Trigger> {
  /** the trigger that loose fields stand for, or what is wrong with them */
  readonly parse: (loose: Loose) => ParsedTrigger<T>;
  /** whether it counts for an item that was never done: running-in stands in place of the regular trigger of its kind */
  readonly countsAtFirst: (trigger: T, item: ScheduleItem, standing: Standing) => boolean;
  /** whether it counts for an item that was done before */
  readonly countsAgain: boolean;
  /** where it runs out; none where nobody can tell, or why there should be one */
  readonly limits: (trigger: T, item: ScheduleItem, of: LimitFrom) => readonly Limit[] | UnresolvedCode;
  /** whether it stands still while the machine does not work */
  readonly standsStill: (
    trigger: T,
    item: Pick<ScheduleItem, 'triggers'>,
    find: (itemId: string) => Pick<OtherItem, 'standsStill'> | undefined,
  ) => boolean;
  /** its cell in a chart that counts on `meter`; null where no cell can hold it */
  readonly cell: (trigger: T, meter: MeterName) => { column: ChartColumn; mark: ChartMark } | null;
  /** its interval; null where it has none */
  readonly interval: (trigger: T) => Interval<T> | null;
  /** the hours that it counts, shortened by hard conditions where they count; null where it counts none */
  readonly onMeter: (trigger: T, item: Pick<ScheduleItem, 'dutyFactor'>) => MeterPoint | null;
  /** whether the calendar brings it, however little the machine runs */
  readonly isDated: boolean;
}

/** A kind of trigger, checked to be whole. */
export function defineTrigger<T extends Trigger>(kind: TriggerKind<T>): TriggerKind<T> {
  return kind;
}

export const MOST_HOURS = 20_000;
/** Letters of the name of a season or a line, and characters of an id. */
const LONGEST_NAME = 80;

export function isWithin(value: unknown, least: number, most: number): value is number {
  return typeof value === 'number' && Number.isFinite(value) && value >= least && value <= most;
}

export function isWhole(value: unknown, least: number, most: number): value is number {
  return isWithin(value, least, most) && Number.isInteger(value);
}

export function isName(value: unknown): value is string {
  return typeof value === 'string' && value.trim() !== '' && value.length <= LONGEST_NAME;
}

export function listed(limit: Limit | null): readonly Limit[] {
  return limit ? [limit] : [];
}
