import { dateOfDayNumber, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { seasonSpans } from '../season/season.js';
import type { Span } from '../season/season.js';
import type { Standing } from './standing.js';
import type { SeasonEdge } from './trigger.js';

/** An edge this close after the last time was meant by it: done three weeks early counts for that year. */
const COUNTS_AHEAD_DAYS = 45;
/** Seasons return every year; two years on there is one for certain. */
const LOOK_AHEAD_DAYS = 800;

function spansOf(season: string | null, standing: Standing, from: number, to: number): readonly Span[] {
  if (season === null) return standing.plan.working;
  const wanted = season.toLowerCase();
  const found = standing.seasons.find(({ name }) => name.toLowerCase() === wanted);
  return found ? seasonSpans(found, from, to) : [];
}

/** The next season edge, moved by its offset, that is more than 45 days after `from`; null where no such season is planned. */
export function nextEdge(trigger: SeasonEdge, from: CivilDate, standing: Standing): CivilDate | null {
  const after = dayNumber(from) + COUNTS_AHEAD_DAYS;
  const reach = Math.abs(trigger.offsetDays);
  const spans = spansOf(trigger.season, standing, after - reach - 1, after + LOOK_AHEAD_DAYS + reach);
  let next: number | null = null;
  for (const span of spans) {
    const day = (trigger.edge === 'first' ? span.first : span.last) + trigger.offsetDays;
    if (day > after && (next === null || day < next)) next = day;
  }
  return next === null || next >= standing.plan.horizon ? null : dateOfDayNumber(next);
}
