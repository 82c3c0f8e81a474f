import type { UsePlan } from '../season/usePlan.js';
import type { UsagePoint } from './usageModel.js';

/** What one gap between readings says of a machine. */
export interface Gap {
  /** hours run */
  readonly hours: number;
  /** hours that were planned */
  readonly planned: number;
  /** working days of the plan within it */
  readonly days: number;
  /** working days from its end to today */
  readonly age: number;
}

/** What the readings of a machine say of how it works. */
export interface Evidence {
  /** hours run and hours planned, each weighted by age */
  readonly hours: number;
  readonly planned: number;
  /** gaps of some days each, earliest first */
  readonly gaps: readonly Gap[];
}

/** Working days after which what was run counts half: six weeks in season. */
const HALF_LIFE_DAYS = 42;
/** Shorter gaps are joined: within a week the machine either runs or stands, which says nothing of its weeks. */
const LEAST_GAP_DAYS = 5;
/** A gap of less weight than this changes no figure that is shown. */
const LEAST_WEIGHT = 1e-3;

/** The weights of whole days by their half-life: a fleet asks for the same few hundred over and over. */
const weights = new Map<number, Float64Array>();
const MOST_DAYS = 1200;

/** How much something counts that lies `age` whole working days back, where it counts half after `halfLife`. */
export function weightOf(age: number, halfLife: number): number {
  const known =
    weights.get(halfLife) ?? Float64Array.from({ length: MOST_DAYS }, (_, days) => 0.5 ** (days / halfLife));
  weights.set(halfLife, known);
  return known[age] ?? 0.5 ** (age / halfLife);
}

/** Sums from reading to reading, so that a reading more, where the machine ran as was expected, changes no ratio. */
function sums(
  points: readonly UsagePoint[],
  plan: UsePlan,
  today: number,
): { hours: number; planned: number } {
  let hours = 0;
  let planned = 0;
  for (let i = points.length - 1; i > 0; i -= 1) {
    const [before, after] = [points[i - 1], points[i]];
    // Of days before the plan begins nobody knows what was planned.
    if (!before || !after || before.day < plan.firstDay) break;
    const weight = weightOf(plan.workingDays(after.day, today), HALF_LIFE_DAYS);
    if (weight < LEAST_WEIGHT) break;
    const exposure = plan.exposure(before.day, after.day);
    if (exposure > 0) {
      hours += weight * (after.life - before.life);
      planned += weight * exposure;
    }
  }
  return { hours, planned };
}

/** Gaps of {@link LEAST_GAP_DAYS} or more in which some hours were planned, earliest first. */
function joinedGaps(points: readonly UsagePoint[], plan: UsePlan, today: number): Gap[] {
  const gaps: Gap[] = [];
  let before: UsagePoint | undefined;
  for (const after of points) {
    if (after.day < plan.firstDay) continue;
    before ??= after;
    if (after.day - before.day < LEAST_GAP_DAYS) continue;
    const planned = plan.exposure(before.day, after.day);
    if (planned > 0) {
      const days = plan.workingDays(before.day, after.day);
      gaps.push({
        hours: after.life - before.life,
        planned,
        days,
        age: plan.workingDays(after.day, today),
      });
    }
    before = after;
  }
  return gaps;
}

/**
 * What `points` (in order of time) say against `plan` on `today`. A gap without planned hours says nothing of how the machine works
 * against plan and is left out.
 */
export function evidence(points: readonly UsagePoint[], plan: UsePlan, today: number): Evidence {
  return { ...sums(points, plan, today), gaps: joinedGaps(points, plan, today) };
}

/** Hours run for each hour planned; null where none was planned or run. */
export function hoursPerPlanned({ hours, planned }: Evidence): number | null {
  return planned > 0 && hours > 0 ? hours / planned : null;
}
