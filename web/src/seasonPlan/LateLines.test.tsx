import { screen } from '@testing-library/react';
import { planFixture } from '../testing/plan.js';
import { showTo, wire } from '../testing/wire.js';
import { publishedCards } from './cards.js';
import { LateLines } from './LateLines.js';

const PLAN = planFixture();
const machine = { id: 'm1', tag: 'M-07', name: 'Lakeside zero-turn' };
const LATE = [
  { machine, on: '2027-05-25', line: 'Engine oil and filter', hours: 4.25, days: 0 },
  { machine, on: '2027-05-28', line: 'Air filter: clean', hours: 0, days: 1 },
];

function open(late: object[]) {
  const server = wire({}, () => ({ late }));
  showTo('mechanic', <LateLines plan={PLAN} cards={publishedCards(PLAN)} />);
  const details = screen.getByText(/What will be late/).closest('details');
  if (!details) throw new Error('It can be unfolded.');
  details.open = true;
  return server;
}

it('is asked of the server once it is unfolded, for the cards that are seen', async () => {
  const { sent } = open(LATE);
  expect(await screen.findByText(/Engine oil and filter/)).toHaveTextContent('4.3 h past its limit');
  expect(screen.getByText(/Air filter: clean/)).toHaveTextContent('1 day past its limit');
  expect(screen.getByText(/2 lines, if the machines run as is expected/)).toBeVisible();
  expect(sent).toMatchObject([
    { path: '/api/season-plan/judge', body: { cards: [{ on: '2027-05-11' }, {}] } },
  ]);
});

it('says that nothing will be', async () => {
  open([]);
  expect(await screen.findByText('Nothing, if the machines run as is expected.')).toBeVisible();
});
