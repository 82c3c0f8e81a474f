import { civilDate } from '../calendar/civilDate.js';
import { done, every, everyHours, item, scheduleOn } from '../schedule/testing/facts.js';
import type { HoursGrid } from '../schedule/trigger.js';
import type { MachineSchedule } from '../schedule/machineSchedule.js';
import { plannerMachine } from './fromSchedule.js';
import type { PlannableItem } from './fromSchedule.js';
import { USUAL_MARGINS } from './seasonEdges.js';
import { workshopDays, weekdayOf } from './workshopDays.js';

const TODAY = '2027-05-10';
const span = { today: civilDate(TODAY), horizon: 84, grid: 'sinceDone' as const, margins: USUAL_MARGINS };

function plannable(schedule: MachineSchedule, over: Partial<PlannableItem> = {}): PlannableItem[] {
  const plain = { minutes: 30, needs: [], worth: 20, notBefore: 0 };
  return schedule.answers.map((answer) => ({ answer, ...plain, ...over }));
}

function planned(
  of: Parameters<typeof scheduleOn>[1],
  over: Partial<PlannableItem> = {},
  grid: HoursGrid = span.grid,
) {
  const schedule = scheduleOn(TODAY, of);
  return plannerMachine(
    {
      id: 'm',
      schedule,
      setUp: 9,
      shared: [4],
      items: plannable(schedule, over),
      defects: [],
      annual: 'spring',
      locked: [],
      published: [],
    },
    { ...span, grid },
  );
}

/** Ten hours a week since the beginning of April, read on 10 May. */
const READ: [string, number][] = [
  ['2027-04-05', 100],
  ['2027-04-19', 120],
  ['2027-05-10', 150],
];

describe('a machine of the schedule as the plan sees it', () => {
  it('has the hours of an interval with what is used up of it, and the days of another', () => {
    const { items } = planned({
      items: [item('oil', [everyHours(50), every(12, 'month')])],
      history: { oil: done(['2027-04-19', 120]) },
      readings: READ,
    });
    expect(items).toMatchObject([
      { id: 'oil', hours: 50, usedHours: 30, days: 365, usedDays: 20, hoursToMark: null, once: null },
    ]);
  });

  it('goes by the marks of the meter where the house does', () => {
    const oil = { items: [item('oil', [everyHours(50)])], history: { oil: done(['2027-04-19', 120]) } };
    const [own] = planned({ ...oil, readings: READ }, {}, 'onMeter').items;
    // The schedule itself counts since done here: it says 20 h to go, which is where the mark is thought to be.
    expect(own).toMatchObject({ hours: 50, hoursToMark: 20 });
  });

  it('takes an air filter in dust at half of its hours', () => {
    const { items } = planned({
      items: [item('air', [everyHours(50)], { dutyFactor: 0.5 })],
      history: { air: done(['2027-04-19', 120]) },
      readings: READ,
    });
    expect(items).toMatchObject([{ hours: 25, usedHours: 30 }]);
  });

  it('takes what nobody knows the last time of as due now', () => {
    const { items } = planned({
      entry: { on: civilDate('2025-04-01'), life: 0 as never, cameNew: false },
      items: [item('oil', [everyHours(50)]), item('belt', [every(6, 'month')])],
      readings: READ,
    });
    expect(items.find(({ id }) => id === 'oil')).toMatchObject({ hours: 50, usedHours: 50 });
    expect(items.find(({ id }) => id === 'belt')).toMatchObject({ days: 183, usedDays: 183 });
  });

  it('does once what comes once, and leaves out what nothing says a day of', () => {
    const first = [{ kind: 'firstCalendar', count: 30, unit: 'day', inUse: null } as const];
    const { items } = planned({
      entry: { on: civilDate('2027-04-20'), life: 0 as never, cameNew: true },
      items: [
        item('first', first),
        item('third', [{ kind: 'everyNth', n: 3, itemId: 'nothing', everyTimeAboveHours: null }]),
      ],
      readings: [],
    });
    expect(items).toMatchObject([{ id: 'first', once: { from: 0, due: 10 } }]);
  });

  it('takes the work of a season as yearly, near its day', () => {
    const edge = { kind: 'seasonEdge', season: 'Mowing', edge: 'last', offsetDays: 0 } as const;
    const { items } = planned({
      items: [item('clean', [edge])],
      history: { clean: done(['2026-10-24', 90]) },
      participation: [{ seasonId: 'mowing', hoursPerWeek: 10 }],
      readings: READ,
    });
    // 24 October is 167 days off.
    expect(items).toMatchObject([{ days: 365, usedDays: 365 - 167, leastShare: 0.9 }]);
  });

  it('expects its hours day by day, and how far they may be off', () => {
    const { hoursBy, spreadOfWeek, spreadOfAll } = planned({ items: [], readings: READ });
    expect(hoursBy).toHaveLength(85);
    expect(hoursBy[0]).toBe(0);
    expect(hoursBy[84]).toBeGreaterThan(40);
    for (const [day, hours] of hoursBy.entries()) expect(hours).toBeGreaterThanOrEqual(hoursBy[day - 1] ?? 0);
    expect([spreadOfWeek > 0, spreadOfAll >= 0]).toEqual([true, true]);
  });
});

describe('the days of the workshop', () => {
  const closed = { minutes: 0, bays: 0 };
  const week = [closed, { minutes: 300, bays: 2 }, closed, { minutes: 240, bays: 2 }, closed, closed, closed];

  it('follow the week, but for exceptions', () => {
    // 10 May 2027 is a Monday.
    expect(weekdayOf(civilDate(TODAY))).toBe(0);
    const exceptions = [
      { on: civilDate('2027-05-11'), minutes: 0, bays: 0 },
      { on: civilDate('2027-05-14'), minutes: 480, bays: 3 },
    ];
    const times = { week, exceptions, hands: null, absences: [] };
    expect(workshopDays(times, civilDate(TODAY), 9)).toEqual([
      { day: 3, minutes: 240, bays: 2 },
      { day: 4, minutes: 480, bays: 3 },
      { day: 8, minutes: 300, bays: 2 },
    ]);
  });

  it('are none where nobody said when the workshop is open', () => {
    const times = { week: [], exceptions: [], hands: null, absences: [] };
    expect(workshopDays(times, civilDate(TODAY), 20)).toEqual([]);
  });

  it('have the minutes of those who are in, where somebody said who works there', () => {
    const on = (minutes: number) => [0, minutes, 0, minutes, 0, 0, 0];
    const hands = [
      { personId: 'ansel', minutes: on(200) },
      { personId: 'marit', minutes: on(60) },
    ];
    const away = (personId: string, from: string, until: string) => ({
      personId,
      from: civilDate(from),
      until: civilDate(until),
    });
    const absences = [away('marit', '2027-05-11', '2027-05-11'), away('ansel', '2027-05-13', '2027-05-18')];
    const times = { week, exceptions: [], hands, absences };
    expect(workshopDays(times, civilDate(TODAY), 11)).toEqual([
      { day: 1, minutes: 200, bays: 2 },
      { day: 3, minutes: 60, bays: 2 },
      { day: 8, minutes: 60, bays: 2 },
      { day: 10, minutes: 260, bays: 2 },
    ]);
    // With nobody in it is closed; what is said of a single day is said of all hands.
    const both = [...absences, away('marit', '2027-05-12', '2027-05-14')];
    expect(workshopDays({ ...times, absences: both }, civilDate(TODAY), 5)).toEqual([
      { day: 1, minutes: 200, bays: 2 },
    ]);
    const exceptions = [{ on: civilDate('2027-05-13'), minutes: 90, bays: 1 }];
    expect(workshopDays({ ...times, exceptions, absences: both }, civilDate(TODAY), 5)[1]).toEqual({
      day: 3,
      minutes: 90,
      bays: 1,
    });
  });
});
