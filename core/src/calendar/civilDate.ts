/** A day of the civil calendar, `YYYY-MM-DD`, without time or zone. Compares correctly as a string. */
export type CivilDate = string & { readonly __brand: 'CivilDate' };

const PATTERN = /^\d{4}-\d{2}-\d{2}$/;

/** The date written as `YYYY-MM-DD`, or null where the text is not a day of the Gregorian calendar. */
export function parseCivilDate(text: string): CivilDate | null {
  if (!PATTERN.test(text)) return null;
  const month = digits(text, 5, 7);
  const day = digits(text, 8, 10);
  const isDay = month >= 1 && month <= 12 && day >= 1 && day <= daysOfMonth(digits(text, 0, 4), month);
  return isDay ? (text as CivilDate) : null;
}

/** The date written as `YYYY-MM-DD`. Throws a RangeError where there is no such day. */
export function civilDate(text: string): CivilDate {
  const date = parseCivilDate(text);
  if (date === null) throw new RangeError(`"${text}" is not a calendar day; write it as YYYY-MM-DD.`);
  return date;
}

/** Days from 1 March of the year 0 to 1970-01-01, and in 400 and 100 years of the Gregorian calendar. */
const EPOCH = 719_468;
const DAYS_OF_400_YEARS = 146_097;
const DAYS_OF_100_YEARS = 36_524;
const DAYS_OF_4_YEARS = 1461;

/**
 * Days since 1970-01-01; the whole number that date arithmetic is done in. Years are counted from March, so that the leap day is
 * the last of its year (the algorithm of Fliegel and Van Flandern, 1968, in the form of days from a civil date).
 */
export function dayNumber(date: CivilDate): number {
  const month = digits(date, 5, 7);
  const year = digits(date, 0, 4) - (month <= 2 ? 1 : 0);
  const era = Math.floor(year / 400);
  const yearOfEra = year - era * 400;
  const dayOfYear = Math.floor((153 * (month > 2 ? month - 3 : month + 9) + 2) / 5) + digits(date, 8, 10) - 1;
  const leapDays = Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100);
  return era * DAYS_OF_400_YEARS + yearOfEra * 365 + leapDays + dayOfYear - EPOCH;
}

/** The digits of `text` from `start` up to `end`, as a number. Thousands of dates are read at once; this makes no garbage. */
function digits(text: string, start: number, end: number): number {
  let value = 0;
  for (let i = start; i < end; i += 1) value = value * 10 + (text.charCodeAt(i) - 48);
  return value;
}

/** The inverse of {@link dayNumber}; fractions of a day are cut off. */
export function dateOfDayNumber(day: number): CivilDate {
  const since = Math.floor(day) + EPOCH;
  const era = Math.floor(since / DAYS_OF_400_YEARS);
  const dayOfEra = since - era * DAYS_OF_400_YEARS;
  const leaps =
    Math.floor(dayOfEra / (DAYS_OF_4_YEARS - 1)) -
    Math.floor(dayOfEra / DAYS_OF_100_YEARS) +
    Math.floor(dayOfEra / (DAYS_OF_400_YEARS - 1));
  const yearOfEra = Math.floor((dayOfEra - leaps) / 365);
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const fromMarch = Math.floor((5 * dayOfYear + 2) / 153);
  const dayOfMonth = dayOfYear - Math.floor((153 * fromMarch + 2) / 5) + 1;
  const month = fromMarch < 10 ? fromMarch + 3 : fromMarch - 9;
  return written(yearOfEra + era * 400 + (month <= 2 ? 1 : 0), month, dayOfMonth);
}

function written(year: number, month: number, day: number): CivilDate {
  const years = year > 999 ? String(year) : String(year).padStart(4, '0');
  return `${years}-${month < 10 ? '0' : ''}${month}-${day < 10 ? '0' : ''}${day}` as CivilDate;
}

/** The date `days` later (earlier when negative). */
export function addDays(date: CivilDate, days: number): CivilDate {
  return dateOfDayNumber(dayNumber(date) + days);
}

function isLeapYear(year: number): boolean {
  return year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);
}

const DAYS_OF_MONTH = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Days of a month, which is counted from 1. */
function daysOfMonth(year: number, month: number): number {
  return month === 2 && isLeapYear(year) ? 29 : (DAYS_OF_MONTH[month - 1] ?? 31);
}

/** The date `months` later. A month end clamps: 31 January + 1 month is 28 or 29 February. */
export function addMonths(date: CivilDate, months: number): CivilDate {
  const counted = digits(date, 0, 4) * 12 + digits(date, 5, 7) - 1 + months;
  const year = Math.floor(counted / 12);
  const month = counted - year * 12;
  return written(year, month + 1, Math.min(digits(date, 8, 10), daysOfMonth(year, month + 1)));
}

/** Whole days from `from` to `to`; negative when `to` is the earlier. */
export function daysBetween(from: CivilDate, to: CivilDate): number {
  return dayNumber(to) - dayNumber(from);
}
