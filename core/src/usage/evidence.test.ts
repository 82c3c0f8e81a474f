import { evenPlan, seasonPlan } from '../season/usePlan.js';
import { day, MOWING } from '../schedule/testing/facts.js';
import { evidence, hoursPerPlanned, weightOf } from './evidence.js';

const TODAY = day('2026-06-01');
/** An hour a day, on every day from long ago. */
const DAILY = evenPlan(1, TODAY - 1000, TODAY + 1000);
const points = (...all: readonly [daysAgo: number, life: number][]) =>
  all.map(([daysAgo, life]) => ({ day: TODAY - daysAgo, life }));

describe('what is older', () => {
  it('counts half after each half-life, also between whole days and beyond the days kept ready', () => {
    expect(weightOf(0, 42)).toBe(1);
    expect(weightOf(42, 42)).toBeCloseTo(0.5, 12);
    expect(weightOf(126, 42)).toBeCloseTo(0.125, 12);
    expect(weightOf(21.5, 43)).toBeCloseTo(Math.SQRT1_2, 12);
    expect(weightOf(3000, 300)).toBeCloseTo(2 ** -10, 12);
  });
});

describe('the sums of what was run and planned', () => {
  it('weigh every step between readings by the working days since its end, worked by hand', () => {
    // 20 h in the 10 days up to 42 days ago count half; 63 h in the 42 days since count whole.
    const { hours, planned } = evidence(points([52, 100], [42, 120], [0, 183]), DAILY, TODAY);
    expect(hours).toBeCloseTo(20 / 2 + 63, 9);
    expect(planned).toBeCloseTo(10 / 2 + 42, 9);
  });

  it('count no step in which nothing was planned', () => {
    // Out of season from 25 October 2025 on: what ran in December says nothing of mowing.
    const mowing = seasonPlan(
      [{ seasonId: 'mowing', hoursPerWeek: 7 }],
      [MOWING],
      TODAY - 1000,
      TODAY + 1000,
    );
    const winter = { day: day('2026-12-20'), life: 9 };
    const known = evidence([{ day: day('2026-12-01'), life: 2 }, winter], mowing, day('2026-12-24'));
    expect(known).toEqual({ hours: 0, planned: 0, gaps: [] });
  });

  it('leave out what began before the plan, and what carries less than a thousandth', () => {
    const short = evenPlan(1, TODAY - 20, TODAY + 100);
    expect(evidence(points([21, 0], [10, 50], [0, 58]), short, TODAY)).toMatchObject({
      hours: expect.closeTo(8, 9) as number,
      planned: expect.closeTo(10, 9) as number,
    });
    expect(evidence(points([20, 0], [0, 8]), short, TODAY).planned).toBeCloseTo(20, 9);
    // 420 days are ten half-lives: 1/1024. 419 days are just within.
    expect(evidence(points([440, 0], [420, 9]), DAILY, TODAY)).toMatchObject({ hours: 0, planned: 0 });
    expect(evidence(points([439, 0], [418, 9]), DAILY, TODAY).hours).toBeCloseTo(9 * 0.5 ** (418 / 42), 9);
  });
});

describe('the gaps', () => {
  it('of less than five days are joined to those after them', () => {
    const { gaps } = evidence(points([20, 0], [16, 4], [15, 6], [8, 11], [4, 30], [0, 31]), DAILY, TODAY);
    expect(gaps).toEqual([
      { hours: 6, planned: 5, days: 5, age: 15 },
      { hours: 5, planned: 7, days: 7, age: 8 },
      { hours: 20, planned: 8, days: 8, age: 0 },
    ]);
  });

  it('are counted in working days, and not where nothing was planned', () => {
    const twoSpells = seasonPlan(
      [{ seasonId: 'mowing', hoursPerWeek: 14 }],
      [MOWING],
      day('2026-01-01'),
      day('2026-12-31'),
    );
    const read = (on: string, life: number) => ({ day: day(on), life });
    const { gaps } = evidence(
      // The season begins on 24 March: of the days to the 30th seven are worked.
      [read('2026-02-01', 0), read('2026-03-10', 1), read('2026-03-30', 15), read('2026-04-06', 29)],
      twoSpells,
      day('2026-04-10'),
    );
    expect(gaps).toEqual([
      { hours: 14, planned: expect.closeTo(14, 9) as number, days: 7, age: 11 },
      { hours: 14, planned: expect.closeTo(14, 9) as number, days: 7, age: 4 },
    ]);
  });

  it('begin with the first reading that the plan covers', () => {
    const short = evenPlan(1, TODAY - 20, TODAY + 100);
    const { gaps } = evidence(points([30, 0], [20, 5], [10, 12]), short, TODAY);
    expect(gaps).toEqual([{ hours: 7, planned: 10, days: 10, age: 10 }]);
  });
});

describe('hours run for each planned', () => {
  it('are known where some were planned and some run', () => {
    expect(hoursPerPlanned({ hours: 3, planned: 12, gaps: [] })).toBe(0.25);
    expect(hoursPerPlanned({ hours: 0, planned: 12, gaps: [] })).toBeNull();
    expect(hoursPerPlanned({ hours: 3, planned: 0, gaps: [] })).toBeNull();
  });
});
