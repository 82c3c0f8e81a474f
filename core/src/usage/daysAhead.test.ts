import { dateOfDayNumber } from '../calendar/civilDate.js';
import { evenPlan, seasonPlan } from '../season/usePlan.js';
import type { UsePlan } from '../season/usePlan.js';
import { day, MOWING } from '../schedule/testing/facts.js';
import { evidence } from './evidence.js';
import { forecastAttachment, forecastUsage } from './forecastUsage.js';
import type { HoursRange, UsageModel, UsagePoint } from './usageModel.js';
import { hoursQuantile, POINT_99, workFactor } from './workFactor.js';

const TODAY = day('2026-06-01');
const AHEAD = 400;
const SEASONAL = seasonPlan([{ seasonId: 'mowing', hoursPerWeek: 9 }], [MOWING], TODAY - 1100, TODAY + AHEAD);
const EVERY_DAY = evenPlan(1.3, TODAY - 1100, TODAY + AHEAD);
const NO_PLAN = seasonPlan([], [], TODAY - 1100, TODAY + AHEAD);

/** Weeks of so many hours each, the last of them read some days ago. */
function weeks(readAgo: number, ...hours: number[]): UsagePoint[] {
  let life = 200;
  const points = [{ day: TODAY - readAgo - 7 * hours.length, life }];
  hours.forEach((each, index) =>
    points.push({ day: TODAY - readAgo - 7 * (hours.length - 1 - index), life: (life += each) }),
  );
  return points;
}

/** Walks from day to day, where the forecast searches. */
function firstDay(usage: UsageModel, from: number, isReached: (range: HoursRange) => boolean): string | null {
  for (let ahead = from + 1; ahead <= TODAY + AHEAD; ahead += 1) {
    const range = usage.lifeOn(dateOfDayNumber(ahead));
    if (range && isReached(range)) return dateOfDayNumber(Math.max(ahead, TODAY));
  }
  return null;
}

const HISTORIES: [string, UsagePoint[]][] = [
  ['one reading', [{ day: TODAY - 3, life: 200 }]],
  ['even weeks', weeks(0, 9, 9, 9, 9, 9, 9)],
  ['rainy weeks, read three weeks ago', weeks(21, 2, 14, 0, 0, 11, 3)],
  ['a machine that works harder than planned', weeks(5, 20, 22, 19, 24, 18)],
];
const PLANS: [string, UsePlan][] = [
  ['in a season', SEASONAL],
  ['every day', EVERY_DAY],
];
const LEFT = [0.1, 1, 5, 9, 17, 30, 55, 90, 140, 200, 260, 380, 500, 900];

describe.each(PLANS)('planned %s', (_, plan) => {
  it.each(HISTORIES)(
    '%s: early, expected and late are the first days of the range that come to it',
    (__, points) => {
      const usage = forecastUsage(points, plan, TODAY);
      const last = points.at(-1) ?? { day: TODAY, life: 0 };
      for (const left of LEFT) {
        const life = last.life + left;
        const dates = usage.dateReached(life);
        expect({ left, ...dates }).toEqual({
          left,
          earlyOn: firstDay(usage, last.day, ({ high }) => high >= life),
          expectedOn: firstDay(usage, last.day, ({ expected }) => expected >= life - 1e-6),
          lateOn: firstDay(usage, last.day, ({ low }) => low >= life),
        });
      }
    },
  );
});

describe('a plan that ends', () => {
  it('dates nothing at or after its end', () => {
    const points = [{ day: TODAY, life: 0 }];
    const usage = forecastUsage(points, evenPlan(1, TODAY - 10, TODAY + 10), TODAY);
    expect(usage.dateReached(10).expectedOn).toBe(dateOfDayNumber(TODAY + 10));
    expect(usage.dateReached(10).lateOn).toBeNull();
    expect(usage.dateReached(10.5)).toMatchObject({ expectedOn: null, lateOn: null });
    const ended = forecastUsage(points, evenPlan(1, TODAY - 10, TODAY), TODAY);
    expect(ended.dateReached(1)).toEqual({ earlyOn: null, expectedOn: null, lateOn: null });
    expect(usage.dateReached(400)).toEqual({ earlyOn: null, expectedOn: null, lateOn: null });
  });
});

describe('hours that a true reading hardly exceeds', () => {
  it('are the 99 % point after the last reading, and always half a day', () => {
    const points = weeks(7, 9, 8, 12, 6);
    const usage = forecastUsage(points, EVERY_DAY, TODAY);
    const factor = workFactor(evidence(points, EVERY_DAY, TODAY));
    expect(usage.mostLikelyLife(dateOfDayNumber(TODAY))).toBeCloseTo(
      235 + hoursQuantile(factor, 7 * 1.3, 7, POINT_99),
      9,
    );
    expect(usage.mostLikelyLife(dateOfDayNumber(TODAY - 7))).toBe(239);
  });
});

describe('a machine without a plan', () => {
  it('has a range about its own average, and none of it once it is stopped', () => {
    const points = weeks(0, 14, 14, 14, 14);
    const usage = forecastUsage(points, NO_PLAN, TODAY);
    const range = usage.lifeOn(dateOfDayNumber(TODAY + 20));
    expect(range?.expected).toBeCloseTo(256 + 40, 6);
    expect(range?.low).toBeLessThan(290);
    expect(range?.high).toBeGreaterThan(300);
    const soon = forecastUsage(points, NO_PLAN, TODAY, TODAY + 10);
    expect(soon.hoursPerWeek).toBeCloseTo(14, 9);
    // Up to the day before: nine days of two hours.
    expect(soon.lifeOn(dateOfDayNumber(TODAY + 60))?.expected).toBeCloseTo(256 + 18, 6);
    expect(soon.dateReached(274).expectedOn).toBe(dateOfDayNumber(TODAY + 9));
    expect(soon.dateReached(275).expectedOn).toBeNull();
    expect(forecastUsage(points, NO_PLAN, TODAY, TODAY).hoursPerWeek).toBe(0);
    expect(forecastUsage(points, NO_PLAN, TODAY, TODAY + 1).hoursPerWeek).toBeCloseTo(14, 9);
  });

  it('that stands is where it is; of one never read nothing is known', () => {
    const stands = forecastUsage(weeks(0, 0, 0, 0), NO_PLAN, TODAY);
    expect(stands.hoursPerWeek).toBe(0);
    expect(stands.lifeOn(dateOfDayNumber(TODAY))).toEqual({ low: 200, expected: 200, high: 200 });
    expect(stands.dateReached(200).expectedOn).toBe(dateOfDayNumber(TODAY - 21));
    expect(stands.dateReached(201).expectedOn).toBeNull();
    expect(stands.mostLikelyLife(dateOfDayNumber(TODAY))).toBeNull();
    const fresh = forecastUsage([{ day: TODAY - 2, life: 3 }], NO_PLAN, TODAY);
    expect(fresh.lifeOn(dateOfDayNumber(TODAY))).toBeNull();
    const never = forecastUsage([], EVERY_DAY, TODAY);
    expect(never).toMatchObject({ hoursPerWeek: null, plannedPerWeek: null });
    expect(never.lifeOn(dateOfDayNumber(TODAY))).toBeNull();
  });
});

describe('an attachment', () => {
  it('runs for each hour planned what it has run so far', () => {
    // 26 h in 28 days of 1.3 h planned: 0.714 h for each, a day of 0.9286 h.
    const usage = forecastAttachment(weeks(0, 6.5, 6.5, 6.5, 6.5), EVERY_DAY, TODAY, null);
    expect(usage.hoursPerWeek).toBeCloseTo(6.5, 6);
    expect(usage.plannedPerWeek).toBeNull();
    expect(usage.lifeOn(dateOfDayNumber(TODAY + 28))?.expected).toBeCloseTo(226 + 26, 6);
    expect(usage.dateReached(252).expectedOn).toBe(dateOfDayNumber(TODAY + 28));
    const stopped = forecastAttachment(weeks(0, 6.5, 6.5, 6.5, 6.5), EVERY_DAY, TODAY, TODAY);
    expect(stopped.lifeOn(dateOfDayNumber(TODAY + 28))?.expected).toBe(226);
  });

  it('that never ran, or was never read, is dated nowhere ahead; without a plan it goes on at its average', () => {
    const never = forecastAttachment(weeks(0, 0, 0), EVERY_DAY, TODAY, null);
    expect(never.hoursPerWeek).toBeNull();
    expect(never.dateReached(201).expectedOn).toBeNull();
    expect(forecastAttachment([], EVERY_DAY, TODAY, null).hoursPerWeek).toBeNull();
    expect(forecastAttachment(weeks(0, 7, 7), NO_PLAN, TODAY, null).hoursPerWeek).toBeCloseTo(7, 9);
  });
});
