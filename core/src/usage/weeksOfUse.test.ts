import { civilDate, dayNumber } from '../calendar/civilDate.js';
import { lifeHours } from '../meter/lifeHours.js';
import { evenPlan } from '../season/usePlan.js';
import { observedRate } from './observedRate.js';
import { weeksOfUse } from './weeksOfUse.js';

const day = (on: string) => dayNumber(civilDate(on));
/** Thursday, 13 May 2027. */
const TODAY = civilDate('2027-05-13');
const PLAN = evenPlan(2, day('2027-01-01'), day('2027-12-31'));
const point = (on: string, life: number) => ({ day: day(on), life: lifeHours(life) });

describe('the last weeks of a machine', () => {
  it('run from Monday to Sunday, whole ones only, earliest first', () => {
    const from = (today: string) => weeksOfUse([], PLAN, civilDate(today), 2).map((week) => week.from);
    expect(from('2027-05-13')).toEqual(['2027-04-26', '2027-05-03']);
    expect(from('2027-05-10')).toEqual(['2027-04-26', '2027-05-03']);
    expect(from('2027-05-09')).toEqual(['2027-04-19', '2027-04-26']);
  });

  it('say what was planned, and what the readings show on a straight line', () => {
    // 70 h in 35 days: 2 h a day, 14 h a week.
    const points = [point('2027-04-01', 100), point('2027-05-06', 170), point('2027-05-10', 170)];
    expect(weeksOfUse(points, PLAN, TODAY, 2)).toEqual([
      { from: '2027-04-26', planned: 14, observed: expect.closeTo(14, 6) },
      // From Sunday evening to Thursday, then nothing: 4 days of 2 h.
      { from: '2027-05-03', planned: 14, observed: expect.closeTo(8, 6) },
    ]);
  });

  it('have nothing observed where no readings lie around them', () => {
    const observed = (...points: ReturnType<typeof point>[]) =>
      weeksOfUse(points, PLAN, TODAY, 1).map((week) => week.observed);
    expect(observed()).toEqual([null]);
    // The week begins after Sunday 2 May and ends with Sunday 9 May: both belong to it.
    expect(observed(point('2027-05-02', 10), point('2027-05-09', 17))).toEqual([7]);
    expect(observed(point('2027-05-03', 10), point('2027-05-09', 17))).toEqual([null]);
    expect(observed(point('2027-05-02', 10), point('2027-05-08', 17))).toEqual([null]);
  });
});

describe('the hours a day that readings show', () => {
  const today = day('2027-05-13');
  const rate = (...points: ReturnType<typeof point>[]) => observedRate(points, today);

  it('are those of the last 90 days', () => {
    // 12 February is 90 days before: 90 h since then; what was before counts no more.
    expect(rate(point('2026-02-12', 0), point('2027-02-12', 730), point('2027-05-13', 820))).toBe(1);
    expect(rate(point('2027-05-03', 10), point('2027-05-13', 30))).toBe(2);
  });

  it('are those of all its history where that ends before', () => {
    expect(rate(point('2026-01-01', 0), point('2026-01-11', 50))).toBe(5);
  });

  it('are unknown below a week, and without readings', () => {
    expect(rate(point('2027-05-06', 0), point('2027-05-13', 7))).toBe(1);
    expect(rate(point('2027-05-07', 0), point('2027-05-13', 7))).toBeNull();
    expect(rate(point('2026-05-01', 0), point('2026-05-08', 14))).toBe(2);
    expect(rate(point('2026-05-01', 0), point('2026-05-07', 14))).toBeNull();
    expect([rate(point('2026-05-01', 0)), rate()]).toEqual([null, null]);
  });
});
