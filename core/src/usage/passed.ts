import { dateOfDayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { UsagePoint } from './usageModel.js';

/** Binary fractions must not move a day. */
const TOLERANCE = 1e-6;

/** Index of the first of `points` (in order of time) that is not below `life`; their number where none is. */
function firstAtLeast(points: readonly UsagePoint[], life: number): number {
  let low = 0;
  let high = points.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((points[middle]?.life ?? Infinity) >= life) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** The day on which `life` was passed, on a straight line between the points around it; null where that is not known. */
export function datePassed(points: readonly UsagePoint[], life: number): CivilDate | null {
  const index = firstAtLeast(points, life);
  const after = points[index];
  if (!after) return null;
  const before = points[index - 1];
  if (!before) return after.life === life ? dateOfDayNumber(after.day) : null;
  const share = (life - before.life) / (after.life - before.life);
  return dateOfDayNumber(before.day + Math.floor(share * (after.day - before.day) + TOLERANCE));
}

/** Life hours at the end of `day`, on a straight line between the points around it; the first or last beyond them. */
export function lifeAtDay(points: readonly UsagePoint[], day: number): number {
  let low = 0;
  let high = points.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((points[middle]?.day ?? Infinity) >= day) high = middle;
    else low = middle + 1;
  }
  const after = points[low];
  const before = points[low - 1];
  if (!after) return before?.life ?? 0;
  if (!before || after.day === day) return after.life;
  return before.life + ((after.life - before.life) * (day - before.day)) / (after.day - before.day);
}

/** The day on which the last of `points` (in order of time) was first reached: when it was last known to have run. */
export function lastRun(points: readonly UsagePoint[]): number | null {
  const last = points.at(-1);
  return last ? (points[firstAtLeast(points, last.life)]?.day ?? last.day) : null;
}
