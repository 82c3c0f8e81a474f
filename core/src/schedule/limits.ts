import { daysBetween } from '../calendar/civilDate.js';
import type { Baseline, EntryIntoService } from './baseline.js';
import { calendarTriggerLimit } from './calendarTrigger.js';
import { everyHoursLimit, firstHoursLimit, intervalOf } from './hoursTrigger.js';
import type { ScheduleItem } from './item.js';
import { calendarLimit } from './limit.js';
import type { CalendarLimit, From, Limit } from './limit.js';
import { nthLimits } from './nthTrigger.js';
import type { FindItem } from './nthTrigger.js';
import { nextEdge } from './seasonTrigger.js';
import type { Standing } from './standing.js';
import { nextStorage } from './storageTrigger.js';
import type { EveryCalendar, EveryHours, MeterName, SeasonEdge, Storage, Trigger } from './trigger.js';
import { daysWindow, edgeWindow } from './window.js';

/** Why a trigger gives no limit. */
export type UnresolvedCode =
  /** no season of that name is planned, or the machine takes part in none */
  | 'noSeason'
  /** the other item is not on the machine's schedule, or has no record to count from */
  | 'noOtherItem'
  /** it counts hours of an attachment of which the machine says nothing */
  | 'noMeter';

export interface Unresolved {
  readonly code: UnresolvedCode;
  readonly trigger: Trigger;
}

/** The limits of an item, and the triggers that give none though they should. */
export interface Limits {
  readonly limits: readonly Limit[];
  readonly unresolved: readonly Unresolved[];
}

/** What an item's limits follow from, besides the item. */
export interface LimitFrom {
  readonly from: From;
  readonly entry: EntryIntoService;
  readonly standing: Standing;
  readonly find: FindItem;
  /** how many regular intervals beyond the next due point: 0 for that itself */
  readonly ahead: number;
}

/** The meter that hours by `name` count on: its own name where it must be asked for. */
function meterName(name: MeterName, standing: Standing): MeterName {
  return standing.meter(name)?.name ?? name;
}

/** The regular hours interval of an item on the meter of `name`; undefined where it has none. */
export function everyHoursOn(
  item: ScheduleItem,
  name: MeterName,
  standing: Standing,
): EveryHours | undefined {
  const wanted = meterName(name, standing);
  return item.triggers.find(
    (trigger): trigger is EveryHours =>
      trigger.kind === 'everyHours' && meterName(trigger.meter, standing) === wanted,
  );
}

/** The regular calendar interval of an item; undefined where it has none. */
export function everyCalendarOf(item: ScheduleItem): EveryCalendar | undefined {
  return item.triggers.find((trigger) => trigger.kind === 'everyCalendar');
}

/** Whether `trigger` counts for an item at this point of its life: running-in replaces the regular trigger of its kind, once. */
function counts(trigger: Trigger, item: ScheduleItem, baseline: Baseline, standing: Standing): boolean {
  const isNeverDone = baseline.kind === 'enteredService';
  switch (trigger.kind) {
    case 'firstHours':
    case 'firstCalendar':
      return isNeverDone;
    case 'everyHours': {
      const meter = meterName(trigger.meter, standing);
      const isFirst = (other: Trigger) =>
        other.kind === 'firstHours' && meterName(other.meter, standing) === meter;
      return !(isNeverDone && item.triggers.some(isFirst));
    }
    case 'everyCalendar':
      return !(isNeverDone && item.triggers.some((other) => other.kind === 'firstCalendar'));
    case 'seasonEdge':
    case 'everyNth':
    case 'storage':
      return true;
  }
}

function edgeLimit(
  trigger: SeasonEdge,
  item: ScheduleItem,
  { from, standing, ahead }: LimitFrom,
): CalendarLimit | null {
  let on = nextEdge(trigger, from.on, standing);
  for (let more = 0; more < ahead && on; more += 1) on = nextEdge(trigger, on, standing);
  return on && calendarLimit(trigger, { from: from.on, on }, edgeWindow(item.window), standing);
}

/** Where an interval in storage ends; null where no lay-up is long enough. Who was never done counts from the lay-up. */
export function storageLimit(
  trigger: Storage,
  item: ScheduleItem,
  lastDone: From | null,
  standing: Standing,
  ahead: number,
): CalendarLimit | null {
  let span = nextStorage(trigger, lastDone && lastDone.on, standing);
  for (let more = 0; more < ahead && span; more += 1) span = nextStorage(trigger, span.on, standing);
  if (!span) return null;
  const window = daysWindow(daysBetween(span.from, span.on), item.window);
  return calendarLimit(trigger, span, window, standing);
}

function listed(limit: Limit | null): Limit[] {
  return limit ? [limit] : [];
}

function limitsOfTrigger(
  trigger: Trigger,
  item: ScheduleItem,
  of: LimitFrom,
): readonly Limit[] | UnresolvedCode {
  const { from, entry, standing, ahead } = of;
  switch (trigger.kind) {
    case 'everyHours': {
      const meter = standing.meter(trigger.meter);
      return meter ? [everyHoursLimit(trigger, from, item, meter, standing, ahead)] : 'noMeter';
    }
    case 'firstHours': {
      const meter = standing.meter(trigger.meter);
      if (!meter) return 'noMeter';
      const regular = everyHoursOn(item, trigger.meter, standing);
      const every = regular ? intervalOf(regular, item) : null;
      return listed(firstHoursLimit(trigger, from, item, meter, every, ahead));
    }
    case 'everyCalendar':
      return listed(calendarTriggerLimit(trigger, from.on, trigger, item, standing, ahead));
    case 'firstCalendar': {
      const regular = everyCalendarOf(item) ?? null;
      return listed(calendarTriggerLimit(trigger, entry.on, regular, item, standing, ahead));
    }
    case 'seasonEdge': {
      const limit = edgeLimit(trigger, item, of);
      return limit ? [limit] : 'noSeason';
    }
    case 'storage':
      return listed(storageLimit(trigger, item, from, standing, ahead));
    case 'everyNth':
      return nthLimits(trigger, of) ?? 'noOtherItem';
  }
}

/** Where each trigger of `item` runs out, counted from `of.from`. */
export function limitsOf(item: ScheduleItem, of: LimitFrom): Limits {
  const limits: Limit[] = [];
  const unresolved: Unresolved[] = [];
  for (const trigger of item.triggers) {
    if (!counts(trigger, item, of.from, of.standing)) continue;
    const found = limitsOfTrigger(trigger, item, of);
    if (typeof found === 'string') unresolved.push({ code: found, trigger });
    else limits.push(...found);
  }
  return { limits, unresolved };
}
