import { screen, within } from '@testing-library/react';
import type { LoadAheadDto } from '@yugator/contracts';
import { showTo, wire } from '../testing/wire.js';
import { hoursOfMinutes, LoadPage } from './LoadPage.js';

const MOWER = { id: 'm1', tag: 'M-07', name: 'Lakeside zero-turn' };
const LOAD: LoadAheadDto = {
  weeks: [
    { from: '2027-05-13', minutes: 480, low: 100.4, expected: 200.4, high: 310 },
    { from: '2027-05-20', minutes: 480, low: 0, expected: 900, high: 1000 },
  ],
  machines: [],
  shortages: [
    { from: '2027-05-20', until: '2027-05-26', minutes: 840, beginOn: '2027-05-13', machines: [MOWER] },
  ],
};
const show = (load: LoadAheadDto, role: 'crewLead' | 'operator' = 'crewLead') => {
  wire({ '/api/season-plan/load': load });
  showTo(role, <LoadPage />);
};

it('says where the workshop is short, when to begin, and which machines to send out', async () => {
  show(LOAD);
  expect(await screen.findByText(/From 20 May to 26 May you are 14.h short/)).toBeVisible();
  expect(screen.getByText(/Begin on 13 May, and there is time enough/)).toHaveTextContent(
    'Or have 1 machine done elsewhere: M-07',
  );
  const rows = screen.getAllByRole('row', { hidden: true });
  expect(
    within(rows[1] as HTMLElement)
      .getAllByRole('cell', { hidden: true })
      .map((cell) => cell.textContent),
  ).toEqual(['200', '100 to 310', '480']);
});

it('says that there is never time enough, or always', async () => {
  const [short] = LOAD.shortages;
  if (!short) throw new Error('It is short.');
  show({ ...LOAD, shortages: [{ ...short, beginOn: null, machines: [] }] });
  expect(await screen.findByText('Even if you begin today there is not time enough.')).toBeVisible();
  show({ ...LOAD, shortages: [] });
  expect(await screen.findByText(/In no week is more asked/)).toBeVisible();
});

it('asks first when the workshop is open, and is not for everybody', async () => {
  show({ weeks: LOAD.weeks.map((week) => ({ ...week, minutes: 0 })), machines: [], shortages: [] });
  expect(await screen.findByText(/Nobody said yet when the workshop is open/)).toBeVisible();
  show(LOAD, 'operator');
  expect(await screen.findByText('Mechanics and the crew lead see the load.')).toBeVisible();
});

it.each([
  [30, '0.5\u00a0h'],
  [90, '1.5\u00a0h'],
  [600, '10\u00a0h'],
  [845, '14\u00a0h'],
])('says %i minutes as %s', (minutes, words) => {
  expect(hoursOfMinutes(minutes)).toBe(words);
});
