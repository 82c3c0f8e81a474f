import { addMonths, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { seasonSpans } from '../season/season.js';
import type { Season, Span } from '../season/season.js';
import { seasonPlan } from '../season/usePlan.js';
import type { Participation, UsePlan } from '../season/usePlan.js';
import type { HoursGrid } from './trigger.js';

/** What the schedules of all machines of a site share. */
export interface SiteSettings {
  /** IANA name */
  readonly timeZone: string;
  readonly seasons: readonly Season[];
  /** the house rule for hours intervals that set none of their own */
  readonly grid: HoursGrid;
}

/** A site on a day, with the plans that its machines follow. */
export interface ScheduleContext {
  readonly site: SiteSettings;
  readonly today: CivilDate;
  /** day number of today */
  readonly day: number;
  /** last day that a date is told for: ten years from today */
  readonly horizon: number;
  planOf(parts: readonly Participation[]): UsePlan;
  /** the spans of a season by its name, in order, from the year before `day` on; none where there is no such season */
  spansOf(season: string, day: number): readonly Span[];
  /** the spans in which a machine with these parts works, joined, in order, from the year before `day` on */
  workingSpansOf(parts: readonly Participation[], day: number): readonly Span[];
}

/** Older readings say nothing any more; a date more than ten years off is no forecast. */
const DAYS_BACK = 1100;
const MONTHS_AHEAD = 120;
const DAYS_OF_A_YEAR = 366;

/** The site on `today`. Machines that take part in the same seasons with the same hours share one plan. */
export function scheduleContext(site: SiteSettings, today: CivilDate): ScheduleContext {
  const day = dayNumber(today);
  const horizon = dayNumber(addMonths(today, MONTHS_AHEAD));
  const begins = day - DAYS_BACK;
  const plans = new Map<string, UsePlan>();
  const spans = new Map<string, readonly Span[]>();
  const spansFrom = (season: string, from: number): readonly Span[] => {
    const wanted = season.toLowerCase();
    const found = site.seasons.find(({ name }) => name.toLowerCase() === wanted);
    return found ? seasonSpans(found, from, horizon) : [];
  };
  const planOf = (parts: readonly Participation[]): UsePlan => {
    const key = parts.map(({ seasonId, hoursPerWeek }) => `${seasonId}:${hoursPerWeek}`).join();
    const known = plans.get(key) ?? seasonPlan(parts, site.seasons, begins, horizon);
    plans.set(key, known);
    return known;
  };
  return {
    site,
    today,
    day,
    horizon,
    planOf,
    spansOf(season, from) {
      // Older baselines are rare: a machine that was not seen to for years.
      if (from - DAYS_OF_A_YEAR < begins) return spansFrom(season, from - DAYS_OF_A_YEAR);
      const known = spans.get(season) ?? spansFrom(season, begins);
      spans.set(season, known);
      return known;
    },
    workingSpansOf(parts, from) {
      if (from - DAYS_OF_A_YEAR >= begins) return planOf(parts).working;
      return seasonPlan(parts, site.seasons, from - DAYS_OF_A_YEAR, horizon).working;
    },
  };
}
