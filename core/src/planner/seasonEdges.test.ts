import { civilDate } from '../calendar/civilDate.js';
import { seasonYear } from '../season/season.js';
import { done, every, item, scheduleOn } from '../schedule/testing/facts.js';
import type { SeasonEdge } from '../schedule/trigger.js';
import { plannerMachine } from './fromSchedule.js';
import { edgeOfVisit, USUAL_MARGINS } from './seasonEdges.js';
import { plainMachine } from './testing/plain.js';

const edge = (of: SeasonEdge['edge'], offsetDays = 0): SeasonEdge => ({
  kind: 'seasonEdge',
  season: null,
  edge: of,
  offsetDays,
});
const MOWER = { participation: [{ seasonId: 'mowing', hoursPerWeek: 10 }] };
const ITEMS = [
  item('blades', [edge('last')]),
  item('tyres', [edge('first', -7)]),
  item('belts', [every(6, 'month')]),
];
const LAST_TIMES = {
  blades: done(['2026-10-26', 90]),
  tyres: done(['2026-03-20', 20]),
  belts: done(['2026-10-26', 90]),
};

function plannedOn(
  today: string,
  of: Parameters<typeof scheduleOn>[1] = {},
  annual: 'autumn' | 'spring' | 'split' = 'spring',
) {
  const schedule = scheduleOn(today, { items: ITEMS, history: LAST_TIMES, ...MOWER, ...of });
  const items = schedule.answers.map((answer) => ({
    answer,
    minutes: 20,
    needs: [],
    worth: 0,
    notBefore: 0,
  }));
  return plannerMachine(
    { id: 'm', schedule, setUp: 9, shared: [], items, defects: [], annual, locked: [], published: [] },
    { today: civilDate(today), horizon: 84, grid: 'sinceDone', margins: USUAL_MARGINS },
  );
}

const edgeWorkOf = ({ items }: ReturnType<typeof plannedOn>) =>
  Object.fromEntries(items.map(({ id, wakesUp, laysUp }) => [id, { wakesUp, laysUp }]));

describe('before its season a machine is woken up', () => {
  // The season begins on 24 March.
  const spring = plannedOn('2027-02-10');

  it('by what its books say of the first day, ready days before it', () => {
    expect(spring).toMatchObject({ season: { start: 42, ready: 39, wakeFrom: 0 } });
    expect(edgeWorkOf(spring)).toMatchObject({
      tyres: { wakesUp: true, laysUp: false },
      belts: { wakesUp: false, laysUp: false },
    });
  });

  it('but not by what was done for it already', () => {
    const history = { ...LAST_TIMES, tyres: done(['2027-02-08', 90]) };
    expect(edgeWorkOf(plannedOn('2027-02-10', { history })).tyres).toEqual({ wakesUp: false, laysUp: false });
  });
});

describe('after its season a machine is laid up', () => {
  it('by what its books say of the last day, from the first day of rest on', () => {
    const autumn = plannedOn('2027-09-20');
    // 25 October is 35 days off.
    expect(autumn).toMatchObject({ layUp: { end: 35, by: 56 }, season: null });
    expect(edgeWorkOf(autumn)).toMatchObject({ blades: { laysUp: true }, belts: { laysUp: false } });
  });

  it('still, once it rests and nobody did', () => {
    const late = plannedOn('2027-11-04');
    expect(late).toMatchObject({ layUp: { end: 0, by: 11 } });
    expect(edgeWorkOf(late).blades).toEqual({ laysUp: true, wakesUp: false });
  });

  it('not again, once it is done', () => {
    const history = { ...LAST_TIMES, blades: done(['2027-10-26', 190]) };
    expect(edgeWorkOf(plannedOn('2027-11-04', { history })).blades).toMatchObject({ laysUp: false });
  });
});

describe('what is yearly is done when the house has its yearly service', () => {
  const YEARLY = {
    items: [
      item('oil', [every(12, 'month')], { components: ['engineOil'] }),
      item('plugs', [every(12, 'month')], { components: ['sparkPlugs'] }),
    ],
    history: { oil: done(['2027-02-20', 90]), plugs: done(['2027-02-20', 90]) },
  };
  const autumn = (annual: 'autumn' | 'spring' | 'split') =>
    edgeWorkOf(plannedOn('2027-09-20', YEARLY, annual));

  it('in autumn, in spring, or what stands in over winter in autumn and the rest in spring', () => {
    expect(autumn('autumn')).toMatchObject({ oil: { laysUp: true }, plugs: { laysUp: true } });
    expect(autumn('spring')).toMatchObject({ oil: { laysUp: false }, plugs: { laysUp: false } });
    expect(autumn('split')).toMatchObject({ oil: { laysUp: true }, plugs: { laysUp: false } });
    const history = { oil: done(['2026-02-20', 90]), plugs: done(['2026-08-20', 90]) };
    const spring = edgeWorkOf(plannedOn('2027-02-10', { ...YEARLY, history }, 'split'));
    expect(spring).toMatchObject({ oil: { wakesUp: false }, plugs: { wakesUp: true } });
  });

  it('but not what was done within half a year', () => {
    const history = { oil: done(['2027-07-01', 90]), plugs: done(['2027-02-20', 90]) };
    expect(edgeWorkOf(plannedOn('2027-09-20', { ...YEARLY, history }, 'autumn'))).toMatchObject({
      oil: { laysUp: false },
      plugs: { laysUp: true },
    });
  });
});

it('a machine that works on through the year is neither', () => {
  const all = { participation: [{ seasonId: 'year', hoursPerWeek: 5 }] };
  const seasons = [{ id: 'year', name: 'Year', years: [seasonYear(2026, '01-01', '12-31')] }];
  const today = '2027-11-20';
  const schedule = scheduleOn(today, { items: ITEMS, history: LAST_TIMES, ...all }, { seasons });
  const machine = plannerMachine(
    {
      id: 'm',
      schedule,
      setUp: 9,
      shared: [],
      items: [],
      defects: [],
      annual: 'spring' as const,
      locked: [],
      published: [],
    },
    { today: civilDate(today), horizon: 84, grid: 'sinceDone', margins: USUAL_MARGINS },
  );
  expect(machine).toMatchObject({ layUp: null, season: null });
});

describe('a visit', () => {
  const machine = plainMachine(84, [{ wakesUp: true }, { laysUp: true }, {}], {
    season: { start: 50, ready: 47, wakeFrom: 5 },
    layUp: { end: 2, by: 23 },
  });

  it.each<[string, number, number[], ReturnType<typeof edgeOfVisit>]>([
    ['that does what wakes it up in the weeks before its season', 5, [0, 2], 'wakeUp'],
    ['of that work on the last day before it', 49, [0], 'wakeUp'],
    ['of that work once the season has begun', 50, [0], null],
    ['of that work long before', 4, [0], null],
    ['that lays it up once it rests', 2, [1], 'layUp'],
    ['of that work while it still works', 1, [1], null],
    ['of other work', 10, [2], null],
  ])('%s', (_what, day, items, edge) => {
    expect(edgeOfVisit(machine, { day, items })).toBe(edge);
  });

  it('of a machine that has no season is neither', () => {
    const always = { items: machine.items, season: null, layUp: null };
    expect(edgeOfVisit(always, { day: 10, items: [0, 1] })).toBeNull();
  });
});
