import { screen, waitFor } from '@testing-library/react';
import type { ConsumptionDto, Role, TopUpsDto } from '@yugator/contracts';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { Consumption, Thirsty } from './Consumption.js';
import { TopUp } from './TopUp.js';

const OIL_OF_SHELF = '00000000-0000-7000-8000-0000000000f1';
const DRINKS: ConsumptionDto = {
  component: 'engineOil',
  latest: 2.5,
  usual: 0.4,
  allowed: null,
  thirst: 'moreThanUsual',
  spans: [{ life: 410, hours: 20, litres: 0.5 }],
};
const TOP_UPS: TopUpsDto = {
  machine: { id: 'm', tag: 'T-02', name: 'Loader tractor' },
  lastShown: 412.6,
  fluids: [
    {
      component: 'engineOil',
      grades: [
        { grade: '15W-40', category: 'API CK-4', fromCelsius: null, toCelsius: null },
        { grade: '5W-40', category: '', fromCelsius: null, toCelsius: null },
      ],
    },
    { component: 'coolant', grades: [] },
  ],
  topUps: [
    {
      jobId: 'j',
      component: 'engineOil',
      on: '2027-05-12',
      life: 410,
      litres: 0.5,
      grade: '15W-40',
      reason: '',
      by: 'Dru',
    },
  ],
  consumption: [DRINKS],
};
const ARTICLES = [
  { id: OIL_OF_SHELF, name: 'Oil 15W-40', kind: 'fluid', unit: 'litre' },
  { id: 'k', name: 'Oil kit', kind: 'kit', unit: 'piece' },
];

function server() {
  return wire({ '/api/machines/m/top-ups': TOP_UPS, '/api/articles': ARTICLES }, () => ({ jobId: 'j' }));
}

async function open(role: Role): Promise<void> {
  showTo(role, <TopUp machineId="m" />);
  await press('Top up');
  await screen.findByLabelText(/How much/);
}

describe('a top-up', () => {
  it('is the amount in any unit: the fluid and its grade stand there as the card names them', async () => {
    const { sent } = server();
    await open('operator');
    await type(/How much/, '1 pt');
    await press('Keep');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/machines/m/top-ups',
      body: { component: 'engineOil', grade: '15W-40', litres: 0.473, shown: null },
    });
    expect(await screen.findByText('T-02: engine oil topped up.')).toBeVisible();
    expect(await screen.findByRole('button', { name: 'Undo' })).toBeVisible();
  });

  it('comes out of the shelf, with the figure, where somebody says so', async () => {
    const { sent } = server();
    await open('mechanic');
    await type(/How much/, '0.3');
    await choose('What was poured', '5W-40');
    await choose('Out of the shelf', 'Oil 15W-40');
    expect(screen.queryByRole('option', { name: 'Oil kit' })).toBeNull();
    await type('Hours on the meter, if you read them', '413');
    await press('Keep');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ grade: '5W-40', articleId: OIL_OF_SHELF, shown: 413 });
  });

  it('of another grade is the crew lead’s alone, with a reason; what has no grades takes any', async () => {
    const { sent } = server();
    await open('crewLead');
    await type(/How much/, '0.3');
    await choose('What was poured', 'Another than the card names');
    await type('Grade, as the bottle says', '10W-30');
    await type('Why another than the card names', 'Nothing else here');
    await press('Keep');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ grade: '10W-30', reason: 'Nothing else here' });
  });

  it('is not kept without an amount', async () => {
    const { sent } = server();
    await open('operator');
    await press('Keep');
    expect((await screen.findAllByText(/Give how much was filled up/)).length).toBeGreaterThan(0);
    await choose('Fluid', 'Coolant');
    expect(screen.getByLabelText('Grade, as the bottle says')).toHaveValue('');
    expect(sent).toEqual([]);
  });
});

describe('what a machine uses up', () => {
  it('is told with what it used to take, and warned of where it begins to drink', async () => {
    server();
    showTo('viewer', <Thirsty machineId="m" />);
    expect(await screen.findByText('It takes three times what it used to take, or more')).toBeVisible();
    expect(screen.getByText(/Engine oil: 2\.50? L in 100 h; before 0\.40? L in 100 h\./)).toBeVisible();
  });

  it('stands with each top-up and each stretch', async () => {
    server();
    showTo('viewer', <Consumption machineId="m" />);
    expect(await screen.findByRole('link', { name: '12 May' })).toHaveAttribute('href', '/jobs/j');
    expect(screen.getByText('From top-up to top-up')).toBeVisible();
  });
});
