import { dateOfDayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { joined, seasonSpans } from './season.js';
import type { Season, Span } from './season.js';

/** A machine's part in a season. */
export interface Participation {
  readonly seasonId: string;
  readonly hoursPerWeek: number;
}

/** What a machine is planned to run, from the seasons it takes part in. Days are day numbers. */
export interface UsePlan {
  /** spans in which it works, in order and apart from each other */
  readonly working: readonly Span[];
  /** hours planned on the days after `from` up to and with `to`; 0 where `to` is not later */
  exposure(from: number, to: number): number;
  /** days worked on after `from` up to and with `to` */
  workingDays(from: number, to: number): number;
  /** the first day after `from` on which {@link exposure} comes to `hours`; null beyond the horizon */
  dayReached(from: number, hours: number): number | null;
  /** first and last day that are planned */
  readonly firstDay: number;
  readonly horizon: number;
}

/** `plan` up to the day before `stopped`, and no hours from then on; all of it where that is null. */
export function stoppedPlan(plan: UsePlan, stopped: number | null): UsePlan {
  if (stopped === null) return plan;
  const last = stopped - 1;
  return {
    ...plan,
    exposure: (from, to) => plan.exposure(from, Math.min(to, last)),
    workingDays: (from, to) => plan.workingDays(from, Math.min(to, last)),
    dayReached(from, hours) {
      const day = plan.dayReached(from, hours);
      return day !== null && day <= last ? day : null;
    },
  };
}

/** Binary fractions must not move a day. */
const TOLERANCE = 1e-6;

/** A plan of `hoursOfDay[i]` on day `first + i`, and none outside. */
function planOf(first: number, hoursOfDay: Float64Array, working: readonly Span[]): UsePlan {
  const days = hoursOfDay.length;
  const hours = new Float64Array(days + 1);
  const worked = new Int32Array(days + 1);
  for (const span of working) worked.fill(1, Math.max(0, span.first - first) + 1, span.last - first + 2);
  for (let i = 0; i < days; i += 1) {
    hours[i + 1] = (hours[i] ?? 0) + (hoursOfDay[i] ?? 0);
    worked[i + 1] = (worked[i] ?? 0) + (worked[i + 1] ?? 0);
  }
  // Index of the running sum up to and with `day`.
  const upTo = (day: number) => Math.min(days, Math.max(0, day - first + 1));
  const between = (sums: Float64Array | Int32Array, from: number, to: number) =>
    Math.max(0, (sums[upTo(to)] ?? 0) - (sums[upTo(from)] ?? 0));
  return {
    working,
    firstDay: first,
    horizon: first + days - 1,
    exposure: (from, to) => between(hours, from, to),
    workingDays: (from, to) => between(worked, from, to),
    dayReached(from, wanted) {
      const goal = (hours[upTo(from)] ?? 0) + wanted - TOLERANCE;
      let low = upTo(from) + 1;
      let high = days;
      if (low > days || (hours[days] ?? 0) < goal) return null;
      while (low < high) {
        const middle = (low + high) >> 1;
        if ((hours[middle] ?? 0) >= goal) high = middle;
        else low = middle + 1;
      }
      return first + low - 1;
    },
  };
}

/** A plan of the same hours every day from `first` to `last`. */
export function evenPlan(hoursPerDay: number, first: number, last: number): UsePlan {
  return planOf(first, new Float64Array(last - first + 1).fill(hoursPerDay), [{ first, last }]);
}

/** The plan that follows from `parts` in `seasons`, over the days from `first` to `last`. Parts in unknown seasons count nothing. */
export function seasonPlan(
  parts: readonly Participation[],
  seasons: readonly Season[],
  first: number,
  last: number,
): UsePlan {
  const hoursOfDay = new Float64Array(last - first + 1);
  const spans: Span[] = [];
  for (const { seasonId, hoursPerWeek } of parts) {
    const season = seasons.find((candidate) => candidate.id === seasonId);
    for (const span of season ? seasonSpans(season, first, last) : []) {
      spans.push(span);
      const from = Math.max(span.first, first);
      for (let day = from; day <= Math.min(span.last, last); day += 1) {
        hoursOfDay[day - first] = (hoursOfDay[day - first] ?? 0) + hoursPerWeek / 7;
      }
    }
  }
  return planOf(first, hoursOfDay, joined(spans));
}

/** `plan` with every hour times `factor`. */
export function scaledPlan(plan: UsePlan, factor: number): UsePlan {
  return {
    ...plan,
    exposure: (from, to) => factor * plan.exposure(from, to),
    dayReached: (from, hours) => plan.dayReached(from, hours / factor),
  };
}

/** Where a machine stands in its seasons on a day. */
export type WorkingState =
  | { readonly kind: 'unplanned' }
  /** working until the last day of its season */
  | { readonly kind: 'working'; readonly until: CivilDate }
  /** laid up since the day after its season, until the first day of the next; null where none was or comes */
  | { readonly kind: 'laidUp'; readonly since: CivilDate | null; readonly until: CivilDate | null };

/** Whether a machine with `plan` works on `day` or is laid up. */
export function workingStateOn(plan: UsePlan, day: number): WorkingState {
  if (plan.working.length === 0) return { kind: 'unplanned' };
  const now = plan.working.find((span) => span.first <= day && day <= span.last);
  if (now) return { kind: 'working', until: dateOfDayNumber(now.last) };
  const before = plan.working.findLast((span) => span.last < day);
  const next = plan.working.find((span) => span.first > day);
  return {
    kind: 'laidUp',
    since: before ? dateOfDayNumber(before.last + 1) : null,
    until: next ? dateOfDayNumber(next.first) : null,
  };
}
