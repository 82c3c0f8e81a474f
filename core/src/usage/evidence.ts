import type { UsePlan } from '../season/usePlan.js';
import type { UsagePoint } from './usageModel.js';

/** What one gap between readings says of a machine. */
export interface Gap {
  /** hours run */
  readonly hours: number;
  /** hours that were planned */
  readonly planned: number;
  /** 1 for now, less with age */
  readonly weight: number;
}

/** Working days after which a gap counts half: six weeks in season. */
const HALF_LIFE_DAYS = 42;
/** Shorter gaps are joined: within a week the machine either runs or stands, which says nothing of its week. */
const LEAST_GAP_DAYS = 5;
/** A gap of less weight than this changes no figure that is shown. */
const LEAST_WEIGHT = 1e-3;

/**
 * The gaps between `points` (in order of time) against `plan`, latest first, weighted by their age in working days before
 * `today`. A gap without planned hours says nothing of how hard the machine works against plan and is left out.
 */
export function evidence(points: readonly UsagePoint[], plan: UsePlan, today: number): Gap[] {
  const gaps: Gap[] = [];
  let later = points.at(-1);
  for (let i = points.length - 2; i >= 0 && later; i -= 1) {
    const earlier = points[i];
    if (!earlier) break;
    if (later.day - earlier.day < LEAST_GAP_DAYS) continue;
    const weight = 0.5 ** (plan.workingDays(later.day, today) / HALF_LIFE_DAYS);
    if (weight < LEAST_WEIGHT) break;
    const planned = plan.exposure(earlier.day, later.day);
    if (planned > 0) gaps.push({ hours: later.life - earlier.life, planned, weight });
    later = earlier;
  }
  return gaps;
}
