import { dateOfDayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { ReachedDates } from '../usage/usageModel.js';
import { datesAhead, itemStandsStill } from './due.js';
import type { ItemStanding } from './due.js';
import type { AskItem } from './dueAnswers.js';
import type { ScheduleItem } from './item.js';

/** A time at which an item is expected to fall due; those that are due already come today. */
export interface ComingWork extends ReachedDates {
  readonly item: ScheduleItem;
  readonly expectedOn: CivilDate;
  /** 0: the next time, 1: the time after it, as if it were done when it fell due, and so on */
  readonly nth: number;
}

/** A line that falls due every week for years is looked at no further. */
const MOST_TIMES = 110;

/**
 * The times at which an item may fall due up to a day: all whose 10 % point is not after it. What rests, and what nobody knows the last
 * time of, comes at no time.
 */
function timesOf(of: ItemStanding, until: CivilDate): ComingWork[] {
  const { item, standing, find } = of;
  if (!standing.working.works && itemStandsStill(item, find)) return [];
  const today = dateOfDayNumber(standing.today);
  const notBefore = (on: CivilDate | null) => (on !== null && on < today ? today : on);
  const times: ComingWork[] = [];
  let before: CivilDate | null = null;
  for (let nth = 0; nth < MOST_TIMES; nth += 1) {
    const dates = datesAhead(of, nth);
    const expectedOn = notBefore(dates?.expectedOn ?? null);
    if (!dates || expectedOn === null || (before !== null && expectedOn < before)) break;
    const earlyOn = notBefore(dates.earlyOn) ?? expectedOn;
    if (earlyOn > until) break;
    // What is long overdue is done once, however often it was missed.
    if (before === today && expectedOn === today) continue;
    times.push({ item, earlyOn, expectedOn, lateOn: notBefore(dates.lateOn), nth: times.length });
    before = expectedOn;
  }
  return times;
}

/** The times at which `items` may fall due up to and with a day, in the order of the items. */
export function comingWork(items: readonly ScheduleItem[], ask: AskItem, until: CivilDate): ComingWork[] {
  return items.flatMap((item) => ask(item, (of) => timesOf(of, until)));
}
