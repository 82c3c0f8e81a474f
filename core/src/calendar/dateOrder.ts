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
