import { daysBetween } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';
import { isInUse } from '../inUse.js';
import type { ScheduleItem } from '../item.js';
import { calendarLimit, dayInUse, furtherBy, laterBy } from '../limit.js';
import type { CalendarLimit } from '../limit.js';
import type { Standing } from '../standing.js';
import type { EveryCalendar, FirstCalendar } from '../trigger.js';
import { daysWindow } from '../window.js';
import { isWhole } from './define.js';
import type { Loose, TriggerFault } from './define.js';

const MOST_COUNT = 3650;

/** A length of time, as both kinds that count it have it. */
export type CalendarFields = Pick<EveryCalendar, 'count' | 'unit' | 'inUse'>;

/** The length of time that loose fields name. */
export function parseLength(loose: Loose): CalendarFields | TriggerFault {
  const { count, unit } = loose;
  const inUse = loose['inUse'] ?? null;
  if (!isWhole(count, 1, MOST_COUNT)) return 'count';
  if (unit !== 'day' && unit !== 'month') return 'unit';
  if (inUse !== null && typeof inUse !== 'boolean') return 'inUse';
  return inUse && unit === 'month' ? 'inUse' : { count, unit, inUse };
}

/**
 * Where a calendar interval that began on `from` ends, then `ahead` intervals of `regular` further on. Days in use end on a working
 * day; null where nobody knows the next one, or where nothing repeats.
 */
export function calendarTriggerLimit(
  trigger: EveryCalendar | FirstCalendar,
  from: CivilDate,
  regular: EveryCalendar | null,
  item: ScheduleItem,
  standing: Standing,
  ahead: number,
): CalendarLimit | null {
  if (ahead > 0 && !regular) return null;
  const ends = laterBy(from, trigger.count, trigger.unit);
  const further = (start: CivilDate) => (regular && ahead > 0 ? furtherBy(start, regular, ahead) : start);
  const window = daysWindow(Math.max(1, daysBetween(from, ends)), item.window);
  if (!isInUse(trigger, item)) {
    const on = further(ends);
    return on && calendarLimit(trigger, { from, on }, window, standing);
  }
  const due = dayInUse(ends, standing);
  const wanted = due && further(due);
  const on = wanted && ahead > 0 ? dayInUse(wanted, standing) : wanted;
  return on && calendarLimit(trigger, { from, on }, window, standing);
}
