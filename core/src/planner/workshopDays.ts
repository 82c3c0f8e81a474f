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

/** Somebody who works in the workshop, so many minutes on each weekday, Monday first. */
export interface Hand {
  readonly personId: string;
  readonly minutes: readonly number[];
}

/** Days on which somebody is away, the first and the last of them included. */
export interface Absence {
  readonly personId: string;
  readonly from: CivilDate;
  readonly until: CivilDate;
}

/** When the workshop is open, and who is in. */
export interface WorkshopTimes {
  /** Monday first */
  readonly week: readonly WorkshopHours[];
  readonly exceptions: readonly WorkshopException[];
  /** null where nobody said who works there: then the minutes of the week are those of all hands */
  readonly hands: readonly Hand[] | null;
  readonly absences: readonly Absence[];
}

/** Minutes of those who are in on a day. */
export function minutesIn(hands: readonly Hand[], absences: readonly Absence[], on: CivilDate): number {
  const isAway = (personId: string) =>
    absences.some((each) => each.personId === personId && each.from <= on && on <= each.until);
  return hands.reduce(
    (sum, { personId, minutes }) => sum + (isAway(personId) ? 0 : (minutes[weekdayOf(on)] ?? 0)),
    0,
  );
}

/** The days from today on which the workshop is open: by its week and who is in, but for the exceptions, which say it of all hands. */
export function workshopDays(
  { week, exceptions, hands, absences }: WorkshopTimes,
  today: CivilDate,
  horizon: number,
): WorkshopDay[] {
  const otherwise = new Map(exceptions.map((each) => [each.on, each]));
  return Array.from({ length: horizon }, (_, day) => {
    const on = addDays(today, day);
    const usual = week[weekdayOf(on)];
    const { minutes = 0, bays = 0 } = otherwise.get(on) ?? {
      minutes: hands ? minutesIn(hands, absences, on) : usual?.minutes,
      bays: usual?.bays,
    };
    return { day, minutes, bays };
  }).filter(({ minutes, bays }) => minutes > 0 && bays > 0);
}
