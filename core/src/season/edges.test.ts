import { civilDate, dayNumber } from '../calendar/civilDate.js';
import { joined, seasonInYear, seasonSpans, seasonYear, seasonYearFault } from './season.js';
import { evenPlan, seasonPlan, stoppedPlan, workingStateOn } from './usePlan.js';

const day = (on: string) => dayNumber(civilDate(on));
const MOWING = { id: 'mowing', name: 'Mowing', years: [seasonYear(2026, '04-01', '10-31')] };
const NONE = { id: 'none', name: 'Not yet dated', years: [] };

describe('the first and the last day of a season', () => {
  it('belong to it, and the days beside them do not', () => {
    const spans = (from: string, to: string) => seasonSpans(MOWING, day(from), day(to)).length;
    expect([spans('2026-03-01', '2026-03-31'), spans('2026-03-01', '2026-04-01')]).toEqual([0, 1]);
    expect([spans('2026-10-31', '2026-12-01'), spans('2026-11-01', '2026-12-01')]).toEqual([1, 0]);
    expect(seasonSpans(NONE, day('2026-01-01'), day('2026-12-31'))).toEqual([]);
  });

  it('may be the same day', () => {
    const open = { year: 2026, firstDay: civilDate('2026-06-20'), lastDay: civilDate('2026-06-20') };
    expect(seasonYearFault(open)).toBeNull();
    expect(seasonYear(2026, '06-20', '06-20')).toEqual(open);
  });

  it('are told by the state of a machine', () => {
    const plan = seasonPlan(
      [{ seasonId: 'mowing', hoursPerWeek: 14 }],
      [MOWING],
      day('2026-01-01'),
      day('2027-12-31'),
    );
    const on = (date: string) => workingStateOn(plan, day(date));
    expect(on('2026-03-31')).toEqual({ kind: 'laidUp', since: null, until: '2026-04-01' });
    expect(on('2026-04-01')).toEqual({ kind: 'working', until: '2026-10-31' });
    expect(on('2026-10-31')).toEqual({ kind: 'working', until: '2026-10-31' });
    expect(on('2026-11-01')).toEqual({ kind: 'laidUp', since: '2026-11-01', until: '2027-04-01' });
    expect(on('2027-11-01')).toEqual({ kind: 'laidUp', since: '2027-11-01', until: null });
  });
});

it('the nearest of several dated years counts, in whatever order they stand', () => {
  const years = [2024, 2020, 2022].map((year) => seasonYear(year, `04-${String(year - 2010)}`, '10-31'));
  const first = (year: number, order = years) => seasonInYear({ ...MOWING, years: order }, year)?.firstDay;
  for (const order of [years, years.toReversed()]) {
    expect([first(2019, order), first(2023, order), first(2030, order)]).toEqual([
      ...['2019-04-10', '2023-04-12', '2030-04-14'],
    ]);
  }
});

describe('a plan of the same hours every day', () => {
  const [first, last] = [day('2026-06-01'), day('2026-06-10')];
  const plan = evenPlan(2, first, last);

  it('knows its ends, and nothing beyond them', () => {
    expect([plan.firstDay, plan.horizon, plan.working]).toEqual([first, last, [{ first, last }]]);
    expect(plan.exposure(first - 5, last + 5)).toBe(20);
    expect(plan.workingDays(first - 5, last + 5)).toBe(10);
  });

  it('reaches its hours on the day that completes them, the first and the last too', () => {
    expect(plan.dayReached(first - 1, 2)).toBe(first);
    expect(plan.dayReached(first - 1, 20)).toBe(last);
    expect(plan.dayReached(first - 1, 20.1)).toBeNull();
    expect(plan.dayReached(first + 3, 2)).toBe(first + 4);
    expect(plan.dayReached(last, 1)).toBeNull();
  });

  it('stopped on a day, runs to the day before', () => {
    const stopped = stoppedPlan(plan, first + 5);
    expect(stopped.exposure(first - 1, last)).toBe(10);
    expect(stopped.workingDays(first - 1, last)).toBe(5);
    expect(stopped.dayReached(first - 1, 10)).toBe(first + 4);
    expect(stopped.dayReached(first - 1, 10.1)).toBeNull();
    expect(stopped.dayReached(last, 5)).toBeNull();
    expect(stoppedPlan(plan, null)).toBe(plan);
  });
});

it('spans that meet are joined, those with a day between stay apart', () => {
  expect(
    joined([
      { first: 5, last: 8 },
      { first: 1, last: 4 },
    ]),
  ).toEqual([{ first: 1, last: 8 }]);
  expect(
    joined([
      { first: 6, last: 8 },
      { first: 1, last: 4 },
    ]),
  ).toHaveLength(2);
  expect(
    joined([
      { first: 1, last: 9 },
      { first: 2, last: 4 },
    ]),
  ).toEqual([{ first: 1, last: 9 }]);
});
