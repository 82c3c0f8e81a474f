import { dateOfDayNumber, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { Standing } from './standing.js';
import type { SeasonEdge } from './trigger.js';

/** An edge this close after the last time was meant by it: done three weeks early counts for that year. */
const COUNTS_AHEAD_DAYS = 45;

/** The next season edge, moved by its offset, that is more than 45 days after `from`; null where no such season is planned. */
export function nextEdge(trigger: SeasonEdge, from: CivilDate, standing: Standing): CivilDate | null {
  const after = dayNumber(from) + COUNTS_AHEAD_DAYS;
  let next: number | null = null;
  for (const span of standing.spansOf(trigger.season, after)) {
    const day = (trigger.edge === 'first' ? span.first : span.last) + trigger.offsetDays;
    if (day > after && (next === null || day < next)) next = day;
  }
  return next === null || next > standing.horizon ? null : dateOfDayNumber(next);
}
