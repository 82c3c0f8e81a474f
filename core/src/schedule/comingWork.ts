import { dateOfDayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { ReachedDates } from '../usage/usageModel.js';
import { datesAhead, itemStandsStill } from './due.js';
import type { ItemStanding } from './due.js';
import type { AskItem } from './dueAnswers.js';
import type { ScheduleItem } from './item.js';

/** A time at which an item is expected to fall due; those that are due already come today, or when the machine works again. */
export interface ComingWork extends ReachedDates {
  readonly item: ScheduleItem;
  readonly expectedOn: CivilDate;
  /** 0: the next time, 1: the time after it, as if it were done when it fell due, and so on */
  readonly nth: number;
}

/** A line that falls due every week for years is looked at no further. */
const MOST_TIMES = 110;

/**
 * The first day on which an item may be wanted: today, or while all that makes it due rests with the machine, the day on which that
 * works again; null where nobody knows when.
 */
function firstDayOf({ item, standing, find }: ItemStanding): CivilDate | null {
  const { today, working } = standing;
  const day = working.works || !itemStandsStill(item, find) ? today : working.workingDayFrom(today);
  return day === null ? null : dateOfDayNumber(day);
}

/** The times at which an item may fall due up to a day: all whose 10 % point is not after it. What nobody knows the last time of comes at none. */
function timesOf(of: ItemStanding, until: CivilDate): ComingWork[] {
  const first = firstDayOf(of);
  if (first === null) return [];
  const notBefore = (on: CivilDate | null) => (on !== null && on < first ? first : on);
  const times: ComingWork[] = [];
  let before: CivilDate | null = null;
  for (let nth = 0; nth < MOST_TIMES; nth += 1) {
    const dates = datesAhead(of, nth);
    const expectedOn = notBefore(dates?.expectedOn ?? null);
    if (!dates || expectedOn === null || (before !== null && expectedOn < before)) break;
    const earlyOn = notBefore(dates.earlyOn) ?? expectedOn;
    if (earlyOn > until) break;
    // What is long overdue is done once, however often it was missed.
    if (before === first && expectedOn === first) continue;
    times.push({ item: of.item, earlyOn, expectedOn, lateOn: notBefore(dates.lateOn), nth: times.length });
    before = expectedOn;
  }
  return times;
}

/** The times at which `items` may fall due up to and with a day, in the order of the items. */
export function comingWork(items: readonly ScheduleItem[], ask: AskItem, until: CivilDate): ComingWork[] {
  return items.flatMap((item) => ask(item, (of) => timesOf(of, until)));
}
