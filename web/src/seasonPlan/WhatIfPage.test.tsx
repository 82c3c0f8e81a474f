import { screen, waitFor, within } from '@testing-library/react';
import { act } from 'react';
import type { PlannerInstance } from '@yugator/core';
import { useLocation } from 'react-router';
import { mechanicFixture, planFixture, workshopDaysFixture } from '../testing/plan.js';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { pageWorkers } from '../testing/workers.js';
import type { PlanSaid } from './planWorker.js';
import { WhatIfPage } from './WhatIfPage.js';

const planners = pageWorkers<PlannerInstance, PlanSaid>();

const TODAY = '2027-05-13';
const ANSEL = mechanicFixture(1, 'Ansel Pike');
const MARIT = mechanicFixture(2, 'Marit Osgood');
/** Tuesdays and Fridays. */
const week = (minutes: number) =>
  Array.from({ length: 7 }, (_, at) => ({ minutes: at === 1 || at === 4 ? minutes : 0 }));
const DAYS = workshopDaysFixture({ week: week(120).map((day) => ({ ...day, bays: 2 })) });
const BY_NAME = {
  ...DAYS,
  hands: [
    { personId: ANSEL.id, week: week(80) },
    { personId: MARIT.id, week: week(40) },
  ],
};
const WORKSHOP = { rules: { annual: 'spring' }, figures: {}, version: 7 };
/** What the page asks for, besides the plan. */
const beside = (days: object = DAYS) => ({
  '/api/workshop-days': days,
  '/api/people': [ANSEL, MARIT],
  '/api/site/workshop': WORKSHOP,
});
const PLAN = planFixture({ today: TODAY });
const found = (...days: number[]) => ({
  kind: 'done' as const,
  found: { plan: [days.map((day) => ({ day, items: [0] })), []], cost: 1, bound: 1 },
});
const show = async (role: 'crewLead' | 'mechanic' = 'crewLead') => {
  const server = wire({ '/api/season-plan?weeks=12': PLAN, ...beside() });
  showTo(role, <WhatIfPage />);
  await screen.findByText(/Plan both|The crew lead tries/);
  return server;
};
const rowOf = (name: string) =>
  within(screen.getByRole('row', { name: new RegExp(`^${name}`) }))
    .getAllByRole('cell')
    .map((cell) => cell.textContent);

it('plans as it is, then as is supposed, and holds both side by side; nothing is stored', async () => {
  const { sent } = await show();
  await type('By so many per cent', '50');
  await press('Plan both');
  expect(screen.getByRole('status', { name: 'Planning' })).toHaveTextContent('Planning as it is');
  act(() => planners.say(found(1)));
  expect(screen.getByRole('status', { name: 'Planning' })).toHaveTextContent('Planning as supposed');
  act(() => planners.say(found(1, 4)));
  expect(planners.asked.map(({ machines }) => machines[0]?.hoursBy[84])).toEqual([84, 126]);
  // What was published counts for neither, what is locked for both.
  expect(planners.asked.map(({ published, machines }) => [published, machines[1]?.locked.length])).toEqual([
    [null, 1],
    [null, 1],
  ]);
  // 9 of the visit, 4 of the hood, 20 of the work; £30 an hour.
  expect(rowOf('Visits')).toEqual(['1', '2', '+1']);
  expect(rowOf('Work, in minutes')).toEqual(['33, £16.50', '66, £33.00', '+33']);
  expect(sent).toEqual([]);
});

it.each<[string, (instance: PlannerInstance) => unknown, unknown]>([
  [
    'dust: air filters last half as long',
    ({ machines }) => machines[0]?.items.map(({ hours }) => hours),
    [50, 12.5],
  ],
  ['a mechanic is away', ({ days }) => days.map(({ minutes }) => minutes), [60, 60, 60, 60, 120, 120]],
  ['a machine more', ({ machines }) => machines.length, 3],
  ['machines run less', ({ machines }) => machines[0]?.hoursBy[10], 8],
])('supposes: %s', async (words, of, expected) => {
  const [first, second] = PLAN.machines;
  if (!first || !second) throw new Error('There are two machines.');
  const items = first.items.map((item) => ({
    ...item,
    components: item.id === 'air' ? (['airFilter'] as const) : [],
  }));
  wire({ '/api/season-plan?weeks=12': { ...PLAN, machines: [{ ...first, items }, second] }, ...beside() });
  showTo('crewLead', <WhatIfPage />);
  await screen.findByText('Plan both');
  await choose('What if', words);
  await press('Plan both');
  act(() => planners.say(found()));
  expect(of(planners.asked[1] as PlannerInstance)).toEqual(expected);
});

it('takes no figure that is none, stops, and says when it comes to no end', async () => {
  await show();
  await type('By so many per cent', 'much');
  expect(screen.getByText('A whole number from 1 to 200')).toBeVisible();
  expect(screen.getByRole('button', { name: 'Plan both' })).toBeDisabled();
  await type('By so many per cent', '20');
  await press('Plan both');
  await press('Stop');
  expect(planners.ended).toBe(1);
  await press('Plan both');
  act(() => planners.say({ kind: 'failed' }));
  expect(screen.getByText('The planner came to no end.')).toBeVisible();
});

it('is for the crew lead', async () => {
  await show('mechanic');
  expect(screen.queryByText('Plan both')).toBeNull();
});

describe('taken over', () => {
  const begin = async (days: object, kind: string, onWrite: () => void = () => undefined) => {
    const at = jest.fn<undefined, [string, unknown]>();
    const Arrived = () => {
      const { pathname, state } = useLocation();
      at(pathname, state);
      return null;
    };
    const server = wire(
      {
        '/api/season-plan?weeks=12': PLAN,
        '/api/season-plan?weeks=12&annual=autumn': {
          ...PLAN,
          instance: { ...PLAN.instance, layUpCost: 99 },
        },
        ...beside(days),
      },
      () => {
        onWrite();
        return {};
      },
    );
    showTo(
      'crewLead',
      <>
        <WhatIfPage />
        <Arrived />
      </>,
    );
    await screen.findByText('Plan both');
    await choose('What if', kind);
    return { ...server, at };
  };
  const finish = async () => {
    await press('Plan both');
    await screen.findByRole('status', { name: 'Planning' });
    act(() => planners.say(found()));
    act(() => planners.say(found(1)));
    await press('Take it over');
  };
  const card = { machineId: 'm1', on: '2027-05-14', itemIds: ['oil'], isLocked: false };

  it('somebody is away by name: the days lose his minutes, and it is stored who is away', async () => {
    const { sent, at } = await begin(BY_NAME, 'a mechanic is away');
    await finish();
    // Days are counted from a Thursday: 1 is a Friday, 5 the next Tuesday; both have the other one left.
    await waitFor(() => expect(at).toHaveBeenCalledWith('/season/plan', expect.anything()));
    expect(sent.map(({ method, path, body }) => [method, path, body])).toEqual([
      [
        'PUT',
        '/api/workshop-days',
        { ...BY_NAME, absences: [{ personId: ANSEL.id, from: TODAY, until: '2027-05-26', note: '' }] },
      ],
    ]);
    expect(planners.asked[1]?.days.find(({ day }) => day === 1)?.minutes).toBe(40);
    expect(at).toHaveBeenLastCalledWith('/season/plan', {
      brought: { cards: [card], words: 'a mechanic is away' },
    });
  });

  it('stored, while the plan cannot be read anew, is not stored again: the visits alone are brought over', async () => {
    const server = await begin(BY_NAME, 'a mechanic is away', () => server.cut(true));
    await finish();
    expect(await screen.findByText('Stored, but the visits are not a draft yet')).toBeVisible();
    expect(screen.queryByText('Not taken over')).toBeNull();
    expect(server.at).not.toHaveBeenCalledWith('/season/plan', expect.anything());
    server.cut(false);
    await press('Bring the visits over');
    await waitFor(() => expect(server.at).toHaveBeenCalledWith('/season/plan', expect.anything()));
    expect(server.sent).toHaveLength(1);
  });

  it('another time of the yearly service is read, and becomes the rule of the house', async () => {
    const { sent, at } = await begin(DAYS, 'the yearly service at another time');
    expect(screen.getByLabelText('Then')).toHaveTextContent('Autumn, before lay-up');
    await finish();
    await waitFor(() => expect(at).toHaveBeenCalledWith('/season/plan', expect.anything()));
    expect(planners.asked.map(({ layUpCost }) => layUpCost)).toEqual([2, 99]);
    expect(sent.map(({ path, body }) => [path, body])).toEqual([
      ['/api/site/workshop', { ...WORKSHOP, rules: { annual: 'autumn' } }],
    ]);
  });

  it('with nobody left of those who worked there, a share of the hands is away, and nothing is stored', async () => {
    const gone = { ...BY_NAME, hands: [{ personId: 'gone', week: week(120) }] };
    const { sent, at } = await begin(gone, 'a mechanic is away');
    expect(screen.getByLabelText('Per cent of all hands')).toBeVisible();
    await finish();
    await waitFor(() => expect(at).toHaveBeenCalledWith('/season/plan', expect.anything()));
    expect(planners.asked[1]?.days.find(({ day }) => day === 1)?.minutes).toBe(60);
    expect(sent).toEqual([]);
  });

  it('all else stores nothing: its visits become a draft', async () => {
    const { sent, at } = await begin(DAYS, 'a machine more');
    await finish();
    await waitFor(() => expect(at).toHaveBeenCalledWith('/season/plan', expect.anything()));
    expect(sent).toEqual([]);
  });
});
