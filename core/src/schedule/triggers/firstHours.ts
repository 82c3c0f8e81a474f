import type { ScheduleItem } from '../item.js';
import { hoursLimit } from '../limit.js';
import type { From, HoursLimit } from '../limit.js';
import type { MeterStanding } from '../standing.js';
import type { FirstHours } from '../trigger.js';
import { hoursWindow } from '../window.js';
import { defineTrigger, listed } from './define.js';
import { everyHoursOn, hoursOf } from './everyHours.js';
import { parseHours } from './hours.js';

/**
 * Where the running-in ends: at so many life hours, whatever the machine came with; then `ahead` regular intervals further on. Null
 * where it has none.
 */
function firstHoursLimit(
  trigger: FirstHours,
  from: From,
  item: ScheduleItem,
  meter: MeterStanding,
  every: number | null,
  ahead: number,
): HoursLimit | null {
  if (ahead > 0 && every === null) return null;
  const span = { from: meter.lifeAt(from), at: trigger.hours + ahead * (every ?? 0) };
  return hoursLimit(trigger, meter, span, hoursWindow(trigger.hours, item.window));
}

/** Running-in: at that many life hours, once, on a machine that came new. */
export const firstHours = defineTrigger<FirstHours>({
  parse(loose) {
    const fields = parseHours(loose);
    return typeof fields === 'string' ? { fault: fields } : { trigger: { kind: 'firstHours', ...fields } };
  },
  countsAtFirst: () => true,
  countsAgain: false,
  limits(trigger, item, { from, standing, ahead }) {
    const meter = standing.meter(trigger.meter);
    if (!meter) return 'noMeter';
    const regular = everyHoursOn(item, trigger.meter, standing);
    return listed(
      firstHoursLimit(trigger, from, item, meter, regular ? hoursOf(regular, item) : null, ahead),
    );
  },
  standsStill: () => true,
  cell: ({ hours, meter }, ofChart) =>
    meter === ofChart ? { column: { kind: 'hours', hours }, mark: 'first' } : null,
  interval: () => null,
  onMeter: ({ hours, meter }) => ({ meter, hours, isOnce: true }),
  isDated: false,
});
