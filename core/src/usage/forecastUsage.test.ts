import fc from 'fast-check';
import { addDays, civilDate, dayNumber } from '../calendar/civilDate.js';
import { seasonPlan } from '../season/usePlan.js';
import { day, MOWING } from '../schedule/testing/facts.js';
import { forecastUsage } from './forecastUsage.js';

const TODAY = day('2026-06-01');
const point = (on: string, life: number) => ({ day: day(on), life });
const NO_PLAN = seasonPlan([], [], TODAY - 1100, TODAY + 3650);
const MOWER = seasonPlan([{ seasonId: 'mowing', hoursPerWeek: 7 }], [MOWING], TODAY - 1100, TODAY + 3650);

describe('a machine with a plan', () => {
  const weeks = (factor: number, count: number) =>
    Array.from({ length: count + 1 }, (_, week) => ({
      day: TODAY - 7 * (count - week),
      life: 7 * factor * week,
    }));

  it('goes on as planned while nothing else is known', () => {
    const usage = forecastUsage([{ day: TODAY, life: 100 }], MOWER, TODAY);
    expect(usage).toMatchObject({ hoursPerWeek: 7, plannedPerWeek: 7 });
    // An hour a day: 20 h are 20 days.
    expect(usage.dateReached(120).expectedOn).toBe('2026-06-21');
    expect(usage.lifeOn(civilDate('2026-06-11'))?.expected).toBeCloseTo(110);
  });

  it('learns that it works harder or easier', () => {
    expect(forecastUsage(weeks(1.6, 9), MOWER, TODAY).hoursPerWeek).toBeGreaterThan(9.5);
    expect(forecastUsage(weeks(0.5, 9), MOWER, TODAY).hoursPerWeek).toBeLessThan(5);
  });

  it('waits over the winter', () => {
    // Planned from 24 March on, an hour a day: 146 hours from 1 June to 24 October. What needs 150 waits for the fourth day of spring.
    const { expectedOn } = forecastUsage([{ day: TODAY, life: 0 }], MOWER, TODAY).dateReached(149);
    expect(expectedOn).toBe('2027-03-27');
  });

  it('is laid up with nothing to run, and tells hours that were not planned', () => {
    const winter = day('2026-12-15');
    const usage = forecastUsage([{ day: day('2026-10-24'), life: 50 }], MOWER, winter);
    expect(usage.hoursPerWeek).toBe(0);
    expect(usage.mostLikelyLife(civilDate('2026-12-15'))).toBe(54);
    expect(usage.lifeOn(civilDate('2027-03-01'))).toEqual({ low: 50, expected: 50, high: 50 });
  });

  it('never dates what is still to come before today', () => {
    const usage = forecastUsage([point('2026-05-01', 0), point('2026-05-10', 9)], MOWER, TODAY);
    expect(usage.dateReached(10).expectedOn).toBe('2026-06-01');
  });
});

describe('a machine without a plan', () => {
  it('goes on at its own average of 90 days', () => {
    // 2 March to 31 May is 90 days, in which it ran 180 h: 2 h a day, 14 a week.
    const usage = forecastUsage([point('2026-03-02', 300), point('2026-05-31', 480)], NO_PLAN, TODAY);
    expect(usage.hoursPerWeek).toBeCloseTo(14);
    expect(usage.plannedPerWeek).toBeNull();
    expect(usage.dateReached(500).expectedOn).toBe('2026-06-10');
  });

  it('leaves out what lies further back', () => {
    const points = [point('2025-06-01', 0), point('2026-03-03', 10), point('2026-06-01', 190)];
    expect(forecastUsage(points, NO_PLAN, TODAY).hoursPerWeek).toBeCloseTo(14);
  });

  it('gives no forecast from too little, from standing still, or beyond ten years', () => {
    const date = (life: number, ...points: ReturnType<typeof point>[]) =>
      forecastUsage(points, NO_PLAN, TODAY).dateReached(life).expectedOn;
    expect(date(10)).toBeNull();
    expect(
      forecastUsage([point('2026-05-30', 5), point('2026-06-01', 9)], NO_PLAN, TODAY).hoursPerWeek,
    ).toBeNull();
    expect(date(6, point('2026-03-02', 5), point('2026-06-01', 5))).toBeNull();
    expect(date(6000, point('2026-03-02', 5), point('2026-06-01', 5.1))).toBeNull();
  });
});

describe('hours that were passed', () => {
  const usage = forecastUsage([point('2026-05-01', 100), point('2026-05-11', 110)], MOWER, TODAY);

  it('have one day, on a straight line between readings', () => {
    expect(usage.dateReached(105)).toEqual({
      earlyOn: '2026-05-06',
      expectedOn: '2026-05-06',
      lateOn: '2026-05-06',
    });
    expect(usage.dateReached(100).expectedOn).toBe('2026-05-01');
    expect(usage.dateReached(90).expectedOn).toBeNull();
  });
});

describe('whatever was read', () => {
  const history = fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 2, maxLength: 30 });
  const pointsOf = (weeks: readonly number[]) => {
    let life = 0;
    return weeks.map((hours, week) => ({ day: TODAY + (week - weeks.length) * 7, life: (life += hours) }));
  };

  it.each([
    ['with', MOWER],
    ['without', NO_PLAN],
  ])('more hours are never dated earlier than fewer, %s a plan', (_, plan) => {
    const hours = fc.double({ min: 0, max: 900, noNaN: true });
    fc.assert(
      fc.property(history, hours, hours, (weeks, from, more) => {
        const usage = forecastUsage(pointsOf(weeks), plan, TODAY);
        const [a, b] = [usage.dateReached(from), usage.dateReached(from + more)];
        for (const key of ['earlyOn', 'expectedOn', 'lateOn'] as const) {
          if (a[key] !== null && b[key] !== null) expect(a[key] <= b[key]).toBe(true);
        }
        for (const dates of [a, b]) {
          if (dates.earlyOn && dates.lateOn) expect(dates.earlyOn <= dates.lateOn).toBe(true);
        }
      }),
      { seed: 3 },
    );
  });

  it('the day an hour is reached is the first on which so many are expected', () => {
    fc.assert(
      fc.property(history, fc.double({ min: 1, max: 300, noNaN: true }), (weeks, ahead) => {
        const points = pointsOf(weeks);
        const usage = forecastUsage(points, MOWER, TODAY);
        const life = (points.at(-1)?.life ?? 0) + ahead;
        const { expectedOn } = usage.dateReached(life);
        if (expectedOn === null || dayNumber(expectedOn) <= TODAY) return;
        expect(usage.lifeOn(expectedOn)?.expected).toBeGreaterThanOrEqual(life - 1e-4);
        expect(usage.lifeOn(addDays(expectedOn, -1))?.expected).toBeLessThan(life + 1e-4);
      }),
      { seed: 9 },
    );
  });
});
