import { dayNumber } from '../calendar/civilDate.js';
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
  planOf(parts: readonly Participation[]): UsePlan;
  /** the spans of a season by its name, in order, from the year before `day` on; none where there is no such season */
  spansOf(season: string, day: number): readonly Span[];
}

/** Older readings say nothing any more; a date further off than this is no forecast. */
const DAYS_BACK = 1100;
const DAYS_AHEAD = 3650;
const DAYS_OF_A_YEAR = 366;

/** The site on `today`. Machines that take part in the same seasons with the same hours share one plan. */
export function scheduleContext(site: SiteSettings, today: CivilDate): ScheduleContext {
  const day = dayNumber(today);
  const plans = new Map<string, UsePlan>();
  const spans = new Map<string, readonly Span[]>();
  const spansFrom = (season: string, from: number): readonly Span[] => {
    const wanted = season.toLowerCase();
    const found = site.seasons.find(({ name }) => name.toLowerCase() === wanted);
    return found ? seasonSpans(found, from, day + DAYS_AHEAD) : [];
  };
  return {
    site,
    today,
    day,
    planOf(parts) {
      const key = parts.map(({ seasonId, hoursPerWeek }) => `${seasonId}:${hoursPerWeek}`).join();
      const known = plans.get(key);
      if (known) return known;
      const plan = seasonPlan(parts, site.seasons, day - DAYS_BACK, day + DAYS_AHEAD);
      plans.set(key, plan);
      return plan;
    },
    spansOf(season, from) {
      // Older baselines are rare: a machine that was not seen to for years.
      if (from - DAYS_OF_A_YEAR < day - DAYS_BACK) return spansFrom(season, from - DAYS_OF_A_YEAR);
      const known = spans.get(season) ?? spansFrom(season, day - DAYS_BACK);
      spans.set(season, known);
      return known;
    },
  };
}
