import { isInUse } from '../schedule/inUse.js';
import type { ScheduleItem } from '../schedule/item.js';
import type { Trigger } from '../schedule/trigger.js';
import { hoursOf } from '../schedule/triggers/everyHours.js';

/** Work that comes at least so often, and is over so soon, needs no visit (common practice). */
const MOST_DAYS = 14;
const MOST_HOURS = 10;
const MOST_MINUTES = 10;

function comesOften(trigger: Trigger, item: ScheduleItem): boolean {
  if (trigger.kind === 'everyHours') return hoursOf(trigger, item) <= MOST_HOURS;
  return trigger.kind === 'everyCalendar' && isInUse(trigger, item) && trigger.count <= MOST_DAYS;
}

/**
 * Whether an item is short everyday work, done on the walk-round without a job: at least every 10 hours or 14 days in use, and over in 10
 * minutes. Everything else is work of a visit.
 */
export function isRoundWork(item: ScheduleItem, minutes: number): boolean {
  return minutes <= MOST_MINUTES && item.triggers.some((trigger) => comesOften(trigger, item));
}
