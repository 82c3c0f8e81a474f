import { screen, within } from '@testing-library/react';
import type { MachineDetailDto, PartsUsedDto } from '@yugator/contracts';
import { choose } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { PartsUsed } from './PartsUsed.js';

const MACHINE = { id: 'm', tag: 'M-07' } as MachineDetailDto;
const USED: PartsUsedDto = {
  until: '2028-05-11',
  takes: [
    {
      articleId: 'o',
      name: 'Oil 10W-30',
      unit: 'litre',
      number: 'O-01',
      place: 'Oil bench',
      quantity: 3.8,
      times: 2,
      costMinor: 2432,
    },
    {
      articleId: 'f',
      name: 'Oil filter',
      unit: 'piece',
      number: '',
      place: '',
      quantity: 2,
      times: 2,
      costMinor: 1580,
    },
  ],
  years: [
    {
      season: null,
      isBefore: false,
      year: 2027,
      hours: 82.5,
      costMinor: 3300,
      lines: [
        {
          articleId: 'k',
          name: 'Yearly kit',
          kind: 'kit',
          unit: 'piece',
          drawn: 1,
          left: 0,
          costMinor: 3984,
        },
        {
          articleId: 'p',
          name: 'Spark plug',
          kind: 'part',
          unit: 'piece',
          drawn: 0,
          left: 2,
          costMinor: -684,
        },
      ],
    },
    { season: null, isBefore: false, year: 2026, hours: 0, costMinor: 500, lines: [] },
  ],
  seasons: [
    { season: 'Mowing', isBefore: false, year: 2027, hours: 80, costMinor: 800, lines: [] },
    { season: 'Mowing', isBefore: true, year: 2027, hours: 2.5, costMinor: 2500, lines: [] },
  ],
};

test('what a machine takes in a year is a list with places and prices to pin up', async () => {
  wire({ '/api/machines/m/parts-used': USED });
  showTo('operator', <PartsUsed machine={MACHINE} />);
  const list = within(await screen.findByRole('region', { name: 'Takes in a year' }));
  expect(list.getByRole('heading', { name: 'M-07 takes in the coming twelve months' })).toBeVisible();
  const rows = list.getAllByRole('row').map((row) => row.textContent.replaceAll('\u00a0', ' '));
  expect(rows.slice(1)).toEqual([
    'Oil 10W-30 O-013.8 L2Oil bench£24.32',
    'Oil filter22–£15.80',
    'All of it, at today’s prices£40.12',
  ]);
});

test('what it used is told by year and kind, with what an engine hour cost and what kits left', async () => {
  wire({ '/api/machines/m/parts-used': USED });
  showTo('viewer', <PartsUsed machine={MACHINE} />);
  const year = within(await screen.findByRole('region', { name: '2027' }));
  expect(year.getByRole('heading')).toHaveTextContent('2027: £33.00 in 82.5 h, £0.40 an engine hour');
  expect(year.getAllByRole('listitem').map((line) => line.textContent)).toEqual([
    'Yearly kit: 1, £39.84',
    'Spark plug: 2 left of kits, −£6.84',
  ]);
  // Where it hardly ran, an hour says nothing.
  expect(within(screen.getByRole('region', { name: '2026' })).getByRole('heading')).toHaveTextContent(
    /^2026: £5.00 in 0.0 h$/,
  );
});

test('a machine on which nothing was used yet says so', async () => {
  wire({ '/api/machines/m/parts-used': { ...USED, takes: [], years: [], seasons: [] } });
  showTo('mechanic', <PartsUsed machine={MACHINE} />);
  expect(await screen.findByText('No job drew anything yet.')).toBeVisible();
  expect(screen.getByText(/Say under What fits what it takes/)).toBeVisible();
});

test('what it used is told by its seasons, and what was made ready before them', async () => {
  wire({ '/api/machines/m/parts-used': USED });
  showTo('mechanic', <PartsUsed machine={MACHINE} />);
  await screen.findByRole('region', { name: '2027' });
  await choose('By', 'season');
  const heads = screen.getAllByRole('heading', { level: 3 }).map((head) => head.textContent);
  expect(heads).toEqual([
    'Mowing 2027: £8.00 in 80.0 h, £0.10 an engine hour',
    'Before Mowing 2027: £25.00 in 2.5 h, £10.00 an engine hour',
  ]);
});
