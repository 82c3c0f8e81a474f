import type { ScheduleItem } from './item.js';
import { hoursLimit } from './limit.js';
import type { From, HoursLimit } from './limit.js';
import type { MeterStanding, Standing } from './standing.js';
import type { EveryHours, FirstHours } from './trigger.js';
import { hoursWindow } from './window.js';

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
export function intervalOf(trigger: EveryHours, item: ScheduleItem): number {
  return trigger.hours * item.dutyFactor;
}

/** Where an hours interval ends, `ahead` intervals further on. Where nothing was done yet, no multiple can have been met early. */
export function everyHoursLimit(
  trigger: EveryHours,
  from: From,
  item: ScheduleItem,
  meter: MeterStanding,
  standing: Standing,
  ahead: number,
): HoursLimit {
  const every = intervalOf(trigger, item);
  const start = meter.lifeAt(from);
  const window = hoursWindow(every, item.window);
  const early = from.kind === 'enteredService' ? 0 : window;
  const at = (trigger.grid ?? standing.grid) === 'onMeter' ? nextOnMeter(start, every, early) : start + every;
  return hoursLimit(trigger, meter, { from: start, at: at + ahead * every }, window);
}

/**
 * Where the running-in ends: at so many life hours, whatever the machine came with; then `ahead` regular intervals further on. Null
 * where it has none.
 */
export function firstHoursLimit(
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
