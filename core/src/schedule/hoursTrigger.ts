import { roundHours } from '../meter/lifeHours.js';
import type { ScheduleItem } from './item.js';
import { hoursLimit } from './limit.js';
import type { From, HoursLimit } from './limit.js';
import type { Standing } from './standing.js';
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

/** Where an hours interval ends. Where nothing was done yet, no multiple can have been met early. */
export function everyHoursLimit(
  trigger: EveryHours,
  from: From,
  item: ScheduleItem,
  standing: Standing,
): HoursLimit {
  const every = roundHours(trigger.hours * item.dutyFactor);
  const start = standing.meter(trigger.meter).lifeAt(from);
  const early = from.kind === 'enteredService' ? 0 : hoursWindow(every, item.window);
  const at = (trigger.grid ?? standing.grid) === 'onMeter' ? nextOnMeter(start, every, early) : start + every;
  return hoursLimit(trigger, trigger.meter, { from: start, at, interval: every }, item, standing);
}

/** Where the running-in ends: at so many life hours, whatever the machine came with. */
export function firstHoursLimit(
  trigger: FirstHours,
  from: From,
  item: ScheduleItem,
  standing: Standing,
): HoursLimit {
  const start = standing.meter(trigger.meter).lifeAt(from);
  const span = { from: start, at: trigger.hours, interval: trigger.hours };
  return hoursLimit(trigger, trigger.meter, span, item, standing);
}
