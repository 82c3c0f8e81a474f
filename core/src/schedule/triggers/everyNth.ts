import { isLater } from '../baseline.js';
import type { ServicePoint } from '../baseline.js';
import { calendarLimit } from '../limit.js';
import type { From, Limit } from '../limit.js';
import type { Standing } from '../standing.js';
import type { EveryNth, Trigger } from '../trigger.js';
import { defineTrigger, isName, isWhole, isWithin, MOST_HOURS } from './define.js';
import type { LimitFrom } from './define.js';

/** The id of the item that a trigger goes with; null where it goes with none. */
export function otherItemOf(trigger: Trigger): string | null {
  return trigger.kind === 'everyNth' ? trigger.itemId : null;
}

/** A trigger with the item that it goes with called otherwise: ids in the tables, names in the books and files. */
export function withOtherItem(trigger: Trigger, called: (itemId: string) => string): Trigger {
  return trigger.kind === 'everyNth' ? { ...trigger, itemId: called(trigger.itemId) } : trigger;
}

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
function nthLimits(trigger: EveryNth, { from, standing, find, ahead }: LimitFrom): readonly Limit[] | null {
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

/** Together with another item, each n-th time that one is done. */
export const everyNth = defineTrigger<EveryNth>({
  parse({ n, itemId, everyTimeAboveHours }) {
    const above = everyTimeAboveHours ?? null;
    if (!isWhole(n, 2, 50) || !isName(itemId)) return { fault: 'nth' };
    if (above !== null && !isWithin(above, 1, MOST_HOURS)) return { fault: 'nth' };
    return { trigger: { kind: 'everyNth', n, itemId, everyTimeAboveHours: above } };
  },
  countsAtFirst: () => true,
  countsAgain: true,
  limits: (trigger, _item, of) => nthLimits(trigger, of) ?? 'noOtherItem',
  // What is done together with something rests with it.
  standsStill: ({ itemId }, _item, find) => find(itemId)?.standsStill() === true,
  cell: () => null,
  interval: () => null,
  onMeter: () => null,
  isDated: false,
});
