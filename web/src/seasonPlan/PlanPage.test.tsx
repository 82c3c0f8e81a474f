import { screen, waitFor, within } from '@testing-library/react';
import { act } from 'react';
import userEvent from '@testing-library/user-event';
import type { SeasonPlanDto } from '@yugator/contracts';
import type { FoundPlan, PlannerInstance } from '@yugator/core';
import { planFixture } from '../testing/plan.js';
import { choose, press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { pageWorkers } from '../testing/workers.js';
import type { PlanSaid } from './planWorker.js';
import { PlanPage } from './PlanPage.js';

const planners = pageWorkers<PlannerInstance, PlanSaid>();

const PLAN = planFixture();
const FOUND: FoundPlan = {
  plan: [
    [
      { day: 1, items: [0, 1] },
      { day: 8, items: [1] },
    ],
    [{ day: 4, items: [0] }],
  ],
  cost: 500,
  bound: 490,
};

function show(role: 'crewLead' | 'mechanic' | 'viewer', plan = PLAN) {
  const server = wire({ '/api/season-plan?weeks=12': plan }, () => ({ ...plan, id: 'j' }));
  showTo(role, <PlanPage />);
  return server;
}
const wall = () => within(screen.getByRole('table'));

describe('the plan of visits', () => {
  it('shows who comes when, for how long, and how full the workshop is', async () => {
    show('mechanic');
    await screen.findByText(/2 visits from today on, published/);
    expect(wall().getByRole('button', { name: 'M-07, Tue 11 May: 43 min 2 lines' })).toBeVisible();
    expect(wall().getByRole('button', { name: 'T-02, Fri 14 May: 24 min 1 line, locked' })).toBeVisible();
    expect(wall().getByRole('columnheader', { name: /^Tue 11 May 43 of 120 min 1 of 2 in/ })).toBeVisible();
    expect(wall().getByRole('columnheader', { name: 'Wed 12 May closed' })).toBeVisible();
    expect(wall().getByText('2 due')).toBeVisible();
    expect(screen.queryByRole('button', { name: /Propose/ })).toBeNull();
  });

  it('is proposed in a worker, with how far it is, and published as it was proposed', async () => {
    const { sent } = show('crewLead');
    await screen.findByText(/published/);
    await press('Propose again');
    // What is locked is settled for the planner.
    expect(planners.asked.at(-1)?.machines.map(({ locked }) => locked)).toEqual([
      [],
      [{ day: 4, items: [0] }],
    ]);
    act(() => planners.say({ kind: 'better', found: { ...FOUND, bound: -Infinity } }));
    expect(screen.getByRole('status', { name: 'Planning' })).toHaveTextContent(
      '3 visits so far; nobody knows yet how near it is to the best.',
    );
    act(() => planners.say({ kind: 'done', found: FOUND }));
    expect(screen.getByText(/3 visits, 2 kept, 1 new/)).toHaveTextContent(
      'No plan is more than 2.0 % better.',
    );
    await press('Publish');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      method: 'PUT',
      path: '/api/season-plan',
      body: {
        version: 3,
        cards: [
          { machineId: 'm1', on: '2027-05-11', itemIds: ['oil', 'air'], isLocked: false },
          { machineId: 'm1', on: '2027-05-18', itemIds: ['air'], isLocked: false },
          { machineId: 'm2', on: '2027-05-14', itemIds: ['belt'], isLocked: true },
        ],
      },
    });
  });

  it('takes the best so far when it is stopped, and stays as it is when it fails', async () => {
    show('crewLead');
    await screen.findByText(/published/);
    await press('Propose again');
    act(() => planners.say({ kind: 'better', found: FOUND }));
    await press('Stop, and take the best so far');
    expect(planners.ended).toBe(1);
    expect(screen.getByText(/Not published/)).toBeVisible();
    await press('Put it away');
    expect(screen.getByText(/2 visits from today on/)).toBeVisible();
    await press('Propose again');
    act(() => planners.say({ kind: 'failed' }));
    expect(screen.getByText(/came to no end/)).toBeVisible();
  });

  it('says of a card why it is there, what another day costs, and moves, locks or takes it off', async () => {
    show('crewLead');
    await screen.findByText(/published/);
    await press('M-07, Tue 11 May: 43 min 2 lines', wall());
    const dialog = within(await screen.findByRole('dialog'));
    expect(dialog.getByText(/of it 9 to fetch/)).toBeVisible();
    expect(dialog.getByText('Engine oil and filter', { exact: false })).toHaveTextContent(
      '20 min, due tomorrow',
    );
    await choose('On', /^Fri 14/, dialog);
    expect(dialog.getByText(/It (costs|saves) .*min/)).toBeVisible();
    await press('Move it', dialog);
    expect(await screen.findByText(/2 visits, 1 kept, 1 new, 1 taken back/)).toBeVisible();
    await press('M-07, Fri 14 May: 43 min 2 lines', wall());
    await press('Lock on this day', within(await screen.findByRole('dialog')));
    await press('M-07, Fri 14 May: 43 min 2 lines, locked', wall());
    await press('Take it off', within(await screen.findByRole('dialog')));
    await waitFor(() => expect(wall().queryByRole('button', { name: /^M-07, / })).toBeNull());
  });

  it('takes back step by step what was moved by hand', async () => {
    show('crewLead');
    await screen.findByText(/published/);
    await press('M-07, Tue 11 May: 43 min 2 lines', wall());
    await choose('On', /^Fri 14/, within(await screen.findByRole('dialog')));
    await press('Move it', within(screen.getByRole('dialog')));
    expect(await screen.findByText(/M-07 on Tue 11 May moved to Fri 14 May\./)).toBeVisible();
    await press('M-07, Fri 14 May: 43 min 2 lines', wall());
    await press('Lock on this day', within(await screen.findByRole('dialog')));
    expect(await screen.findByText(/M-07 on Fri 14 May locked\./)).toBeVisible();
    await press('Undo');
    expect(wall().getByRole('button', { name: 'M-07, Fri 14 May: 43 min 2 lines' })).toBeVisible();
    await press('Undo');
    expect(screen.getByText(/2 visits from today on, published/)).toBeVisible();
  });

  it('says machine by machine what a proposal changes, and leaves out what is not wanted', async () => {
    const { sent } = show('crewLead');
    await screen.findByText(/published/);
    await press('Propose again');
    act(() => planners.say({ kind: 'done', found: FOUND }));
    await userEvent.click(screen.getByText(/What it changes, machine by machine/));
    expect(screen.getByText(/Tue 18 May new: Air filter: clean/)).toBeVisible();
    const take = screen.getByRole('checkbox', { name: 'Take over what changes for M-07' });
    expect(take).toBeChecked();
    await userEvent.click(take);
    expect(screen.getByText(/M-07 left as it was published\./)).toBeVisible();
    await userEvent.click(take);
    expect(screen.getByText(/3 visits, 2 kept, 1 new/)).toBeVisible();
    await userEvent.click(take);
    await press('Publish');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ cards: [{ on: '2027-05-14' }, { on: '2027-05-11' }] });
  });

  it('says what became of the cards of the last fortnight', async () => {
    const [first, second] = PLAN.cards;
    if (!first || !second) throw new Error('There are two cards.');
    const past = [
      { ...first, on: '2027-05-04', state: 'missed' as const },
      { ...second, on: '2027-05-07', state: 'done' as const },
    ];
    show('mechanic', { ...PLAN, cards: [...past, ...PLAN.cards] });
    expect(await screen.findByText('Of the last fortnight: 1 visit missed, 1 done')).toBeVisible();
    expect(screen.getByText('missed').closest('li')).toHaveTextContent(
      'M-07Tue 4 MaymissedEngine oil and filter, Air filter: clean',
    );
    expect(wall().getAllByRole('button')).toHaveLength(2);
  });

  it('shows parts that arrive and days on which a machine is needed', async () => {
    const [mower, tractor] = PLAN.instance.machines;
    const [told, other] = PLAN.machines;
    const [oil, air] = told?.items ?? [];
    if (!mower || !tractor || !told || !other || !oil || !air) throw new Error('There is work.');
    const items = mower.items.map((item, at) => (at ? item : { ...item, notBefore: 4 }));
    const machines = [{ ...mower, items, blocked: [2] }, tractor];
    show('mechanic', {
      ...PLAN,
      instance: { ...PLAN.instance, machines },
      machines: [{ ...told, items: [{ ...oil, waitsFor: ['Oil filter'] }, air] }, other],
    });
    await screen.findByText(/published/);
    const cells = wall().getByRole('row', { name: /M-07/ }).querySelectorAll('td');
    expect([cells[2]?.textContent, cells[4]?.textContent]).toEqual([
      'needed',
      expect.stringContaining('parts in: Oil filter'),
    ]);
  });

  it('hides machines with nothing in the days that are seen, until they are asked for', async () => {
    const [, second] = PLAN.cards;
    const machines = PLAN.machines.map((machine) => ({
      ...machine,
      items: machine.items.map((item) => ({ ...item, expectedOn: '2027-07-01' })),
    }));
    show('mechanic', { ...PLAN, machines, cards: second ? [second] : [] });
    await screen.findByText(/published/);
    expect(wall().getAllByRole('row')).toHaveLength(2);
    await press('1 machine with nothing in these days: show them');
    expect(wall().getAllByRole('row')).toHaveLength(3);
  });

  it('keeps a proposal on the plan that it was made from, whatever is read anew', async () => {
    const answers: Record<string, SeasonPlanDto> = { '/api/season-plan?weeks=12': PLAN };
    const { sent } = wire(answers, () => PLAN);
    showTo('crewLead', <PlanPage />);
    await screen.findByText(/published/);
    await press('Propose again');
    act(() => planners.say({ kind: 'done', found: FOUND }));
    // After a reading the filter is worse than the oil: places change.
    const [first, second] = PLAN.machines;
    if (!first || !second) throw new Error('There are two machines.');
    const turned = { ...first, items: first.items.toReversed() };
    answers['/api/season-plan?weeks=12'] = { ...PLAN, machines: [turned, second], version: 4 };
    // Coming back to the page reads anew.
    act(() => void window.dispatchEvent(new Event('visibilitychange')));
    expect(await screen.findByText(/Somebody published another plan/)).toBeVisible();
    await press('Publish');
    await waitFor(() => expect(sent).toHaveLength(1));
    // As it was made, and refused by the server, which has another version by now.
    expect(sent[0]?.body).toMatchObject({
      version: 3,
      cards: [{ itemIds: ['oil', 'air'] }, { itemIds: ['air'] }, {}],
    });
  });

  it('says what another day costs of a card that is locked, whose lock goes with it', async () => {
    show('crewLead');
    await screen.findByText(/published/);
    await press('T-02, Fri 14 May: 24 min 1 line, locked', wall());
    const dialog = within(await screen.findByRole('dialog'));
    expect(dialog.queryByText(/left out/)).toBeNull();
    await choose('On', /^Tue 18/, dialog);
    expect(dialog.getByText(/It (costs|saves) .*min|It costs the same/)).toBeVisible();
    await press('Move it', dialog);
    expect(
      await wall().findByRole('button', { name: 'T-02, Tue 18 May: 24 min 1 line, locked' }),
    ).toBeVisible();
  });

  it('opens the job that a card says', async () => {
    const { sent } = show('mechanic');
    await screen.findByText(/published/);
    await press('M-07, Tue 11 May: 43 min 2 lines', wall());
    await press('Open the job', within(await screen.findByRole('dialog')));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ path: '/api/jobs', body: { machineId: 'm1', itemIds: ['oil', 'air'] } });
  });

  it('has open defects as work of a visit, which a job has by itself', async () => {
    const [first, second] = PLAN.machines;
    const [card, other] = PLAN.cards;
    if (!first || !second || !card || !other) throw new Error('The plan has two machines with a card each.');
    const [oil, air] = first.items;
    if (!oil || !air) throw new Error('The first machine has two lines.');
    const mend = { ...air, name: 'Mend: Deck belt is frayed', severity: 'soon' as const };
    const machines = [{ ...first, items: [oil, mend] }, second];
    const { sent } = show('mechanic', { ...PLAN, machines });
    await screen.findByText(/published/);
    await press('M-07, Tue 11 May: 43 min 1 line, 1 defect', wall());
    const dialog = within(await screen.findByRole('dialog'));
    expect(dialog.getByText('Mend: Deck belt is frayed')).toHaveTextContent(/10 min, by tomorrow/);
    await press('Open the job', dialog);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ path: '/api/jobs', body: { machineId: 'm1', itemIds: ['oil'] } });
  });

  it('is seen week by week too', async () => {
    show('mechanic');
    await screen.findByText(/published/);
    await press('Later');
    expect(wall().getByRole('columnheader', { name: /^Mon 24/ })).toBeVisible();
    await choose('Shown', 'twelve weeks');
    expect(wall().getAllByRole('columnheader')).toHaveLength(13);
  });

  it('asks first when the workshop is open, and is not for everybody', async () => {
    const closed = { ...PLAN, instance: { ...PLAN.instance, days: [] } };
    show('crewLead', closed);
    expect(await screen.findByText('Nobody said yet when the workshop is open.')).toBeVisible();
    show('viewer');
    expect(await screen.findByText('Mechanics and the crew lead see the plan.')).toBeVisible();
  });

  it('begins with what was taken over, as a draft that can be put away', async () => {
    const { sent } = wire({ '/api/season-plan?weeks=12': PLAN });
    const taken = { machineId: 'm1', on: '2027-05-18', itemIds: ['air', 'gone'], isLocked: false };
    const state = { brought: { cards: [taken], words: 'dust' } };
    showTo('crewLead', <PlanPage />, {}, { pathname: '/season/plan', state });
    expect(await screen.findByText(/As supposed: dust\./)).toHaveTextContent('Not published: 1 visit');
    expect(wall().getByRole('button', { name: 'M-07, Tue 18 May: 23 min 1 line' })).toBeVisible();
    await press('Put it away');
    expect(await screen.findByText(/2 visits from today on, published/)).toBeVisible();
    expect(sent).toEqual([]);
  });
});
