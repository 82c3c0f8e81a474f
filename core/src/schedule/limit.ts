import { addDays, addMonths, daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { roundHours } from '../meter/lifeHours.js';
import type { UsageModel } from '../usage/usageModel.js';
import type { ServicePoint } from './baseline.js';
import type { EveryCalendar, EveryHours, Trigger } from './item.js';

interface LimitFacts {
  /** share of the interval used up; 1 at the due point, more beyond it */
  readonly used: number;
  readonly overdue: boolean;
  readonly ripe: boolean;
  /** the day it falls (or fell) due; null where no date can be given */
  readonly expectedOn: CivilDate | null;
}

/** Where an hours trigger runs out. */
export interface HoursLimit extends LimitFacts {
  readonly kind: 'hours';
  readonly trigger: EveryHours;
  /** life hours at which it is due */
  readonly at: number;
  /** hours left; negative when over */
  readonly left: number;
}

/** Where a calendar trigger runs out. */
export interface CalendarLimit extends LimitFacts {
  readonly kind: 'calendar';
  readonly trigger: EveryCalendar;
  readonly on: CivilDate;
  /** days left; negative when over */
  readonly left: number;
}

export type Limit = HoursLimit | CalendarLimit;

/** Where the machine stands. */
export interface Standing {
  readonly today: CivilDate;
  readonly life: number;
  readonly usage: UsageModel;
}

/** Hours before an hours limit at which it becomes ripe: a tenth of the interval, at least 1 h and at most 10 h. */
export function hoursWindow(everyHours: number): number {
  return Math.min(10, Math.max(1, everyHours / 10));
}

/** Days before a calendar limit at which it becomes ripe: a tenth of the interval, at least 1 day and at most 14. */
export function daysWindow(intervalDays: number): number {
  return Math.min(14, Math.max(1, intervalDays / 10));
}

function hoursLimit(trigger: EveryHours, baseline: ServicePoint, standing: Standing): HoursLimit {
  const at = roundHours(baseline.life + trigger.hours);
  const left = roundHours(at - standing.life);
  return {
    kind: 'hours',
    trigger,
    at,
    left,
    used: (standing.life - baseline.life) / trigger.hours,
    overdue: left < 0,
    ripe: left <= hoursWindow(trigger.hours),
    expectedOn: standing.usage.dateReached(at),
  };
}

function calendarLimit(trigger: EveryCalendar, baseline: ServicePoint, standing: Standing): CalendarLimit {
  const on =
    trigger.unit === 'day' ? addDays(baseline.on, trigger.count) : addMonths(baseline.on, trigger.count);
  const interval = daysBetween(baseline.on, on);
  const left = daysBetween(standing.today, on);
  return {
    kind: 'calendar',
    trigger,
    on,
    left,
    used: (interval - left) / interval,
    overdue: left < 0,
    ripe: left <= daysWindow(interval),
    expectedOn: on,
  };
}

/** Where `trigger` runs out, counted from `baseline`. Exactly at the limit is ripe; overdue is strictly past it. */
export function limitOf(trigger: Trigger, baseline: ServicePoint, standing: Standing): Limit {
  switch (trigger.kind) {
    case 'everyHours':
      return hoursLimit(trigger, baseline, standing);
    case 'everyCalendar':
      return calendarLimit(trigger, baseline, standing);
  }
}
