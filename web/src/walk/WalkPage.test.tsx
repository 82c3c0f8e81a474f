import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { WalkDto } from '@yugator/contracts';
import { Route, Routes } from 'react-router';
import { dueLine, hoursLimit } from '../testing/fixtures.js';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import type { Wire } from '../testing/wire.js';
import { WalkPage } from './WalkPage.js';

const VALVE = '00000000-0000-7000-8000-0000000000c1';
const WALK: WalkDto = {
  machine: { id: 'm', tag: 'T-02', name: 'Loader tractor' },
  machineClass: 'compactTractor',
  lastShown: 412.6,
  expectedShown: 415.1,
  fluids: [
    {
      component: 'engineOil',
      grades: [{ grade: '15W-40', category: 'API CK-4', fromCelsius: null, toCelsius: null }],
    },
  ],
  lines: [
    dueLine({
      itemId: VALVE,
      itemName: 'Dust valve: squeeze',
      components: ['dustValve'],
      state: 'overdue',
      limits: [hoursLimit({ left: -2 })],
    }),
  ],
};

let server: Wire;
beforeEach(() => {
  server = wire({ '/api/machines/m/walk': WALK, '/api/machines/m/defects': [], '/api/articles': [] }, () => ({
    jobId: 'j',
    defects: [],
  }));
});

async function show(role: 'operator' | 'viewer' = 'operator') {
  showTo(
    role,
    <Routes>
      <Route path="/fleet/:machineId/walk" element={<WalkPage />} />
      <Route path="/" element={<p>Today it is</p>} />
    </Routes>,
    {},
    '/fleet/m/walk',
  );
  await screen.findByRole('heading', { level: 1 });
}

describe('a walk round a machine', () => {
  it('that finds all well is the figure and one press', async () => {
    await show();
    expect(screen.getByText('Last read: 412.6 h; about 415.1 h expected now')).toBeVisible();
    // The field has the focus: the figure is typed at once.
    await userEvent.keyboard('415,2');
    await press('All well');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]).toEqual({
      method: 'POST',
      path: '/api/machines/m/walk',
      body: { shown: 415.2, itemIds: [VALVE], notWell: [], putRight: [], toppedUp: [] },
    });
    expect(await screen.findByText('Today it is')).toBeVisible();
  });

  it('says what is not well at its line, with what may be seen there; the line is then not done', async () => {
    await show();
    await type('Hours on the meter', '415.2');
    await press('Not well: Dust valve: squeeze');
    expect(screen.getByLabelText('What is wrong: Dust valve: squeeze')).toHaveFocus();
    expect(screen.queryByText('Say in 3 to 300 letters what is wrong.')).toBeNull();
    await type('What is wrong: Dust valve: squeeze', 'Torn');
    await press('Not well: Tyres full and whole');
    expect(screen.getByText('Cut or cracked to the cords')).toBeVisible();
    await press('Well after all: Tyres full and whole');
    await press('Keep it, 1 not well');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toEqual({
      shown: 415.2,
      itemIds: [],
      notWell: [{ itemId: VALVE, words: 'Torn', severity: 'soon' }],
      putRight: [],
      toppedUp: [],
    });
  });

  it('is not kept without its figure, nor with something wrong of which nothing is said', async () => {
    await show();
    await press('Not well: No drips beneath');
    await press('Keep it, 1 not well');
    expect(await screen.findByText('Say in 3 to 300 letters what is wrong.')).toBeVisible();
    expect(screen.getByLabelText('Hours on the meter')).toBeInvalid();
    expect(server.sent).toEqual([]);
  });

  it('ends as topped up or put right on the spot too, and the line is done then', async () => {
    await show();
    await type('Hours on the meter', '415.2');
    await press('Not well: Engine oil between its marks, brown and clear');
    await type(/How much/, '0.5 qt');
    await press('Not well: Dust valve: squeeze');
    await press('Put right', within(screen.getByRole('group', { name: /Dust valve/ })));
    await type('What was done: Dust valve: squeeze', 'Cleaned out');
    await press('Keep it, 2 not well');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toEqual({
      shown: 415.2,
      itemIds: [VALVE],
      notWell: [],
      putRight: [{ itemId: VALVE, words: 'Cleaned out' }],
      toppedUp: [{ component: 'engineOil', grade: '15W-40', litres: 0.473 }],
    });
  });

  it('says at the top-up what the server refuses of it', async () => {
    await show();
    await type('Hours on the meter', '415.2');
    await press('Not well: Engine oil between its marks, brown and clear');
    await press('Keep it, 1 not well');
    expect(await screen.findByText(/Give how much was filled up/)).toBeVisible();
    await type(/How much/, '0.3');
    server.refuse({
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'The card names 15W-40.',
      errors: [{ pointer: '#/toppedUp/0/grade', code: 'notOfCard', detail: 'The card names 15W-40.' }],
    });
    await press('Keep it, 1 not well');
    expect(await screen.findByText('The card names 15W-40.')).toBeVisible();
  });

  it('that the server refuses says so at the figure, and keeps what was typed', async () => {
    await show();
    server.refuse({
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/shown', code: 'backwards', detail: 'Less than the 412.6 h read before.' }],
    });
    await type('Hours on the meter', '41.5');
    await press('All well');
    expect(await screen.findByText('Less than the 412.6 h read before.')).toBeVisible();
    expect(screen.getByLabelText('Hours on the meter')).toHaveValue('41.5');
  });

  it('says so where a line is no longer its work', async () => {
    await show();
    const gone = 'This is no everyday work of the machine (any more).';
    server.refuse({
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: gone,
      errors: [{ pointer: '#/itemIds/0', code: 'unknown', detail: gone }],
    });
    await type('Hours on the meter', '415.2');
    await press('All well');
    expect(await screen.findByText(gone)).toBeVisible();
  });

  it('is only looked at by a viewer', async () => {
    await show('viewer');
    expect(screen.queryByLabelText('Hours on the meter')).toBeNull();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
