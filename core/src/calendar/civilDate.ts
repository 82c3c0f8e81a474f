/** A day of the civil calendar, `YYYY-MM-DD`, without time or zone. Compares correctly as a string. */
export type CivilDate = string & { readonly __brand: 'CivilDate' };

const MS_PER_DAY = 86_400_000;
const PATTERN = /^(\d{4})-(\d{2})-(\d{2})$/;

/** The date written as `YYYY-MM-DD`, or null where the text is not a day of the Gregorian calendar. */
export function parseCivilDate(text: string): CivilDate | null {
  const parts = PATTERN.exec(text);
  if (!parts) return null;
  const ms = Date.UTC(Number(parts[1]), Number(parts[2]) - 1, Number(parts[3]));
  return new Date(ms).toISOString().slice(0, 10) === text ? (text as CivilDate) : null;
}

/** The date written as `YYYY-MM-DD`. Throws a RangeError where there is no such day. */
export function civilDate(text: string): CivilDate {
  const date = parseCivilDate(text);
  if (date === null) throw new RangeError(`"${text}" is not a calendar day; write it as YYYY-MM-DD.`);
  return date;
}

/** Days since 1970-01-01; the whole number that date arithmetic is done in. */
export function dayNumber(date: CivilDate): number {
  return Date.parse(date) / MS_PER_DAY;
}

/** The inverse of {@link dayNumber}; fractions of a day are cut off. */
export function dateOfDayNumber(day: number): CivilDate {
  return new Date(Math.floor(day) * MS_PER_DAY).toISOString().slice(0, 10) as CivilDate;
}

/** The date `days` later (earlier when negative). */
export function addDays(date: CivilDate, days: number): CivilDate {
  return dateOfDayNumber(dayNumber(date) + days);
}

/** The date `months` later. A month end clamps: 31 January + 1 month is 28 or 29 February. */
export function addMonths(date: CivilDate, months: number): CivilDate {
  const at = new Date(Date.parse(date));
  const firstOfTarget = Date.UTC(at.getUTCFullYear(), at.getUTCMonth() + months, 1);
  const target = new Date(firstOfTarget);
  const lastDay = new Date(Date.UTC(target.getUTCFullYear(), target.getUTCMonth() + 1, 0)).getUTCDate();
  return dateOfDayNumber(firstOfTarget / MS_PER_DAY + Math.min(at.getUTCDate(), lastDay) - 1);
}

/** Whole days from `from` to `to`; negative when `to` is the earlier. */
export function daysBetween(from: CivilDate, to: CivilDate): number {
  return dayNumber(to) - dayNumber(from);
}
