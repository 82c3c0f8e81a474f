import { dateOfDayNumber, dayNumber, daysBetween } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';
import type { ScheduleItem } from '../item.js';
import { calendarLimit } from '../limit.js';
import type { CalendarLimit, From } from '../limit.js';
import type { Standing } from '../standing.js';
import type { Storage } from '../trigger.js';
import { daysWindow } from '../window.js';
import { defineTrigger, isWhole, listed } from './define.js';

/** Days of a leap year. */
const MOST_DAYS = 366;

/** From when a storage interval counts, and the day it ends, within the same lay-up. */
interface StorageSpan {
  readonly from: CivilDate;
  readonly on: CivilDate;
}

/**
 * The storage interval that ends next: so many days after the later of the last time and the beginning of the lay-up, as long as
 * the machine still rests then. `lastDone` is null where nothing says when it was. Null where no lay-up is long enough.
 */
function nextStorage(trigger: Storage, lastDone: CivilDate | null, standing: Standing): StorageSpan | null {
  for (const { since, until } of standing.working.layUps) {
    if (until !== null && until <= standing.today) continue;
    const from = lastDone === null ? since : Math.max(since, dayNumber(lastDone));
    const on = from + trigger.days;
    // Beyond ten years nothing is told, and a lay-up without end would go on for ever.
    if (on > standing.horizon) return null;
    if (until === null || on < until) return { from: dateOfDayNumber(from), on: dateOfDayNumber(on) };
  }
  return null;
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

/** While the machine is laid up. */
export const storage = defineTrigger<Storage>({
  parse: ({ days }) =>
    isWhole(days, 1, MOST_DAYS) ? { trigger: { kind: 'storage', days } } : { fault: 'storage' },
  countsAtFirst: () => true,
  countsAgain: true,
  limits: (trigger, item, { from, standing, ahead }) =>
    listed(storageLimit(trigger, item, from, standing, ahead)),
  standsStill: () => false,
  cell: () => null,
  interval: () => null,
  onMeter: () => null,
  isDated: false,
});
