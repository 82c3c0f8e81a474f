import { parseCivilDate } from './civilDate.js';
import type { CivilDate } from './civilDate.js';

/** How a day is typed: 13/05/2027, 05/13/2027 or 2027-05-13. */
export const DATE_ORDERS = ['dayFirst', 'monthFirst', 'yearFirst'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** Time zones of the United States (IANA zone1970.tab), but those of parts of a state, which begin otherwise. */
const US_ZONES = [
  ...['New_York', 'Detroit', 'Chicago', 'Menominee', 'Denver', 'Boise', 'Phoenix', 'Los_Angeles'],
  ...['Anchorage', 'Juneau', 'Sitka', 'Metlakatla', 'Yakutat', 'Nome', 'Adak'],
].map((place) => `America/${place}`);
const US_ZONES_BEGIN = ['America/Indiana/', 'America/Kentucky/', 'America/North_Dakota/'];

/** How a day is usually typed there: month first in the United States, else day first. */
export function usualDateOrder(timeZone: string): DateOrder {
  const isUs =
    US_ZONES.includes(timeZone) ||
    timeZone === 'Pacific/Honolulu' ||
    US_ZONES_BEGIN.some((begin) => timeZone.startsWith(begin));
  return isUs ? 'monthFirst' : 'dayFirst';
}

/** A day as it is typed in an order: 31/12/2027, 12/31/2027 or 2027-12-31. */
export function typedDay(day: CivilDate, order: DateOrder): string {
  const [year, month, date] = day.split('-');
  if (order === 'yearFirst') return day;
  return order === 'dayFirst' ? `${date}/${month}/${year}` : `${month}/${date}/${year}`;
}

const TYPED = /^(\d{1,4})[-/. ]+(\d{1,2})[-/. ]+(\d{1,4})$/;
/** Two figures of a year are of this century. */
const CENTURY = 2000;

/**
 * The day that somebody typed: by the order, with strokes, points or hyphens, a year of two or four figures; one that begins with its year is
 * read whatever the order. null where there is no such day.
 */
export function readDay(text: string, order: DateOrder): CivilDate | null {
  const parts = TYPED.exec(text.trim());
  if (!parts) return null;
  const [first = '', second = '', third = ''] = parts.slice(1);
  const [year, month, date] =
    first.length > 2 || order === 'yearFirst'
      ? [first, second, third]
      : order === 'dayFirst'
        ? [third, second, first]
        : [third, first, second];
  if (year.length === 3 || year.length === 1) return null;
  const whole = year.length === 2 ? CENTURY + Number(year) : Number(year);
  return parseCivilDate(`${whole}-${month.padStart(2, '0')}-${date.padStart(2, '0')}`);
}
