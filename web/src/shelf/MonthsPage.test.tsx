import { screen, waitFor, within } from '@testing-library/react';
import { article } from '../testing/articles.js';
import { press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { MonthsPage } from './MonthsPage.js';

const STILL = { cameIn: 0, used: 0, counted: 0, scrapped: 0, lent: 0, priced: 0 };
const MONTHS = [
  { ...STILL, month: '2027-04', opening: 0, cameIn: 20_000, closing: 20_000 },
  { ...STILL, month: '2027-05', opening: 20_000, used: -5780, scrapped: -100, closing: 14_120 },
];
const OIL = article({
  id: 'o',
  name: 'Engine oil',
  kind: 'fluid',
  unit: 'litre',
  onHand: 18.1,
  lots: [{ left: 18.1, leftMinor: 11_584, container: 5 }],
});
const line = (page: number) => ({
  article: '=Oil',
  number: 'O-01',
  unit: 'litre',
  at: `2027-05-0${page}T10:00:00Z`,
  quantity: -1.99,
  valueMinor: -1284,
  kind: 'drawn',
  by: 'Ansel',
  machineTag: 'M-07',
  shed: 'North shed',
  note: '',
  voided: page === 2,
});

const saved: string[] = [];
beforeEach(() => {
  saved.length = 0;
  URL.createObjectURL = (blob) => {
    const reader = new FileReader();
    reader.onload = () => saved.push(String(reader.result));
    reader.readAsText(blob as Blob);
    return 'blob:';
  };
  URL.revokeObjectURL = () => undefined;
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined);
});
afterEach(() => jest.restoreAllMocks());

test('the worth of the shelf, month by month and article by article, columns of nothing left out', async () => {
  wire({ '/api/ledger/months': MONTHS, '/api/articles': [article({}), OIL] });
  showTo('mechanic', <MonthsPage />);
  const months = within(await screen.findByRole('region', { name: 'Month by month' }));
  expect(months.getAllByRole('row').map((row) => row.textContent)).toEqual([
    'MonthAt its startCame inUsedThrown awayAt its end',
    'May 2027£200.00–−£57.80−£1.00£141.20',
    'April 2027–£200.00––£200.00',
  ]);
  expect(screen.getByRole('heading', { name: 'What lies there now: £202.54' })).toBeVisible();
  expect(screen.getByText(/3 full of 5.L, 3.1.L in an open one/)).toBeVisible();
});

test('both go out as CSV, all pages of the ledger, and no cell is a formula', async () => {
  wire({
    '/api/ledger/months': MONTHS,
    '/api/articles': [OIL],
    '/api/ledger?page=1': { lines: [line(1)], total: 2 },
    '/api/ledger?page=2': { lines: [line(2)], total: 2 },
  });
  showTo('crewLead', <MonthsPage />);
  await screen.findByRole('region', { name: 'Month by month' });
  await press('Months as CSV');
  await press('Movements as CSV');
  await waitFor(() => expect(saved).toHaveLength(2));
  expect(saved[0]?.split('\r\n')[2]).toBe('2027-05,200,0,-57.8,0,-1,0,0,141.2');
  expect(saved[1]?.split('\r\n').slice(1)).toEqual([
    `2027-05-01T10:00:00Z,'=Oil,O-01,-1.99,litre,-12.84,used on M-07,Ansel,M-07,North shed,,`,
    `2027-05-02T10:00:00Z,'=Oil,O-01,-1.99,litre,-12.84,used on M-07,Ansel,M-07,North shed,,void`,
  ]);
});

test('a shelf on which nothing ever lay says so', async () => {
  wire({ '/api/ledger/months': [], '/api/articles': [] });
  showTo('mechanic', <MonthsPage />);
  expect(await screen.findByText('Nothing has moved yet.')).toBeVisible();
});
