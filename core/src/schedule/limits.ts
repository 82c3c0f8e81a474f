import type { Baseline, EntryIntoService } from './baseline.js';
import { everyHoursLimit, firstHoursLimit } from './hoursTrigger.js';
import type { ScheduleItem } from './item.js';
import { calendarLimit, laterBy } from './limit.js';
import type { From, Limit } from './limit.js';
import { nthLimits } from './nthTrigger.js';
import type { OtherItem } from './nthTrigger.js';
import { nextEdge } from './seasonTrigger.js';
import type { Standing } from './standing.js';
import { nextStorage } from './storageTrigger.js';
import type { Trigger } from './trigger.js';

/** Why a trigger gives no limit. */
export type Unresolved =
  /** no season of that name is planned, or the machine takes part in none */
  | { readonly code: 'noSeason'; readonly trigger: Trigger }
  /** the other item is not on the machine's schedule, or has no record to count from */
  | { readonly code: 'noOtherItem'; readonly trigger: Trigger };

/** The limits of an item, and the triggers that give none though they should. */
export interface Limits {
  readonly limits: readonly Limit[];
  readonly unresolved: readonly Unresolved[];
}

/** Finds the other item of an every-n-th rule. */
export type FindItem = (itemId: string) => OtherItem | undefined;

/** Whether `trigger` counts for an item at this point of its life: running-in replaces the regular trigger of its kind, once. */
function counts(trigger: Trigger, item: ScheduleItem, baseline: Baseline): boolean {
  const isNeverDone = baseline.kind === 'enteredService';
  switch (trigger.kind) {
    case 'firstHours':
    case 'firstCalendar':
      return isNeverDone;
    case 'everyHours':
      return !(
        isNeverDone &&
        item.triggers.some((other) => other.kind === 'firstHours' && other.meter === trigger.meter)
      );
    case 'everyCalendar':
      return !(isNeverDone && item.triggers.some((other) => other.kind === 'firstCalendar'));
    default:
      return true;
  }
}

function limitsOfTrigger(
  trigger: Trigger,
  from: From,
  item: ScheduleItem,
  entry: EntryIntoService,
  standing: Standing,
  find: FindItem,
): readonly Limit[] | Unresolved {
  switch (trigger.kind) {
    case 'everyHours':
      return [everyHoursLimit(trigger, from, item, standing)];
    case 'firstHours':
      return [firstHoursLimit(trigger, from, item, standing)];
    case 'everyCalendar':
      return [calendarLimit(trigger, from.on, laterBy(from.on, trigger.count, trigger.unit), item, standing)];
    case 'firstCalendar':
      return [
        calendarLimit(trigger, entry.on, laterBy(entry.on, trigger.count, trigger.unit), item, standing),
      ];
    case 'seasonEdge': {
      const on = nextEdge(trigger, from.on, standing);
      return on ? [calendarLimit(trigger, from.on, on, item, standing)] : { code: 'noSeason', trigger };
    }
    case 'storage': {
      const span = nextStorage(trigger, from.on, standing);
      return span ? [calendarLimit(trigger, span.from, span.on, item, standing)] : [];
    }
    case 'everyNth': {
      const other = find(trigger.itemId);
      return other && other.answer.baseline.kind !== 'noRecord'
        ? nthLimits(trigger, from, other, item, standing)
        : { code: 'noOtherItem', trigger };
    }
  }
}

/** Where each trigger of `item` runs out, counted from `from`. */
export function limitsOf(
  item: ScheduleItem,
  from: From,
  entry: EntryIntoService,
  standing: Standing,
  find: FindItem,
): Limits {
  const limits: Limit[] = [];
  const unresolved: Unresolved[] = [];
  for (const trigger of item.triggers) {
    if (!counts(trigger, item, from)) continue;
    const found = limitsOfTrigger(trigger, from, item, entry, standing, find);
    if ('code' in found) unresolved.push(found);
    else limits.push(...found);
  }
  return { limits, unresolved };
}
