import { addDays, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { WorkshopDay } from './instance.js';

/** How long the workshop is open on a day of the week, and for how many machines there is room. */
export interface WorkshopHours {
  /** of all hands together; 0: it is closed */
  readonly minutes: number;
  readonly bays: number;
}

/** A day on which it is otherwise than on its weekday. */
export interface WorkshopException extends WorkshopHours {
  readonly on: CivilDate;
}

/** 1970-01-01, day number 0, was a Thursday. */
const FIRST_WEEKDAY = 3;

/** The weekday of a day: 0 for Monday to 6 for Sunday. */
export function weekdayOf(on: CivilDate): number {
  return (((dayNumber(on) + FIRST_WEEKDAY) % 7) + 7) % 7;
}

/** The days from today on which the workshop is open: by its week, Monday first, but for the exceptions. */
export function workshopDays(
  week: readonly WorkshopHours[],
  exceptions: readonly WorkshopException[],
  today: CivilDate,
  horizon: number,
): WorkshopDay[] {
  const otherwise = new Map(exceptions.map((each) => [each.on, each]));
  return Array.from({ length: horizon }, (_, day) => {
    const on = addDays(today, day);
    const hours = otherwise.get(on) ?? week[weekdayOf(on)];
    return { day, minutes: hours?.minutes ?? 0, bays: hours?.bays ?? 0 };
  }).filter(({ minutes, bays }) => minutes > 0 && bays > 0);
}
