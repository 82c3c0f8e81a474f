import { daysBetween } from '../calendar/civilDate.js';
import { isLater } from './baseline.js';
import type { ServicePoint } from './baseline.js';
import type { DueAnswer } from './due.js';
import type { ScheduleItem } from './item.js';
import { calendarLimit, hoursLimit, laterBy } from './limit.js';
import type { CalendarLimit, From, Limit } from './limit.js';
import type { Standing } from './standing.js';
import type { EveryNth } from './trigger.js';

/** The other item of an every-n-th rule: how it stands and when it was done. */
export interface OtherItem {
  readonly answer: DueAnswer;
  readonly completions: readonly ServicePoint[];
}

/** Times something was done after `from`, in order; the same day and hours count once. */
function timesSince(from: ServicePoint, completions: readonly ServicePoint[]): ServicePoint[] {
  const since = completions.filter((point) => isLater(point, from)).sort((a, b) => (isLater(a, b) ? 1 : -1));
  return since.filter((point, index) => {
    const before = since[index - 1];
    return !before || isLater(point, before);
  });
}

/** A limit of the other item, `more` of its intervals further on; null for one that does not repeat by itself. */
function further(
  limit: Limit,
  more: number,
  trigger: EveryNth,
  from: From,
  item: ScheduleItem,
  standing: Standing,
): Limit | null {
  if (limit.kind === 'calendar') {
    if (more > 0 && limit.rule.kind !== 'everyCalendar') return null;
    const on =
      limit.rule.kind === 'everyCalendar'
        ? laterBy(limit.on, limit.rule.count * more, limit.rule.unit)
        : limit.on;
    return calendarLimit(trigger, from.on, on, item, standing);
  }
  if (more > 0 && limit.rule.kind !== 'everyHours') return null;
  const interval = limit.rule.kind === 'everyHours' ? limit.rule.hours : limit.at;
  const span = { from: standing.meter(limit.meter).lifeAt(from), at: limit.at + more * interval, interval };
  return hoursLimit(trigger, limit.meter, span, item, standing);
}

/** The limit of an item that should have been done with the other one, on the day it was not. */
function missed(
  trigger: EveryNth,
  from: From,
  time: ServicePoint,
  item: ScheduleItem,
  standing: Standing,
): CalendarLimit {
  const limit = calendarLimit(trigger, from.on, time.on, item, standing);
  const interval = Math.max(1, daysBetween(from.on, time.on));
  return { ...limit, overdue: true, ripe: true, used: Math.max(limit.used, 1 + 1 / interval) };
}

/**
 * Where an every-n-th rule ends: at the time the other item was done for the n-th time since `from`; while that is still to come, at
 * the due points of the other item, as many of its intervals ahead as are still wanting.
 */
export function nthLimits(
  trigger: EveryNth,
  from: From,
  other: OtherItem,
  item: ScheduleItem,
  standing: Standing,
): Limit[] {
  const worksHard =
    trigger.everyTimeAboveHours !== null && standing.hoursLast12Months > trigger.everyTimeAboveHours;
  const n = worksHard ? 1 : trigger.n;
  const times = timesSince(from, other.completions);
  const nth = times[n - 1];
  if (nth) return [missed(trigger, from, nth, item, standing)];
  const more = n - 1 - times.length;
  return other.answer.limits.flatMap((limit) => further(limit, more, trigger, from, item, standing) ?? []);
}
