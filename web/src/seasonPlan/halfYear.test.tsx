import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { planFixture } from '../testing/plan.js';
import { choose, press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { PlanPage } from './PlanPage.js';

const PLAN = planFixture();
const HORIZON = 182;
const [first, second] = PLAN.instance.machines;
if (!first || !second) throw new Error('There are two machines.');
const far = (machine: typeof first) => ({
  ...machine,
  hoursBy: Array.from({ length: HORIZON + 1 }, (_, day) => day),
  awayCost: Array.from({ length: HORIZON }, () => 0),
});
/** Half a year, of which a week in September is one day. */
const HALF = {
  ...PLAN,
  weeks: 26,
  instance: {
    ...PLAN.instance,
    horizon: HORIZON,
    days: [...PLAN.instance.days, { day: 120, minutes: 480, bays: 4 }],
    machines: [far(first), far(second)],
  },
};
const PROPOSAL = {
  cards: [
    { machineId: 'm1', on: '2027-05-18', itemIds: ['oil'], isLocked: false },
    { machineId: 'm1', on: '2027-09-07', itemIds: ['oil', 'air'], isLocked: false },
  ],
  cost: 100,
  bound: 100,
  madeAt: '2027-05-10T05:00:00Z',
  version: PLAN.version,
};

beforeEach(() =>
  jest
    .spyOn(window, 'matchMedia')
    .mockImplementation((media) => ({ media, matches: true }) as MediaQueryList),
);
afterEach(() => jest.restoreAllMocks());

it('is planned to the week beyond twelve weeks, and nobody is told of that', async () => {
  const { sent } = wire(
    { '/api/season-plan?weeks=12': PLAN, '/api/season-plan?weeks=26': HALF },
    ({ path }) => (path.endsWith('propose') ? PROPOSAL : PLAN),
  );
  showTo('crewLead', <PlanPage />);
  await screen.findByText(/visits from today on, published/);
  await choose('Shown', 'half a year');
  await waitFor(() => expect(screen.getAllByRole('columnheader')).toHaveLength(14));
  await waitFor(() => expect(screen.getByRole('columnheader', { name: /0 of 480 min/ })).toBeVisible());
  await press('Propose again');
  const wall = within(screen.getByRole('table'));
  expect(
    await wall.findByRole('button', { name: /^M-07, about Tue 7 Sept?: 43 min 2 lines$/ }),
  ).toBeVisible();
  expect(screen.getByText(/beyond twelve weeks is an outlook/)).toBeVisible();
  // What the crew is told of cannot be moved there.
  await press(/^M-07, Tue 18 May/, wall);
  const card = within(await screen.findByRole('dialog'));
  await userEvent.click(card.getByLabelText('On'));
  const days = screen.getAllByRole('option').map(({ textContent }) => textContent);
  expect(days).toHaveLength(PLAN.instance.days.length);
  expect(days.filter((day) => day?.includes('Sep'))).toEqual([]);
  await userEvent.keyboard('{Escape}');
  await press('Leave it');
  await press('Publish');
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[0]?.body).toMatchObject({ weeks: 26 });
  expect(sent[1]?.body).toEqual({ cards: [PROPOSAL.cards[0]], version: PLAN.version });
});
