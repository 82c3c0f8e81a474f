import { lifeAtDay } from './passed.js';
import type { UsagePoint } from './usageModel.js';

/** Days of history that the average looks back over. */
const LOOK_BACK_DAYS = 90;
/** Below this span a single long day would pass for a habit. */
const LEAST_SPAN_DAYS = 7;

/**
 * Hours a day over the last 90 days before `today`, of a machine that no plan tells about; over all its history where its
 * readings end before that. Null where they span less than a week. `points` are in order of time.
 */
export function observedRate(points: readonly UsagePoint[], today: number): number | null {
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last) return null;
  const from = Math.max(first.day, today - LOOK_BACK_DAYS);
  if (last.day - from >= LEAST_SPAN_DAYS) return (last.life - lifeAtDay(points, from)) / (last.day - from);
  const spanned = last.day - first.day;
  return spanned >= LEAST_SPAN_DAYS ? (last.life - first.life) / spanned : null;
}
