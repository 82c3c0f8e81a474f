import { screen, waitFor, within } from '@testing-library/react';
import { article } from '../testing/articles.js';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import type { Wire } from '../testing/wire.js';
import { CountPage } from './CountPage.js';

const id = (last: number) => `00000000-0000-7000-8000-00000000000${last}`;
const FILTER = article({
  id: id(1),
  name: 'Oil filter',
  kind: 'part',
  number: 'F-01',
  place: 'Rack A',
  priceMinor: 790,
  onHand: 5,
});
const PLUG = article({
  id: id(2),
  name: 'Spark plug',
  kind: 'part',
  number: 'S-01',
  place: 'Rack A',
  onHand: 6,
});
const OIL = article({
  id: id(3),
  name: 'Oil',
  kind: 'fluid',
  unit: 'litre',
  number: 'O-01',
  place: 'Oil bench',
  priceMinor: 640,
  onHand: 7.5,
});
const GONE = article({ id: id(4), name: 'Old filter', isRetired: true, onHand: 0 });

let answers: Record<string, unknown>;
let server: Wire;
async function show(role: 'mechanic' | 'viewer' = 'mechanic') {
  answers = { '/api/articles': [FILTER, PLUG, OIL, GONE] };
  server = wire(answers, () => ({ counted: 2, differing: 1, missingMinor: 1580, besidesMinor: 0 }));
  showTo(role, <CountPage />);
  await screen.findByRole('heading', { name: 'Count the shelf' });
}
const line = (name: string) => within(screen.getByRole('group', { name }));

describe('the count of the shelf', () => {
  it('counts a piece with each scan, asks how much there is of a fluid, and books all of it at once', async () => {
    await show();
    for (const code of ['F-01', 'f01', 'F 01']) await type('Scan, or look for', `${code}{Enter}`);
    expect(line('Oil filter').getByLabelText<HTMLInputElement>('Counted of Oil filter').value).toBe('3');
    // Two of £7.90 fewer than the five that are booked.
    expect(line('Oil filter').getByText('2 fewer than booked, £15.80')).toBeDefined();
    await type('Scan, or look for', 'O-01{Enter}');
    expect(line('Oil').queryByText(/booked/)).toBeNull();
    await press('Book the count');
    expect(await screen.findByText('Type how much there is, as a number from 0.')).toBeDefined();
    expect(server.sent).toEqual([]);
    await type('Counted of Oil', '7.5{Enter}');
    // A count is not booked by Enter: the next code may be scanned.
    expect(screen.getByLabelText('Scan, or look for')).toHaveFocus();
    expect(server.sent).toEqual([]);
    expect(line('Oil').getByText('as booked')).toBeDefined();
    expect(
      screen.getByText(/2 articles counted; missing £15.80, there besides the book £0.00/),
    ).toBeDefined();
    await press('Book the count');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]).toEqual({
      method: 'POST',
      path: '/api/counts',
      body: {
        note: '',
        lines: [
          { articleId: FILTER.id, counted: 3, booked: 5 },
          { articleId: OIL.id, counted: 7.5, booked: 7.5 },
        ],
      },
    });
    expect(await screen.findByText('2 articles counted, 1 put right, £15.80 missing.')).toBeDefined();
  });

  it('goes through a place line by line, with nothing filled in beforehand', async () => {
    await show();
    await choose('All of a place', 'Rack A');
    expect(screen.getByLabelText<HTMLInputElement>('Counted of Oil filter').value).toBe('');
    await type('Counted of Spark plug', '6');
    await press('Take out Oil filter');
    await choose('All of a place', 'Rack A');
    // What stood there already stays as it was typed.
    expect(screen.getByLabelText<HTMLInputElement>('Counted of Spark plug').value).toBe('6');
    expect(screen.getByRole('group', { name: 'Oil filter' })).toBeDefined();
  });

  it('says at its line what moved meanwhile, and holds it against the book of now when it is counted again', async () => {
    await show();
    await type('Scan, or look for', 'F-01{Enter}');
    const detail = 'Oil filter moved since it was counted: the book now says 6. Count it again.';
    server.refuse({ status: 422, detail, errors: [{ pointer: '#/lines/0/counted', code: 'moved', detail }] });
    answers['/api/articles'] = [{ ...FILTER, onHand: 6 }, PLUG, OIL];
    await press('Book the count');
    expect(await screen.findByText(detail)).toBeDefined();
    server.refuse(null);
    await screen.findByText('5 fewer than booked, £39.50');
    await press('Book the count');
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent[1]?.body).toMatchObject({ lines: [{ counted: 1, booked: 6 }] });
  });

  it('is not offered to who only looks', async () => {
    await show('viewer');
    expect(screen.queryByLabelText('Scan, or look for')).toBeNull();
  });
});
