import { dateOfDayNumber, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { UsePlan } from '../season/usePlan.js';
import { lifeAtDay } from './passed.js';
import type { UsagePoint } from './usageModel.js';

/** Hours of a machine in a week from Monday to Sunday. */
export interface WeekOfUse {
  /** its Monday */
  readonly from: CivilDate;
  readonly planned: number;
  /** on straight lines between readings; null where none lie around the week */
  readonly observed: number | null;
}

/** 1970-01-01 was a Thursday. */
const THURSDAY_TO_MONDAY = 3;

/** The last `count` whole weeks before `today`, earliest first: what was planned, and what the readings show. */
export function weeksOfUse(
  points: readonly UsagePoint[],
  plan: UsePlan,
  today: CivilDate,
  count: number,
): WeekOfUse[] {
  const day = dayNumber(today);
  const thisMonday = day - ((day + THURSDAY_TO_MONDAY) % 7);
  const [first, last] = [points[0], points.at(-1)];
  return Array.from({ length: count }, (_, index) => {
    const before = thisMonday - 7 * (count - index) - 1;
    const isRead = first && last && first.day <= before && last.day >= before + 7;
    return {
      from: dateOfDayNumber(before + 1),
      planned: plan.exposure(before, before + 7),
      observed: isRead ? lifeAtDay(points, before + 7) - lifeAtDay(points, before) : null,
    };
  });
}
