import type { ScheduleItem } from './item.js';
import type { Trigger } from './trigger.js';

/** An interval of up to so many days is about use, where its line says nothing else. */
const LONGEST_IN_USE_DAYS = 31;

/**
 * Whether the days of a trigger are about use: a weekly look means nothing while the machine rests. Months and years are about age
 * and run on through the winter; so do the days of an item that is also done in storage.
 */
export function isInUse(trigger: Trigger, item: Pick<ScheduleItem, 'triggers'>): boolean {
  if (trigger.kind !== 'everyCalendar' && trigger.kind !== 'firstCalendar') return false;
  if (trigger.unit !== 'day') return false;
  const isStored = item.triggers.some(({ kind }) => kind === 'storage');
  return trigger.inUse ?? (trigger.count <= LONGEST_IN_USE_DAYS && !isStored);
}
