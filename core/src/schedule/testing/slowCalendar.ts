import { addDays as later, civilDate } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';

/** Every day there is, in order; walking it is quicker than asking the calendar for the next one each time. */
const DAYS = Array.from({ length: 48_000 }, (_, index) => later(civilDate('2005-01-01'), index));
const PLACE = new Map(DAYS.map((on, index) => [on, index]));

function place(on: CivilDate): number {
  const found = PLACE.get(on);
  if (found === undefined) throw new RangeError(`${on} is outside of the slow calendar.`);
  return found;
}

/** The day `days` after `on`. */
export function addDays(on: CivilDate, days: number): CivilDate {
  return DAYS[place(on) + days] ?? later(on, days);
}

/** Days from `from` to `to`. */
export function daysBetween(from: CivilDate, to: CivilDate): number {
  return place(to) - place(from);
}

/** The day `count` days or months after `from`, counted one by one; a month end clamps. */
export function after(from: CivilDate, count: number, unit: 'day' | 'month'): CivilDate {
  let on = from;
  if (unit === 'day') {
    for (let days = 0; days < count; days += 1) on = addDays(on, 1);
    return on;
  }
  const wanted = Number(from.slice(8));
  for (let months = 0; months < count; months += 1) {
    do on = addDays(on, 1);
    while (on.slice(8) !== '01');
  }
  const isLast = () => addDays(on, 1).slice(5, 7) !== on.slice(5, 7);
  while (count > 0 && Number(on.slice(8)) < wanted && !isLast()) on = addDays(on, 1);
  return on;
}

/** `value`, but at least and at most so much. */
export function between(least: number, value: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}
