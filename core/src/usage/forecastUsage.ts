import { dateOfDayNumber, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { evenPlan, scaledPlan, stoppedPlan } from '../season/usePlan.js';
import type { UsePlan } from '../season/usePlan.js';
import { evidence, hoursPerPlanned } from './evidence.js';
import { observedRate } from './observedRate.js';
import { datePassed } from './passed.js';
import type { HoursRange, ReachedDates, UsageModel, UsagePoint } from './usageModel.js';
import { hoursQuantile, POINT_10, POINT_90, POINT_99, workFactor } from './workFactor.js';
import type { WorkFactor } from './workFactor.js';

const NEVER: ReachedDates = { earlyOn: null, expectedOn: null, lateOn: null };
/** Older gaps carry no weight. */
const EVIDENCE_DAYS = 1100;
/** Half a day of work is nothing unusual for any machine, nor is one fetched out of the shed in winter. */
const ALWAYS_LIKELY_HOURS = 4;

/** Days from `low` to `high` of which the last, and none before some day, holds. */
interface Bracket {
  readonly low: number;
  readonly high: number;
}

/** Narrows `whole` around `near`: most due points lie close to it, and doubling the reach finds them in few steps. */
function bracketAround(near: number, whole: Bracket, holds: (day: number) => boolean): Bracket {
  let { low, high } = whole;
  if (holds(near)) {
    high = near;
    for (let day = near - 8; day > low; day -= near - day) {
      if (!holds(day)) return { low: day + 1, high };
      high = day;
    }
    return { low, high };
  }
  low = near + 1;
  for (let day = near + 8; day < high; day += day - near) {
    if (holds(day)) return { low, high: day };
    low = day + 1;
  }
  return { low, high };
}

/** The quantile at `z` of the hours run after `from` up to and with `day`. */
function quantileOn(plan: UsePlan, factor: WorkFactor, from: number, day: number, z: number): number {
  return hoursQuantile(factor, plan.exposure(from, day), plan.workingDays(from, day), z);
}

/**
 * Counting from the last reading, the first day on which the quantile at `z` of the hours run comes to `hours`. `near` is a day not
 * far from it, where one is known.
 */
function dayOfQuantile(
  plan: UsePlan,
  factor: WorkFactor,
  from: number,
  hours: number,
  z: number,
  near: number | null,
): number | null {
  const reaches = (day: number) => quantileOn(plan, factor, from, day, z) >= hours;
  const whole = { low: from + 1, high: plan.horizon };
  if (whole.low > whole.high) return null;
  const isInside = near !== null && near > whole.low && near < whole.high;
  let { low, high } = isInside ? bracketAround(near, whole, reaches) : whole;
  if (high === plan.horizon && !reaches(high)) return null;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (reaches(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}

function forecast(
  points: readonly UsagePoint[],
  last: UsagePoint,
  plan: UsePlan,
  factor: WorkFactor,
  today: number,
): Pick<UsageModel, 'dateReached' | 'lifeOn' | 'mostLikelyLife'> {
  // What was to come by today and is not known to have come, may be so today.
  const notBeforeToday = (day: number | null): CivilDate | null =>
    day === null ? null : dateOfDayNumber(Math.max(day, today));
  const datesOf = (life: number): ReachedDates => {
    const hours = life - last.life;
    if (hours <= 0) {
      const passedOn = datePassed(points, life);
      return { earlyOn: passedOn, expectedOn: passedOn, lateOn: passedOn };
    }
    const expected = plan.dayReached(last.day, hours / factor.mean);
    const early = dayOfQuantile(plan, factor, last.day, hours, POINT_90, expected);
    const late = dayOfQuantile(plan, factor, last.day, hours, POINT_10, expected);
    // With next to nothing left, the points of so uneven a distribution lie on one side of its mean.
    return {
      earlyOn: notBeforeToday(expected === null ? early : Math.min(early ?? expected, expected)),
      expectedOn: notBeforeToday(expected),
      lateOn: notBeforeToday(expected === null || late === null ? null : Math.max(late, expected)),
    };
  };
  // Lines that were done together are due together.
  const known = new Map<number, ReachedDates>();
  return {
    dateReached(life) {
      const dates = known.get(life) ?? datesOf(life);
      known.set(life, dates);
      return dates;
    },
    lifeOn(day): HoursRange {
      const to = dayNumber(day);
      const expected = factor.mean * plan.exposure(last.day, to);
      return {
        expected: last.life + expected,
        // Who asks for each day of a year asks for what is expected alone: the points take many times as long.
        get low() {
          return last.life + Math.min(expected, quantileOn(plan, factor, last.day, to, POINT_10));
        },
        get high() {
          return last.life + Math.max(expected, quantileOn(plan, factor, last.day, to, POINT_90));
        },
      };
    },
    mostLikelyLife(day) {
      const most = quantileOn(plan, factor, last.day, dayNumber(day), POINT_99);
      return last.life + Math.max(ALWAYS_LIKELY_HOURS, most);
    },
  };
}

/** Of a machine that nothing is known about, or that stands still: only what it passed already can be dated. */
function standstill(points: readonly UsagePoint[], hoursPerWeek: number | null): UsageModel {
  const last = points.at(-1);
  return {
    hoursPerWeek,
    plannedPerWeek: null,
    dateReached(life) {
      if (!last || life > last.life) return NEVER;
      const passedOn = datePassed(points, life);
      return { earlyOn: passedOn, expectedOn: passedOn, lateOn: passedOn };
    },
    lifeOn: () =>
      last && hoursPerWeek !== null ? { low: last.life, expected: last.life, high: last.life } : null,
    mostLikelyLife: () => null,
  };
}

/** The factor of what goes on at its own rate: the plan was made of that. */
const AS_PLANNED = 1;

/** Without a plan: on at the average of the last 90 days, with a range learned from the gaps. */
function unplanned(
  points: readonly UsagePoint[],
  last: UsagePoint,
  plan: UsePlan,
  today: number,
  stopped: number | null,
): UsageModel {
  const rate = observedRate(points, today);
  if (rate === null || rate <= 0) return standstill(points, rate);
  const first = Math.max(points[0]?.day ?? today, today - EVIDENCE_DAYS);
  const own = stoppedPlan(evenPlan(rate, first, plan.horizon), stopped);
  const factor = workFactor(evidence(points, own, today), AS_PLANNED);
  const isStopped = stopped !== null && stopped <= today;
  return {
    hoursPerWeek: isStopped ? 0 : rate * 7,
    plannedPerWeek: null,
    ...forecast(points, last, own, factor, today),
  };
}

/**
 * The forecast of a machine from its `points` (in order of time, at least one a reading) on `today` (a day number): its plan
 * times its own work factor, learned from the gaps between readings. A machine without a plan goes on at its own average of
 * the last 90 days, with a range learned in the same way. From the day `stopped` on, nothing is expected. Days ahead count from
 * the last point and are never before `today`.
 */
export function forecastUsage(
  points: readonly UsagePoint[],
  plan: UsePlan,
  today: number,
  stopped: number | null = null,
): UsageModel {
  const last = points.at(-1);
  if (!last) return standstill(points, null);
  if (plan.working.length === 0) return unplanned(points, last, plan, today, stopped);
  const own = stoppedPlan(plan, stopped);
  const factor = workFactor(evidence(points, own, today));
  const plannedPerWeek = own.exposure(today - 1, today) * 7;
  return {
    hoursPerWeek: factor.mean * plannedPerWeek,
    plannedPerWeek,
    ...forecast(points, last, own, factor, today),
  };
}

/**
 * The forecast of an attachment with a meter of its own: it works when the machine is planned to, and runs for each hour planned
 * what it has run so far.
 */
export function forecastAttachment(
  points: readonly UsagePoint[],
  plan: UsePlan,
  today: number,
  stopped: number | null,
): UsageModel {
  const last = points.at(-1);
  if (!last) return standstill(points, null);
  if (plan.working.length === 0) return unplanned(points, last, plan, today, stopped);
  const own = stoppedPlan(plan, stopped);
  const perPlanned = hoursPerPlanned(evidence(points, own, today));
  if (perPlanned === null) return standstill(points, null);
  const scaled = scaledPlan(own, perPlanned);
  const factor = workFactor(evidence(points, scaled, today), AS_PLANNED);
  return {
    hoursPerWeek: scaled.exposure(today - 1, today) * 7,
    plannedPerWeek: null,
    ...forecast(points, last, scaled, factor, today),
  };
}
