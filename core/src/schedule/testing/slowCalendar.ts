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

/** The day at a place. */
function dayAt(at: number): CivilDate {
  const found = DAYS[at];
  if (found === undefined) throw new RangeError(`Day ${at} is outside of the slow calendar.`);
  return found;
}

/** The day `count` days or months after `from`; months are walked day by day, and a month end clamps. */
export function after(from: CivilDate, count: number, unit: 'day' | 'month'): CivilDate {
  if (unit === 'day') return addDays(from, count);
  let at = place(from);
  const wanted = Number(from.slice(8));
  for (let months = 0; months < count; months += 1) {
    do at += 1;
    while (!dayAt(at).endsWith('-01'));
  }
  const isLast = () => dayAt(at + 1).endsWith('-01');
  while (count > 0 && Number(dayAt(at).slice(8)) < wanted && !isLast()) at += 1;
  return dayAt(at);
}

/** `value`, but at least and at most so much. */
export function between(least: number, value: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}
