import { dateOfDayNumber, dayNumber } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';
import { calendarLimit } from '../limit.js';
import type { Standing } from '../standing.js';
import type { SeasonEdge } from '../trigger.js';
import { edgeWindow } from '../window.js';
import { defineTrigger, isName, isWhole } from './define.js';

/** An edge this close after the last time was meant by it: done three weeks early counts for that year. */
const COUNTS_AHEAD_DAYS = 45;
const MOST_OFFSET_DAYS = 180;

/** The next season edge, moved by its offset, that is more than 45 days after `from`; null where no such season is planned. */
function nextEdge(trigger: SeasonEdge, from: CivilDate, standing: Standing): CivilDate | null {
  const after = dayNumber(from) + COUNTS_AHEAD_DAYS;
  let next: number | null = null;
  for (const span of standing.spansOf(trigger.season, after)) {
    const day = (trigger.edge === 'first' ? span.first : span.last) + trigger.offsetDays;
    if (day > after && (next === null || day < next)) next = day;
  }
  return next === null || next > standing.horizon ? null : dateOfDayNumber(next);
}

/** Before or after the first or last day of a season. */
export const seasonEdge = defineTrigger<SeasonEdge>({
  parse({ season, edge, offsetDays }) {
    const name = season ?? null;
    if (name !== null && !isName(name)) return { fault: 'season' };
    if (edge !== 'first' && edge !== 'last') return { fault: 'season' };
    return isWhole(offsetDays, -MOST_OFFSET_DAYS, MOST_OFFSET_DAYS)
      ? { trigger: { kind: 'seasonEdge', season: name, edge, offsetDays } }
      : { fault: 'offset' };
  },
  countsAtFirst: () => true,
  countsAgain: true,
  limits(trigger, item, { from, standing, ahead }) {
    let on = nextEdge(trigger, from.on, standing);
    for (let more = 0; more < ahead && on; more += 1) on = nextEdge(trigger, on, standing);
    const window = edgeWindow(item.window);
    return on ? [calendarLimit(trigger, { from: from.on, on }, window, standing)] : 'noSeason';
  },
  standsStill: () => false,
  cell: () => null,
  interval: () => null,
  onMeter: () => null,
  isDated: true,
});
