import { fireEvent, screen, within } from '@testing-library/react';
import { article } from '../testing/articles.js';
import { press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { ShelfPage } from './ShelfPage.js';

const PLUG_ID = '00000000-0000-7000-8000-000000000011';
const FILTER_ID = '00000000-0000-7000-8000-000000000012';
const OIL = article({ id: 'o', name: 'Engine oil 10W-30', kind: 'fluid', unit: 'litre' });
const ANSWERS = { '/api/used-oil': { containers: [], entries: [] } };

describe('an article that was entered twice', () => {
  const TWIN = article({ id: PLUG_ID, name: 'Plug, old', kind: 'part', onHand: 2, version: 4 });
  const ONE = article({ id: FILTER_ID, name: 'Plug', kind: 'part', onHand: 3, version: 7 });

  it('is made one with the other, after it was said what that comes to', async () => {
    const { sent, refuse } = wire({ ...ANSWERS, '/api/articles': [TWIN, ONE, OIL] }, () => ONE);
    showTo('crewLead', <ShelfPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Change: Plug, old' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Entered twice: Plug, old' }));
    const dialog = within(await screen.findByRole('dialog', { name: 'Plug, old was entered twice' }));
    fireEvent.click(dialog.getByRole('button', { name: 'Make them one' }));
    expect(await dialog.findByText('Choose the article that it is one with.')).toBeVisible();
    const field = dialog.getByRole('combobox', { name: 'It is one with' });
    fireEvent.mouseDown(field);
    // An oil is no part.
    expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual([
      expect.stringMatching(/^Plug/),
    ]);
    fireEvent.click(screen.getByRole('option'));
    expect(dialog.getByText(/stays, with 5 on hand/)).toBeVisible();
    const detail = 'One is for the spark plugs, the other for the engine oil filter.';
    refuse({ status: 422, detail, errors: [{ pointer: '#/intoId', code: 'otherComponent', detail }] });
    fireEvent.click(dialog.getByRole('button', { name: 'Make them one' }));
    expect(await dialog.findByText(detail)).toBeVisible();
    refuse(null);
    fireEvent.click(dialog.getByRole('button', { name: 'Make them one' }));
    await screen.findByText('Plug, old is one with Plug now.');
    expect(sent.at(-1)).toMatchObject({
      path: `/api/articles/${PLUG_ID}/merge`,
      body: { intoId: FILTER_ID, version: 4, intoVersion: 7 },
    });
  });

  it('is not for mechanics to merge', async () => {
    wire({ ...ANSWERS, '/api/articles': [TWIN, ONE] });
    showTo('mechanic', <ShelfPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Change: Plug' }));
    await screen.findByRole('dialog');
    expect(screen.queryByRole('button', { name: /Entered twice/ })).toBeNull();
  });
});

test('an article is known by its photo, which is kept at once', async () => {
  const shown = article({ photo: '/api/articles/k/photo/r' });
  const { sent } = wire({ ...ANSWERS, '/api/articles': [shown] }, () => article({}));
  showTo('mechanic', <ShelfPage />);
  const picture = await screen.findByRole('img', { name: 'What it looks like: Oil change kit' });
  expect(picture).toHaveAttribute('src', '/api/articles/k/photo/r');
  await press('Change: Oil change kit');
  await press('Take it away');
  await screen.findByText('Oil change kit: photo taken away.');
  expect(sent).toMatchObject([{ method: 'PUT', path: '/api/articles/k/photo', body: { jpeg: null } }]);
});

test('what was paid for an article is read when it is asked for, with what changed', async () => {
  const paid = (on: string, priceMinor: number, note = '') => ({ on, quantity: 4, priceMinor, note });
  wire({
    ...ANSWERS,
    '/api/articles': [article({})],
    '/api/ledger/prices/k': [
      paid('2027-05-02', 3000, 'Order from Larch'),
      paid('2027-03-02', 2890),
      paid('2026-09-01', 2890),
    ],
  });
  showTo('mechanic', <ShelfPage />);
  const details = (await screen.findByText('What was paid')).closest('details');
  if (!details) throw new Error('It can be opened.');
  expect(within(details).queryByRole('listitem')).toBeNull();
  // jsdom opens nothing by itself.
  details.open = true;
  fireEvent(details, new Event('toggle'));
  const lines = await within(details).findAllByRole('listitem');
  expect(lines.map((line) => line.textContent)).toEqual([
    '£30.00 each, 4 % more than before: 4, 2 May: Order from Larch',
    '£28.90 each: 4, 2 Mar',
    '£28.90 each: 4, 1 Sept 2026',
  ]);
});
