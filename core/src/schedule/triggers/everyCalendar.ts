import { isInUse } from '../inUse.js';
import type { ScheduleItem } from '../item.js';
import type { EveryCalendar } from '../trigger.js';
import { calendarTriggerLimit, parseLength } from './calendar.js';
import { defineTrigger, listed } from './define.js';

/** Mean days of a month of the Gregorian calendar: 146,097 days in 4,800 months. */
const DAYS_OF_A_MONTH = 146_097 / 4_800;

/** The regular calendar interval of an item; undefined where it has none. */
export function everyCalendarOf(item: ScheduleItem): EveryCalendar | undefined {
  return item.triggers.find((trigger) => trigger.kind === 'everyCalendar');
}

/** After so long, however little the machine ran. */
export const everyCalendar = defineTrigger<EveryCalendar>({
  parse(loose) {
    const fields = parseLength(loose);
    return typeof fields === 'string' ? { fault: fields } : { trigger: { kind: 'everyCalendar', ...fields } };
  },
  countsAtFirst: (_trigger, item) => !item.triggers.some(({ kind }) => kind === 'firstCalendar'),
  countsAgain: true,
  limits: (trigger, item, { from, standing, ahead }) =>
    listed(calendarTriggerLimit(trigger, from.on, trigger, item, standing, ahead)),
  standsStill: isInUse,
  cell: ({ count, unit, inUse }) =>
    inUse === null ? { column: { kind: 'calendar', count, unit }, mark: 'every' } : null,
  interval: (trigger) => ({
    of: 'days',
    length: trigger.count * (trigger.unit === 'day' ? 1 : DAYS_OF_A_MONTH),
    // A calendar has no parts of a day or month.
    scaled: (change) => ({ ...trigger, count: Math.max(1, Math.floor(change(trigger.count))) }),
  }),
  onMeter: () => null,
  isDated: true,
});
