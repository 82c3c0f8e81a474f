import { civilDate } from '../../calendar/civilDate.js';
import { seasonYear } from '../../season/season.js';
import { answerOn, done, everyHours, item, MOWING, scheduleOn, SNOW } from '../testing/facts.js';
import type { SeasonEdge } from '../trigger.js';

const edge = (over: Partial<SeasonEdge>): SeasonEdge => ({
  kind: 'seasonEdge',
  season: 'Mowing',
  edge: 'first',
  offsetDays: 0,
  ...over,
});
const dueOn = (today: string, trigger: SeasonEdge, doneOn: string, over = {}) =>
  answerOn(today, 'x', { items: [item('x', [trigger])], history: { x: done([doneOn, 10]) }, ...over });

describe('a season edge', () => {
  it('is the next such date more than 45 days after the last time', () => {
    // Mowing begins on 24 March. Done on 3 March, three weeks early, counts for that year; done on 6 February counts not:
    // 6 February + 45 days is 23 March, and 24 March is more than that. 7 February + 45 is 24 March itself.
    expect(dueOn('2026-05-01', edge({}), '2026-03-03').deciding).toMatchObject({ on: '2027-03-24' });
    expect(dueOn('2026-05-01', edge({}), '2026-02-06').deciding).toMatchObject({
      on: '2026-03-24',
      overdue: true,
    });
    expect(dueOn('2026-05-01', edge({}), '2026-02-07').deciding).toMatchObject({ on: '2027-03-24' });
  });

  it('may lie days before or after', () => {
    // 14 days before 24 March is 10 March; 7 days after 24 October is 31 October.
    expect(dueOn('2026-01-05', edge({ offsetDays: -14 }), '2025-03-09').deciding).toMatchObject({
      on: '2026-03-10',
    });
    expect(dueOn('2026-01-05', edge({ edge: 'last', offsetDays: 7 }), '2025-10-30').deciding).toMatchObject({
      on: '2026-10-31',
    });
  });

  it('of a season over New Year lies in the year after', () => {
    // Snow runs from 1 December to 28 February.
    expect(dueOn('2026-12-20', edge({ season: 'snow', edge: 'last' }), '2026-11-20').deciding).toMatchObject({
      on: '2027-02-28',
    });
    expect(dueOn('2026-12-20', edge({ season: 'Snow' }), '2026-11-20').deciding).toMatchObject({
      on: '2027-12-01',
    });
  });

  it('follows the days set for a year', () => {
    const early = { ...MOWING, years: [...MOWING.years, seasonYear(2027, '03-08', '11-07')] };
    const of = { items: [item('x', [edge({})])], history: { x: done(['2026-03-20', 10]) } };
    expect(answerOn('2026-12-01', 'x', of, { seasons: [early] }).deciding).toMatchObject({
      on: '2027-03-08',
    });
  });

  it('of the machine is where its joined seasons begin and end', () => {
    // Mowing to 24 October and leaves from 10 October to 20 December are one working time.
    const leaves = { id: 'leaves', name: 'Leaves', years: [seasonYear(2026, '10-10', '12-20')] };
    const of = {
      items: [item('x', [edge({ season: null, edge: 'last' })])],
      history: { x: done(['2026-04-01', 10]) },
      participation: [
        { seasonId: 'mowing', hoursPerWeek: 6 },
        { seasonId: 'leaves', hoursPerWeek: 3 },
      ],
    };
    expect(answerOn('2026-10-30', 'x', of, { seasons: [MOWING, leaves] }).deciding).toMatchObject({
      on: '2026-12-20',
    });
  });

  it('that no season gives is said, not passed over', () => {
    const answer = dueOn('2026-05-01', edge({ season: 'Golf' }), '2026-03-03');
    expect(answer).toMatchObject({ state: 'noRecord', limits: [], unresolved: [{ code: 'noSeason' }] });
  });
});

describe('storage', () => {
  const items = [item('battery', [{ kind: 'storage', days: 30 }], { action: 'charge' })];
  const mower = { items, participation: [{ seasonId: 'mowing', hoursPerWeek: 7 }] };

  it('counts from the lay-up, and from each time after it', () => {
    // Laid up from 25 October: first due 24 November. Done on 20 November: 20 December.
    expect(answerOn('2026-11-20', 'battery', mower).deciding).toMatchObject({ on: '2026-11-24' });
    const history = { battery: done(['2026-11-20', 100]) };
    expect(answerOn('2026-12-21', 'battery', { ...mower, history })).toMatchObject({
      state: 'overdue',
      deciding: { on: '2026-12-20', left: -1 },
    });
  });

  it('waits for the next lay-up once the machine works again', () => {
    const history = { battery: done(['2027-03-10', 100]) };
    // 9 April would be 30 days on, but the season began on 24 March: next 30 days into the lay-up of 25 October 2027.
    expect(answerOn('2027-03-20', 'battery', { ...mower, history }).deciding).toMatchObject({
      on: '2027-11-24',
    });
    expect(answerOn('2027-05-01', 'battery', mower)).toMatchObject({
      state: 'fine',
      deciding: { on: '2027-11-24' },
    });
  });

  it('needs no record of a used machine, and counts where the crew lead laid it up', () => {
    const used = { entry: { on: '2026-04-01' as never, life: 90 as never, cameNew: false } };
    expect(answerOn('2026-05-01', 'battery', { ...mower, ...used }).state).toBe('fine');
    const status = { kind: 'laidUp', since: civilDate('2026-06-01') } as const;
    expect(answerOn('2026-07-02', 'battery', { ...mower, ...used, status })).toMatchObject({
      state: 'overdue',
      deciding: { on: '2026-07-01' },
    });
  });
});

describe('a machine laid up', () => {
  it('rests what only counts hours, even if it was overdue before', () => {
    const items = [
      item('grease', [everyHours(25)]),
      item('oil', [everyHours(50)]),
      item('filter', [everyHours(100), { kind: 'everyCalendar', count: 24, unit: 'month', inUse: null }]),
    ];
    const { answers, isLaidUp, working } = scheduleOn('2026-11-20', {
      items,
      participation: [{ seasonId: 'mowing', hoursPerWeek: 7 }],
      readings: [['2026-10-20', 74]],
      history: {
        grease: done(['2026-09-01', 40]),
        oil: done(['2026-09-01', 40]),
        filter: done(['2026-09-01', 40]),
      },
    });
    // Grease was due at 65 h, before the lay-up; it can wait for spring. The filter has a date as well, which runs on: fine.
    expect(answers.map(({ item: { id }, state }) => [id, state])).toEqual([
      ['filter', 'fine'],
      ['grease', 'resting'],
      ['oil', 'resting'],
    ]);
    expect(isLaidUp).toBe(true);
    expect(working).toEqual({ kind: 'laidUp', since: '2026-10-25', until: '2027-03-24' });
  });

  it('never rests on a plan of all year', () => {
    const participation = [MOWING, SNOW, { id: 'x', name: 'x', years: [] }].map(({ id }) => ({
      seasonId: id,
      hoursPerWeek: 5,
    }));
    const allYear = [seasonYear(2026, '01-01', '12-31')];
    const { isLaidUp } = scheduleOn(
      '2026-11-20',
      { participation },
      { seasons: [{ ...MOWING, years: allYear }] },
    );
    expect(isLaidUp).toBe(false);
  });
});
