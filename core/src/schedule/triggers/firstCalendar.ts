import { isInUse } from '../inUse.js';
import type { FirstCalendar } from '../trigger.js';
import { calendarTriggerLimit, parseLength } from './calendar.js';
import { defineTrigger, listed } from './define.js';
import { everyCalendarOf } from './everyCalendar.js';

/** Running-in: that long after a machine that came new went into service, once. */
export const firstCalendar = defineTrigger<FirstCalendar>({
  parse(loose) {
    const fields = parseLength(loose);
    return typeof fields === 'string' ? { fault: fields } : { trigger: { kind: 'firstCalendar', ...fields } };
  },
  countsAtFirst: () => true,
  countsAgain: false,
  limits: (trigger, item, { entry, standing, ahead }) =>
    listed(calendarTriggerLimit(trigger, entry.on, everyCalendarOf(item) ?? null, item, standing, ahead)),
  standsStill: isInUse,
  cell: ({ count, unit, inUse }) =>
    inUse === null ? { column: { kind: 'calendar', count, unit }, mark: 'first' } : null,
  interval: () => null,
  onMeter: () => null,
  isDated: false,
});
