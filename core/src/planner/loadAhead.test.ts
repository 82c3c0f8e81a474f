import type { PlannerInstance, PlannerItem, PlannerMachine } from './instance.js';
import { loadAhead } from './loadAhead.js';
import { plainMachine } from './testing/plain.js';

const HORIZON = 140;

/** An hour a day, work of fifty minutes. */
const machine = (items: Partial<PlannerItem>[], spreadOfAll = 0): PlannerMachine =>
  plainMachine(
    HORIZON,
    items.map((item) => ({ minutes: 50, ...item })),
    { spreadOfAll },
  );
/** Open on the first day of every week, for so many minutes. */
const instance = (minutes: number, ...machines: PlannerMachine[]): PlannerInstance => ({
  horizon: HORIZON,
  days: Array.from({ length: 20 }, (_, week) => ({ day: week * 7, minutes, bays: 3 })),
  machines,
  readyCost: 8,
  layUpCost: 2,
  published: null,
});
const asked = (...machines: PlannerMachine[]) =>
  loadAhead(instance(0, ...machines)).weeks.flatMap(({ expected }, week) =>
    expected ? [[week, expected]] : [],
  );

describe('what is asked of the workshop', () => {
  it('falls into the weeks in which it is due, by hours or days, and again after it was done', () => {
    // Due after 40 hours, and every 50 after that: on days 40 and 90.
    expect(asked(machine([{ hours: 50, usedHours: 10 }]))).toEqual([
      [5, 60],
      [12, 60],
    ]);
    expect(asked(machine([{ days: 60, usedDays: 50 }]))).toEqual([
      [1, 60],
      [10, 60],
      [18, 60],
    ]);
  });

  it('is done by the marks of the meter, and once what is done once', () => {
    expect(asked(machine([{ hours: 100, hoursToMark: 30 }]))).toEqual([
      [4, 60],
      [18, 60],
    ]);
    expect(asked(machine([{ once: { from: 0, due: 20 } }]))).toEqual([[2, 60]]);
  });

  it('takes along what is due within three weeks, opens once, and leaves what is due later', () => {
    const items = [
      { days: 400, usedDays: 380, access: [0] },
      { days: 400, usedDays: 365, access: [0] },
      { days: 400, usedDays: 340 },
    ];
    // Due on days 20, 35 and 60: the second with the first.
    expect(asked(machine(items))).toEqual([
      [2, 115],
      [8, 60],
    ]);
  });

  it('is overdue work today', () => {
    expect(asked(machine([{ days: 300, usedDays: 340 }]))).toEqual([[0, 60]]);
  });

  it('comes sooner the more the machines run', () => {
    const { weeks } = loadAhead(instance(0, machine([{ hours: 100 }], 0.2)));
    const inWeek = (key: 'expected' | 'low' | 'high') =>
      weeks.flatMap((week, at) => (week[key] > 0 ? [at] : []));
    // An hour a day: on day 100. A quarter more, in one of ten cases: on day 80; a quarter less: on day 135.
    expect(inWeek('expected')).toEqual([14]);
    expect(inWeek('high')).toEqual([11, 14, 19]);
    expect(inWeek('low')).toEqual([]);
    for (const week of weeks)
      expect([week.low <= week.expected, week.expected <= week.high]).toEqual([true, true]);
  });
});

it('says it of each machine, and in which weeks it rests', () => {
  const resting = { ...machine([{ days: 20 }]), hoursBy: Array.from({ length: HORIZON + 1 }, () => 40) };
  const [first, second] = loadAhead(instance(60, machine([{ hours: 50, usedHours: 10 }]), resting)).machines;
  expect(first?.flatMap(({ minutes }, week) => (minutes ? [[week, minutes]] : []))).toEqual([
    [5, 60],
    [12, 60],
  ]);
  expect([first?.some((week) => week.isAtRest), second?.every((week) => week.isAtRest)]).toEqual([
    false,
    true,
  ]);
});

describe('where it is short', () => {
  const due = (day: number, minutes: number) => machine([{ days: 1000, usedDays: 1000 - day, minutes }]);

  it('says for which weeks, by how much, when to begin, and which machines to send out', () => {
    const { shortages } = loadAhead(instance(60, due(50, 110), due(52, 50), due(9, 20)));
    // 180 asked in week 7, 60 there: 120 short, caught up with two weeks later. Weeks 5 and 6 are free.
    expect(shortages).toEqual([{ from: 49, until: 55, minutes: 120, beginOn: 35, machines: [0] }]);
  });

  it('says that there is not time enough even from today on', () => {
    const { shortages } = loadAhead(instance(60, due(8, 400)));
    expect(shortages).toMatchObject([{ from: 7, beginOn: null }]);
  });

  it('is none where all finds its week, or a few minutes are missing', () => {
    expect(loadAhead(instance(60, due(50, 50))).shortages).toEqual([]);
    expect(loadAhead(instance(60, due(50, 70))).shortages).toEqual([]);
  });

  it('that lasts to the end is told too', () => {
    expect(loadAhead(instance(60, due(137, 200))).shortages).toMatchObject([{ from: 133, minutes: 150 }]);
  });
});
