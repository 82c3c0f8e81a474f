import { addDays, addMonths, dateOfDayNumber, dayNumber, daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { roundHours } from '../meter/lifeHours.js';
import type { ReachedDates } from '../usage/usageModel.js';
import type { Extension, ServicePoint } from './baseline.js';
import type { MeterStanding, Standing } from './standing.js';
import type { MeterName, Trigger } from './trigger.js';

interface LimitFacts extends ReachedDates {
  /** what sets it: a trigger of the item, or a judgement that took its place */
  readonly rule: Trigger | Extension;
  /** share of the interval used up; 1 at the due point, more beyond it */
  readonly used: number;
  /** hours or days before the due point from which it is ripe */
  readonly window: number;
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

/** A point without a kind: what an interval counts from. */
export type From = ServicePoint & { readonly kind: 'completion' | 'declared' | 'enteredService' };

/** The limit at `span.at` hours of `meter`, of an interval that began at `span.from` hours. */
export function hoursLimit(
  rule: Trigger | Extension,
  meter: MeterStanding,
  span: { readonly from: number; readonly at: number },
  window: number,
): HoursLimit {
  const at = roundHours(span.at);
  const left = roundHours(at - meter.life);
  return {
    kind: 'hours',
    rule,
    meter: meter.name,
    at,
    left,
    used: at > span.from ? (meter.life - span.from) / (at - span.from) : 1 - left,
    window,
    overdue: left < 0,
    ripe: left <= window,
    ...meter.usage.dateReached(at),
  };
}

/** The limit on `span.on`, of an interval that began on `span.from`. Beyond ten years no date is told. */
export function calendarLimit(
  rule: Trigger | Extension,
  span: { readonly from: CivilDate; readonly on: CivilDate },
  window: number,
  standing: Standing,
): CalendarLimit {
  const interval = Math.max(1, daysBetween(span.from, span.on));
  const day = dayNumber(span.on);
  const left = day - standing.today;
  const told = day > standing.horizon ? null : span.on;
  return {
    kind: 'calendar',
    rule,
    on: span.on,
    left,
    used: (interval - left) / interval,
    window,
    overdue: left < 0,
    ripe: left <= window,
    earlyOn: told,
    expectedOn: told,
    lateOn: told,
  };
}

/** The day that lies `count` days or months after `from`. */
export function laterBy(from: CivilDate, count: number, unit: 'day' | 'month'): CivilDate {
  return unit === 'day' ? addDays(from, count) : addMonths(from, count);
}

/** Days and months that no interval reaches: so many centuries off that a calendar says nothing any more. */
const MOST_AHEAD = { day: 366_000, month: 12_000 };

/** The day `times` intervals of `regular` after `from`; null for a time that no calendar is about. */
export function furtherBy(
  from: CivilDate,
  regular: { readonly count: number; readonly unit: 'day' | 'month' },
  times: number,
): CivilDate | null {
  const count = regular.count * times;
  return count > MOST_AHEAD[regular.unit] ? null : laterBy(from, count, regular.unit);
}

/** The first working day that is not before `wanted`, nor before the machine's working time; null where nobody knows it. */
export function dayInUse(wanted: CivilDate, { working }: Standing): CivilDate | null {
  if (working.beganOn === null) return null;
  const on = working.workingDayFrom(Math.max(dayNumber(wanted), working.beganOn));
  return on === null ? null : dateOfDayNumber(on);
}
