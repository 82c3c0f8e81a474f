import { screen, within } from '@testing-library/react';
import { planFixture } from '../testing/plan.js';
import { press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { pageWorkers } from '../testing/workers.js';
import { PlanPage } from './PlanPage.js';

const planners = pageWorkers();

const PLAN = planFixture();
const PROPOSAL = {
  cards: [{ machineId: 'm1', on: '2027-05-18', itemIds: ['oil'], isLocked: false }],
  cost: 100,
  bound: 98,
  madeAt: '2027-05-10T05:00:00Z',
  version: PLAN.version,
};
const isTouched = (matches: boolean) => {
  jest.spyOn(window, 'matchMedia').mockImplementation((media) => ({ media, matches }) as MediaQueryList);
};
afterEach(() => {
  jest.restoreAllMocks();
});

const show = async (proposal: object | null, plan = PLAN) => {
  const server = wire(
    { '/api/season-plan?weeks=12': plan, '/api/season-plan/proposal': { proposal } },
    () => PROPOSAL,
  );
  showTo('crewLead', <PlanPage />);
  await screen.findByText(/visits from today on, published/);
  return server;
};

describe('on a device that is touched', () => {
  it('the server plans, under the locks that the cards have', async () => {
    isTouched(true);
    const { sent } = await show(null);
    await press('Propose again');
    expect(await screen.findByText(/1 new, 2 taken back/)).toHaveTextContent(
      'No plan is more than 2.0 % better',
    );
    const wall = within(screen.getByRole('table'));
    expect(wall.getByRole('button', { name: 'M-07, Tue 18 May: 33 min 1 line' })).toBeVisible();
    expect(planners.asked).toEqual([]);
    expect(sent.map(({ path }) => path)).toEqual(['/api/season-plan/propose']);
    expect(sent[0]?.body).toMatchObject({ cards: [{ isLocked: false }, { isLocked: true }] });
  });

  it('says why it could not, and what is published stands', async () => {
    isTouched(true);
    const { refuse } = await show(null);
    refuse({ title: 'Busy planning', detail: 'Other plans are being made.', status: 503 });
    await press('Propose again');
    expect(await screen.findByText(/Other plans are being made\. What is published stands/)).toBeVisible();
  });
});

it('on any other a worker of the page plans', async () => {
  isTouched(false);
  const { sent } = await show(null);
  await press('Propose again');
  expect(planners.asked).toHaveLength(1);
  expect(sent).toEqual([]);
});

describe('what the server proposed for the week', () => {
  it('is told with what it changes, and looked at as a draft', async () => {
    await show(PROPOSAL);
    const proposed = await screen.findByRole('region', { name: 'Proposed for this week' });
    expect(proposed).toHaveTextContent('1 new, 2 taken back.');
    await press('Look at it');
    expect(await screen.findByText(/1 visit, 1 new, 2 taken back/)).toHaveTextContent('Not published:');
    expect(screen.queryByRole('region', { name: 'Proposed for this week' })).toBeNull();
  });

  it('is not told where it changes nothing', async () => {
    const cards = PLAN.cards.map(({ machineId, on, itemIds, isLocked }) => ({
      machineId,
      on,
      itemIds,
      isLocked,
    }));
    await show({ ...PROPOSAL, cards });
    expect(screen.queryByRole('region', { name: 'Proposed for this week' })).toBeNull();
  });
});
