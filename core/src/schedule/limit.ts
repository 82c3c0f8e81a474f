import { addDays, addMonths, dayNumber, daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { roundHours } from '../meter/lifeHours.js';
import type { ReachedDates } from '../usage/usageModel.js';
import type { Extension, ServicePoint } from './baseline.js';
import type { ScheduleItem } from './item.js';
import type { Standing } from './standing.js';
import type { MeterName, Trigger } from './trigger.js';
import { daysWindow, hoursWindow } from './window.js';

interface LimitFacts extends ReachedDates {
  /** what sets it: a trigger of the item, or a judgement that took its place */
  readonly rule: Trigger | Extension;
  /** share of the interval used up; 1 at the due point, more beyond it */
  readonly used: number;
  readonly overdue: boolean;
  readonly ripe: boolean;
}

/** A due point in hours. */
export interface HoursLimit extends LimitFacts {
  readonly kind: 'hours';
  readonly meter: MeterName;
  /** life hours of that meter at which it is due */
  readonly at: number;
  /** hours left on that meter; negative when over */
  readonly left: number;
}

/** A due point in days. */
export interface CalendarLimit extends LimitFacts {
  readonly kind: 'calendar';
  readonly on: CivilDate;
  /** days left; negative when over */
  readonly left: number;
}

export type Limit = HoursLimit | CalendarLimit;

/** The limit at `at` hours of `meter`, of an interval that began at `from` hours and is `interval` long. */
export function hoursLimit(
  rule: Trigger | Extension,
  meter: MeterName,
  span: { readonly from: number; readonly at: number; readonly interval: number },
  item: ScheduleItem,
  standing: Standing,
): HoursLimit {
  const { life, usage } = standing.meter(meter);
  const at = roundHours(span.at);
  const left = roundHours(at - life);
  return {
    kind: 'hours',
    rule,
    meter,
    at,
    left,
    used: at > span.from ? (life - span.from) / (at - span.from) : 1 - left,
    overdue: left < 0,
    ripe: left <= hoursWindow(span.interval, item.window),
    ...usage.dateReached(at),
  };
}

/** The limit on `on`, of an interval that began on `from`. */
export function calendarLimit(
  rule: Trigger | Extension,
  from: CivilDate,
  on: CivilDate,
  item: ScheduleItem,
  standing: Standing,
): CalendarLimit {
  const interval = Math.max(1, daysBetween(from, on));
  const left = dayNumber(on) - standing.today;
  return {
    kind: 'calendar',
    rule,
    on,
    left,
    used: (interval - left) / interval,
    overdue: left < 0,
    ripe: left <= daysWindow(interval, item.window),
    earlyOn: on,
    expectedOn: on,
    lateOn: on,
  };
}

/** The day that lies `count` days or months after `from`. */
export function laterBy(from: CivilDate, count: number, unit: 'day' | 'month'): CivilDate {
  return unit === 'day' ? addDays(from, count) : addMonths(from, count);
}

/** Limits that a judgement sets in place of those of the book. */
export function extensionLimits(extension: Extension, item: ScheduleItem, standing: Standing): Limit[] {
  const { made, untilLife, untilOn } = extension;
  const limits: Limit[] = [];
  if (untilLife !== null) {
    const span = { from: made.life, at: untilLife, interval: untilLife - made.life };
    limits.push(hoursLimit(extension, 'engine', span, item, standing));
  }
  if (untilOn !== null) limits.push(calendarLimit(extension, made.on, untilOn, item, standing));
  return limits;
}

/** A point without a kind: what an interval counts from. */
export type From = ServicePoint & { readonly kind: 'completion' | 'declared' | 'enteredService' };
