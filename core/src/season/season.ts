import { addMonths, civilDate, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';

/** The days of a season in one year. It may end in the year after. */
export interface SeasonYear {
  readonly year: number;
  readonly firstDay: CivilDate;
  readonly lastDay: CivilDate;
}

/** A stretch of the year in which a site works, such as mowing; it may cross New Year and overlap others. */
export interface Season {
  readonly id: string;
  readonly name: string;
  /** the years whose days are set; others take over those of the nearest year before, or after */
  readonly years: readonly SeasonYear[];
}

/** Days from `first` to `last`, both included, as day numbers. */
export interface Span {
  readonly first: number;
  readonly last: number;
}

/** A season longer than a year would overlap itself. */
const LONGEST_DAYS = 366;

/** What is wrong with the days of a season in a year. */
export type SeasonYearFault = 'endsBeforeItBegins' | 'longerThanAYear' | 'beginsInAnotherYear';

/** What is wrong with the days of a season in a year; null where nothing is. */
export function seasonYearFault({ year, firstDay, lastDay }: SeasonYear): SeasonYearFault | null {
  if (lastDay < firstDay) return 'endsBeforeItBegins';
  if (Number(firstDay.slice(0, 4)) !== year) return 'beginsInAnotherYear';
  return dayNumber(lastDay) - dayNumber(firstDay) >= LONGEST_DAYS ? 'longerThanAYear' : null;
}

/** The days of `source` moved to `year`; 29 February becomes the 28th where there is none. */
export function shiftedTo(year: number, source: SeasonYear): SeasonYear {
  const months = (year - source.year) * 12;
  return { year, firstDay: addMonths(source.firstDay, months), lastDay: addMonths(source.lastDay, months) };
}

/**
 * The days of a season in `year`: those set for it; else those of the nearest year before that has some, else of the nearest
 * after, at the same days of the year. Null for a season without any year.
 */
export function seasonInYear(season: Season, year: number): SeasonYear | null {
  let before: SeasonYear | null = null;
  let after: SeasonYear | null = null;
  for (const set of season.years) {
    if (set.year === year) return set;
    if (set.year < year && (!before || set.year > before.year)) before = set;
    if (set.year > year && (!after || set.year < after.year)) after = set;
  }
  const source = before ?? after;
  return source ? shiftedTo(year, source) : null;
}

/** The spans of `season` that touch the days from `from` to `to` (day numbers), in order. */
export function seasonSpans(season: Season, from: number, to: number): Span[] {
  const spans: Span[] = [];
  const firstYear = new Date(from * 86_400_000).getUTCFullYear() - 1;
  const lastYear = new Date(to * 86_400_000).getUTCFullYear();
  for (let year = firstYear; year <= lastYear; year += 1) {
    const days = seasonInYear(season, year);
    if (!days) return [];
    const span = { first: dayNumber(days.firstDay), last: dayNumber(days.lastDay) };
    if (span.last >= from && span.first <= to) spans.push(span);
  }
  return spans;
}

/** `spans` in order, with those that touch or overlap joined to one. */
export function joined(spans: readonly Span[]): Span[] {
  const ordered = [...spans].sort((a, b) => a.first - b.first);
  const result: Span[] = [];
  for (const span of ordered) {
    const before = result.at(-1);
    if (before && span.first <= before.last + 1) {
      result[result.length - 1] = { first: before.first, last: Math.max(before.last, span.last) };
    } else {
      result.push(span);
    }
  }
  return result;
}

/** The days of a year written as month and day, such as `03-24` to `10-24`; a last day before the first lies in the next year. */
export function seasonYear(year: number, first: string, last: string): SeasonYear {
  const ends = last < first ? year + 1 : year;
  return { year, firstDay: civilDate(`${year}-${first}`), lastDay: civilDate(`${ends}-${last}`) };
}
