import type { ScheduleItem } from '../item.js';
import { hoursLimit } from '../limit.js';
import type { From, HoursLimit } from '../limit.js';
import type { MeterStanding, Standing } from '../standing.js';
import { HOURS_GRIDS } from '../trigger.js';
import type { EveryHours, MeterName } from '../trigger.js';
import { hoursWindow } from '../window.js';
import { defineTrigger } from './define.js';
import { meterName, parseHours } from './hours.js';

/** Hours that are a whole multiple, but for binary fractions, are one. */
const TOLERANCE = 1e-6;

/**
 * The multiple of `every` at which an item is due again: the smallest that is more than `window` above the hours of its last time,
 * so that done a little early counts for the multiple ahead, and done late still leads back to the grid.
 */
export function nextOnMeter(lastDone: number, every: number, window: number): number {
  return (Math.floor((lastDone + window) / every + TOLERANCE) + 1) * every;
}

/** The hours of an interval, shortened by hard conditions. */
export function hoursOf(trigger: EveryHours, item: Pick<ScheduleItem, 'dutyFactor'>): number {
  return trigger.hours * item.dutyFactor;
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

/** Where an hours interval ends, `ahead` intervals further on. Where nothing was done yet, no multiple can have been met early. */
function everyHoursLimit(
  trigger: EveryHours,
  from: From,
  item: ScheduleItem,
  meter: MeterStanding,
  standing: Standing,
  ahead: number,
): HoursLimit {
  const every = hoursOf(trigger, item);
  const start = meter.lifeAt(from);
  const window = hoursWindow(every, item.window);
  const early = from.kind === 'enteredService' ? 0 : window;
  const at = (trigger.grid ?? standing.grid) === 'onMeter' ? nextOnMeter(start, every, early) : start + every;
  return hoursLimit(trigger, meter, { from: start, at: at + ahead * every }, window);
}

/** After so much running. */
export const everyHours = defineTrigger<EveryHours>({
  parse(loose) {
    const fields = parseHours(loose);
    if (typeof fields === 'string') return { fault: fields };
    const wanted = loose['grid'] ?? null;
    const grid = HOURS_GRIDS.find((name) => name === wanted) ?? null;
    return grid === wanted ? { trigger: { kind: 'everyHours', ...fields, grid } } : { fault: 'grid' };
  },
  countsAtFirst(trigger, item, standing) {
    const meter = meterName(trigger.meter, standing);
    return !item.triggers.some(
      (other) => other.kind === 'firstHours' && meterName(other.meter, standing) === meter,
    );
  },
  countsAgain: true,
  limits(trigger, item, { from, standing, ahead }) {
    const meter = standing.meter(trigger.meter);
    return meter ? [everyHoursLimit(trigger, from, item, meter, standing, ahead)] : 'noMeter';
  },
  standsStill: () => true,
  cell: ({ hours, meter, grid }, ofChart) =>
    meter === ofChart && grid === null ? { column: { kind: 'hours', hours }, mark: 'every' } : null,
  interval: (trigger) => ({
    of: `hours ${trigger.meter}`,
    length: trigger.hours,
    scaled: (change) => ({ ...trigger, hours: change(trigger.hours) }),
  }),
  onMeter: (trigger, item) => ({ meter: trigger.meter, hours: hoursOf(trigger, item), isOnce: false }),
  isDated: false,
});
