/** The coldest and warmest of a month, °C. */
export interface MonthTemperatures {
  readonly low: number;
  readonly high: number;
}

/** Month by month, January first. */
export type Climate = readonly MonthTemperatures[];

const MONTHS = 12;

/** A plain temperate year, until the crew lead says how it is on the site: an assumption, not a measurement. */
export const PLAIN_CLIMATE: Climate = [
  { low: -8, high: 12 },
  { low: -8, high: 14 },
  { low: -5, high: 18 },
  { low: -2, high: 22 },
  { low: 1, high: 26 },
  { low: 5, high: 30 },
  { low: 8, high: 33 },
  { low: 7, high: 33 },
  { low: 3, high: 28 },
  { low: -1, high: 22 },
  { low: -4, high: 16 },
  { low: -7, high: 13 },
];

/** The coldest and warmest, °C, from a civil date on for so many months, its own counted whole: at most a year. */
export function expectedFrom(climate: Climate, from: string, months = MONTHS): MonthTemperatures | null {
  const first = Number(from.slice(5, 7)) - 1;
  const own = Array.from({ length: Math.min(months, MONTHS) }, (_, at) => climate[(first + at) % MONTHS]);
  const known = own.filter((month) => month !== undefined);
  if (known.length === 0) return null;
  return {
    low: Math.min(...known.map(({ low }) => low)),
    high: Math.max(...known.map(({ high }) => high)),
  };
}
