import { screen, within } from '@testing-library/react';
import { emptySpecCard } from '@yugator/contracts';
import type { MachineDetailDto, Role, SpecCardDto } from '@yugator/contracts';
import { Route, Routes } from 'react-router';
import { dueLine, hoursLimit } from '../testing/fixtures.js';
import { machineDetail } from '../testing/machines.js';
import { showTo, wire } from '../testing/wire.js';
import { FieldPage } from './FieldPage.js';

const SPEC: SpecCardDto = {
  ...emptySpecCard(),
  fluids: [
    {
      component: 'engineOil',
      fluid: '',
      litresWithFilter: 2,
      litresWithoutFilter: null,
      grades: [{ grade: '10W-30', category: '', fromCelsius: null, toCelsius: null }],
    },
  ],
  tyres: [{ axle: 'front', low: 97, high: 97, sidewallMaximum: 140 }],
};

async function show(role: Role, over: Partial<MachineDetailDto> = {}) {
  const machine = machineDetail({
    spec: SPEC,
    lines: [
      dueLine({ itemName: 'Oil', state: 'overdue', limits: [hoursLimit({ left: -2 })] }),
      dueLine({ itemId: 'x', itemName: 'Later', state: 'fine' }),
    ],
    ...over,
  });
  wire({
    '/api/codes/T%2F02': { id: machine.id, tag: machine.tag, name: machine.name },
    [`/api/machines/${machine.id}`]: machine,
    [`/api/machines/${machine.id}/defects`]: [],
    [`/api/machines/${machine.id}/top-ups`]: { consumption: [] },
  });
  showTo(
    role,
    <Routes>
      <Route path="/m/:tag" element={<FieldPage />} />
    </Routes>,
    {},
    '/m/T%2F02',
  );
  await screen.findByRole('heading', { level: 1 });
  return machine;
}

describe('the page that the code on a machine opens', () => {
  it('offers an operator what they do there, and the figures of the card', async () => {
    const { id } = await show('operator');
    expect(screen.getByRole('link', { name: 'Walk round' })).toHaveAttribute('href', `/fleet/${id}/walk`);
    for (const act of ['Type hours', 'Top up', 'Report a defect'])
      expect(screen.getByRole('button', { name: act })).toBeVisible();
    expect(screen.queryByRole('link', { name: 'Open job' })).toBeNull();
    const due = within(screen.getByRole('region', { name: 'Due' }));
    expect(due.getByText(/^Oil: 2.0 h over 50 h/)).toBeVisible();
    expect(due.queryByText(/Later/)).toBeNull();
    const card = within(await screen.findByRole('region', { name: 'From its card' }));
    expect(card.getByText('2 L, 10W-30')).toBeVisible();
    expect(card.getByText('97 kPa, never above 140 kPa')).toBeVisible();
  });

  it('leads a mechanic on with the job that is open', async () => {
    await show('mechanic', { openJobId: 'j' });
    expect(screen.getByRole('link', { name: 'Go on with job' })).toHaveAttribute('href', '/jobs/j');
  });

  it('says of a machine that is out of service not to use it, and offers nothing on one that is retired', async () => {
    await show('operator', { status: 'outOfService' });
    expect(screen.getByText('Out of service: do not use it')).toBeVisible();
  });

  it('is only read by a viewer', async () => {
    await show('viewer');
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByRole('link', { name: 'Walk round' })).toBeNull();
  });
});
