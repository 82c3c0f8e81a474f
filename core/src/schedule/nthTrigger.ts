import { isLater } from './baseline.js';
import type { ServicePoint } from './baseline.js';
import { calendarLimit } from './limit.js';
import type { From, Limit } from './limit.js';
import type { LimitFrom } from './limits.js';
import type { Standing } from './standing.js';
import type { EveryNth } from './trigger.js';

/** The other item of an every-n-th rule. */
export interface OtherItem {
  /** times it was done, those of what renews it included */
  readonly completions: readonly ServicePoint[];
  /** whether it stands still while the machine does not work */
  standsStill(): boolean;
  /** its limits, so many of its regular intervals further on; null where nothing says from when they count */
  limitsAhead(ahead: number): readonly Limit[] | null;
}

/** Finds the other item of an every-n-th rule; undefined where it is not on the schedule, or waits for this one in turn. */
export type FindItem = (itemId: string) => OtherItem | undefined;

/** Times something was done after `from`, in order; the same day and hours count once. */
function timesSince(from: ServicePoint, completions: readonly ServicePoint[]): ServicePoint[] {
  const since = completions.filter((point) => isLater(point, from)).sort((a, b) => (isLater(a, b) ? 1 : -1));
  return since.filter((point, index) => {
    const before = since[index - 1];
    return !before || isLater(point, before);
  });
}

/** A limit of the other item as one of this: the same due point and window, counted from this item's own last time. */
function shared(limit: Limit, trigger: EveryNth, from: From, standing: Standing): Limit {
  if (limit.kind === 'calendar') {
    return calendarLimit(trigger, { from: from.on, on: limit.on }, limit.window, standing);
  }
  const meter = standing.meter(limit.meter);
  const began = meter ? meter.lifeAt(from) : 0;
  const run = (meter ? meter.life : 0) - began;
  return { ...limit, rule: trigger, used: limit.at > began ? run / (limit.at - began) : 1 - limit.left };
}

/**
 * Where an every-n-th rule ends: on the day the other item was done for the n-th time since `from`; while that is still to come,
 * where the other item is due, as many of its regular intervals further on as are still wanting. Null where the other item is not
 * on the schedule, or nothing says from when it counts.
 */
export function nthLimits(
  trigger: EveryNth,
  { from, standing, find, ahead }: LimitFrom,
): readonly Limit[] | null {
  const other = find(trigger.itemId);
  if (!other) return null;
  const worksHard =
    trigger.everyTimeAboveHours !== null && standing.hoursLast12Months > trigger.everyTimeAboveHours;
  const n = worksHard ? 1 : trigger.n;
  const times = timesSince(from, other.completions);
  const nth = times[n - 1];
  if (nth && ahead === 0) {
    return [calendarLimit(trigger, { from: from.on, on: nth.on }, 0, standing)];
  }
  // Where the n-th time went by unused, the next ones count from it.
  const wanting = nth ? ahead * n - 1 : n - 1 - times.length + ahead * n;
  const limits = other.limitsAhead(wanting);
  return limits && limits.map((limit) => shared(limit, trigger, from, standing));
}
