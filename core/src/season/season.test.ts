import fc from 'fast-check';
import { civilDate, dayNumber } from '../calendar/civilDate.js';
import { joined, seasonInYear, seasonSpans, seasonYear, seasonYearFault, shiftedTo } from './season.js';
import { evenPlan, seasonPlan, workingStateOn } from './usePlan.js';

const day = (on: string) => dayNumber(civilDate(on));
const SNOW = { id: 'snow', name: 'Snow', years: [seasonYear(2026, '12-01', '02-28')] };

describe('a season', () => {
  it('may cross New Year', () => {
    expect(SNOW.years[0]).toEqual({ year: 2026, firstDay: '2026-12-01', lastDay: '2027-02-28' });
    expect(seasonSpans(SNOW, day('2027-01-01'), day('2027-01-31'))).toEqual([
      { first: day('2026-12-01'), last: day('2027-02-28') },
    ]);
  });

  it('takes over the days of the nearest year before, else after', () => {
    const two = { ...SNOW, years: [...SNOW.years, seasonYear(2030, '11-15', '03-15')] };
    expect(seasonInYear(two, 2025)?.firstDay).toBe('2025-12-01');
    expect(seasonInYear(two, 2029)?.firstDay).toBe('2029-12-01');
    expect(seasonInYear(two, 2031)?.firstDay).toBe('2031-11-15');
    expect(seasonInYear({ ...SNOW, years: [] }, 2026)).toBeNull();
  });

  it('that ends on 29 February ends on the 28th in other years', () => {
    expect(
      shiftedTo(2028, { year: 2027, firstDay: civilDate('2027-12-01'), lastDay: civilDate('2028-02-29') })
        .lastDay,
    ).toBe('2029-02-28');
  });

  it.each([
    [
      { year: 2026, firstDay: civilDate('2026-04-01'), lastDay: civilDate('2026-03-31') },
      'endsBeforeItBegins',
    ],
    [
      { year: 2026, firstDay: civilDate('2027-04-01'), lastDay: civilDate('2027-05-31') },
      'beginsInAnotherYear',
    ],
    [{ year: 2026, firstDay: civilDate('2026-04-01'), lastDay: civilDate('2027-04-02') }, 'longerThanAYear'],
    [{ year: 2026, firstDay: civilDate('2026-04-01'), lastDay: civilDate('2027-04-01') }, null],
  ])('%o is refused as %s', (year, fault) => {
    expect(seasonYearFault(year)).toBe(fault);
  });
});

describe('a plan', () => {
  const parts = [{ seasonId: 'snow', hoursPerWeek: 14 }];
  const plan = seasonPlan(parts, [SNOW], day('2026-01-01'), day('2028-12-31'));

  it('sums the hours of the days after the first up to the last', () => {
    // December has 31 days at 2 h.
    expect(plan.exposure(day('2026-11-30'), day('2026-12-31'))).toBeCloseTo(62);
    expect(plan.exposure(day('2026-06-01'), day('2026-11-30'))).toBe(0);
    expect(plan.exposure(day('2026-12-31'), day('2026-12-01'))).toBe(0);
    expect(plan.workingDays(day('2026-11-20'), day('2026-12-10'))).toBe(10);
  });

  it('says when so many hours are planned to have been run', () => {
    expect(plan.dayReached(day('2026-11-01'), 62)).toBe(day('2026-12-31'));
    expect(plan.dayReached(day('2026-11-01'), 62.1)).toBe(day('2027-01-01'));
    expect(plan.dayReached(day('2026-11-01'), 1e6)).toBeNull();
  });

  it('tells work from rest', () => {
    expect(workingStateOn(plan, day('2026-12-01'))).toEqual({ kind: 'working', until: '2027-02-28' });
    expect(workingStateOn(plan, day('2027-03-01'))).toEqual({
      kind: 'laidUp',
      since: '2027-03-01',
      until: '2027-12-01',
    });
    expect(workingStateOn(seasonPlan([], [], 0, 10), 5)).toEqual({ kind: 'unplanned' });
  });

  it('adds up overlapping seasons', () => {
    const leaves = { id: 'leaves', name: 'Leaves', years: [seasonYear(2026, '11-01', '12-15')] };
    const both = seasonPlan(
      [...parts, { seasonId: 'leaves', hoursPerWeek: 7 }],
      [SNOW, leaves],
      day('2026-01-01'),
      day('2027-12-31'),
    );
    expect(both.exposure(day('2026-12-09'), day('2026-12-10'))).toBeCloseTo(3);
    expect(both.working[1]).toEqual({ first: day('2026-11-01'), last: day('2027-02-28') });
  });

  it('is additive, and reaches what it sums', () => {
    const even = evenPlan(1.7, 0, 2000);
    const days = fc.integer({ min: 0, max: 900 });
    fc.assert(
      fc.property(days, days, days, (a, b, c) => {
        const [from, between, to] = [a, a + b, a + b + c];
        expect(even.exposure(from, between) + even.exposure(between, to)).toBeCloseTo(
          even.exposure(from, to),
        );
        if (to > from && to <= 2000) expect(even.dayReached(from, even.exposure(from, to))).toBe(to);
      }),
      { seed: 8 },
    );
  });
});

describe('joined spans', () => {
  it('are apart from each other and cover the same days', () => {
    const span = fc
      .tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 0, max: 30 }))
      .map(([first, length]) => ({ first, last: first + length }));
    fc.assert(
      fc.property(fc.array(span, { maxLength: 8 }), (spans) => {
        const result = joined(spans);
        const covers = (list: typeof spans, at: number) =>
          list.some(({ first, last }) => first <= at && at <= last);
        for (let at = 0; at <= 231; at += 1) expect(covers(result, at)).toBe(covers(spans, at));
        result
          .slice(1)
          .forEach(({ first }, index) => expect(first).toBeGreaterThan((result[index]?.last ?? 0) + 1));
      }),
      { seed: 10 },
    );
  });
});
