import { addDays, dateOfDayNumber, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { UsageModel } from './usageModel.js';

/** Life hours on a day: what a usage model learns from. */
export interface UsagePoint {
  readonly on: CivilDate;
  readonly life: number;
}

/** Days of history that the average looks back over. */
const LOOK_BACK_DAYS = 90;
/** Below this span a single long day would pass for a habit. */
const LEAST_SPAN_DAYS = 7;
/** A date further off than this is no forecast. */
const HORIZON_DAYS = 3650;

/** The day between two points on which a machine running evenly passed `life`. */
function dayPassed(before: UsagePoint, after: UsagePoint, life: number): CivilDate {
  const share = after.life > before.life ? (life - before.life) / (after.life - before.life) : 0;
  const from = dayNumber(before.on);
  return dateOfDayNumber(from + share * (dayNumber(after.on) - from));
}

/** Life hours on `day`, on a straight line between the points around it; the first or last beyond them. */
function lifeOn(points: readonly UsagePoint[], day: number): number {
  const next = points.findIndex((point) => dayNumber(point.on) >= day);
  const after = points[next] ?? points.at(-1);
  const before = points[next - 1];
  if (!after) return 0;
  if (!before || dayNumber(after.on) <= day) return after.life;
  const from = dayNumber(before.on);
  return before.life + ((after.life - before.life) * (day - from)) / (dayNumber(after.on) - from);
}

/** Hours a day over the last {@link LOOK_BACK_DAYS} days before `today`; null where the readings span too little to tell. */
function dailyAverage(points: readonly UsagePoint[], today: CivilDate): number | null {
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last) return null;
  const from = Math.max(dayNumber(first.on), dayNumber(today) - LOOK_BACK_DAYS);
  const to = dayNumber(last.on);
  if (to - from >= LEAST_SPAN_DAYS) return (last.life - lifeOn(points, from)) / (to - from);
  const spanned = to - dayNumber(first.on);
  return spanned >= LEAST_SPAN_DAYS ? (last.life - first.life) / spanned : null;
}

/**
 * The simplest true forecast: the machine goes on at its own average of the last 90 days.
 * `points` are in order of time, at least one a reading. Dates ahead count from the last reading and are never before `today`.
 */
export function averageUsage(points: readonly UsagePoint[], today: CivilDate): UsageModel {
  const perDay = dailyAverage(points, today);
  const last = points.at(-1);
  return {
    hoursPerWeek: perDay === null ? null : perDay * 7,
    dateReached(life) {
      if (!last) return null;
      if (life <= last.life) {
        const index = points.findIndex((point) => point.life >= life);
        const after = points[index];
        const before = points[index - 1];
        if (!after) return null;
        if (before) return dayPassed(before, after, life);
        return after.life === life ? after.on : null;
      }
      if (perDay === null || perDay <= 0) return null;
      const days = Math.ceil((life - last.life) / perDay - 1e-9);
      if (days > HORIZON_DAYS) return null;
      const on = addDays(last.on, days);
      return on < today ? today : on;
    },
  };
}
