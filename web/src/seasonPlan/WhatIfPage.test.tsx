import { screen, within } from '@testing-library/react';
import { act } from 'react';
import type { PlannerInstance } from '@yugator/core';
import { planFixture } from '../testing/plan.js';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import type { PlanSaid } from './planWorker.js';
import { WhatIfPage } from './WhatIfPage.js';

let asked: PlannerInstance[];
let say: (said: PlanSaid) => void;
const ended = jest.fn();
jest.mock('./startPlanning', () => ({
  startPlanning: (instance: PlannerInstance, hear: (said: PlanSaid) => void) => {
    asked.push(instance);
    say = hear;
    return ended;
  },
}));

const PLAN = planFixture({ today: '2027-05-13' });
const found = (...days: number[]) => ({
  kind: 'done' as const,
  found: { plan: [days.map((day) => ({ day, items: [0] })), []], cost: 1, bound: 1 },
});
const show = async (role: 'crewLead' | 'mechanic' = 'crewLead') => {
  asked = [];
  const server = wire({ '/api/season-plan?weeks=12': PLAN });
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
  act(() => say(found(1)));
  expect(screen.getByRole('status', { name: 'Planning' })).toHaveTextContent('Planning as supposed');
  act(() => say(found(1, 4)));
  expect(asked.map(({ machines }) => machines[0]?.hoursBy[84])).toEqual([84, 126]);
  // What was published counts for neither, what is locked for both.
  expect(asked.map(({ published, machines }) => [published, machines[1]?.locked.length])).toEqual([
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
  asked = [];
  wire({ '/api/season-plan?weeks=12': { ...PLAN, machines: [{ ...first, items }, second] } });
  showTo('crewLead', <WhatIfPage />);
  await screen.findByText('Plan both');
  await choose('What if', words);
  await press('Plan both');
  act(() => say(found()));
  expect(of(asked[1] as PlannerInstance)).toEqual(expected);
});

it('takes no figure that is none, stops, and says when it comes to no end', async () => {
  await show();
  await type('By so many per cent', 'much');
  expect(screen.getByText('A whole number from 1 to 200')).toBeVisible();
  expect(screen.getByRole('button', { name: 'Plan both' })).toBeDisabled();
  await type('By so many per cent', '20');
  await press('Plan both');
  await press('Stop');
  expect(ended).toHaveBeenCalled();
  await press('Plan both');
  act(() => say({ kind: 'failed' }));
  expect(screen.getByText('The planner came to no end.')).toBeVisible();
});

it('is for the crew lead', async () => {
  await show('mechanic');
  expect(screen.queryByText('Plan both')).toBeNull();
});
