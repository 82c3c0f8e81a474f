import { addDays as later, civilDate } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';

/** Every day there is, in order; walking it is quicker than asking the calendar for the next one each time. */
const DAYS = Array.from({ length: 14_000 }, (_, index) => later(civilDate('2005-01-01'), index));
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
