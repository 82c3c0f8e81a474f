import { screen, waitFor, within } from '@testing-library/react';
import { article } from '../testing/articles.js';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { CountPage } from './CountPage.js';
import { ShelfPage } from './ShelfPage.js';

const FILTER = article({
  id: '00000000-0000-7000-8000-000000000001',
  name: 'Oil filter',
  kind: 'part',
  number: 'F-01',
  place: 'Rack A',
  priceMinor: 790,
  onHand: 5,
  sheds: [
    { shed: 'Boat house', quantity: 2 },
    { shed: 'North shed', quantity: 3 },
  ],
});
const PLUG = article({ ...FILTER, id: '00000000-0000-7000-8000-000000000002', name: 'Plug', number: 'S-01' });
const ANSWERS = {
  '/api/used-oil': { containers: [], entries: [] },
  '/api/stock-sheds': { sheds: ['Boat house', 'North shed'] },
};

describe('the shelf of two sheds', () => {
  it('says in which an article lies', async () => {
    const inOne = { ...PLUG, sheds: [{ shed: 'North shed', quantity: 5 }] };
    wire({ ...ANSWERS, '/api/articles': [FILTER, inOne] });
    showTo('viewer', <ShelfPage />);
    expect(await screen.findByText('2 in Boat house, 3 in North shed')).toBeVisible();
    expect(screen.getByText('S-01 · Rack A · North shed')).toBeVisible();
  });

  it('takes an article from that in which most lies to the other', async () => {
    const { sent } = wire({ ...ANSWERS, '/api/articles': [FILTER] }, () => FILTER);
    showTo('mechanic', <ShelfPage />);
    await screen.findByText('2 in Boat house, 3 in North shed');
    await press('Went away: Oil filter');
    const dialog = within(await screen.findByRole('dialog'));
    await choose('What became of it', 'Taken to another shed', dialog);
    expect(dialog.getByText('The book says 3 in North shed')).toBeVisible();
    await choose('From', 'Boat house', dialog);
    expect(dialog.getByText('The book says 2 in Boat house')).toBeVisible();
    await choose('To', 'North shed', dialog);
    await press('Book it', dialog);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({
      kind: 'moved',
      quantity: 1,
      shed: 'Boat house',
      toShed: 'North shed',
      note: '',
    });
  });

  it('does not send a shed that is no longer asked for, and proposes no count of another shed', async () => {
    const { sent } = wire({ ...ANSWERS, '/api/articles': [FILTER] }, () => FILTER);
    showTo('mechanic', <ShelfPage />);
    await screen.findByText('2 in Boat house, 3 in North shed');
    await press('Went away: Oil filter');
    const away = within(await screen.findByRole('dialog'));
    await choose('What became of it', 'Taken to another shed', away);
    await choose('To', 'Boat house', away);
    await choose('What became of it', 'Thrown away', away);
    await type('Why', 'Crushed', away);
    await press('Book it', away);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({ kind: 'scrapped', quantity: 1, shed: 'North shed', note: 'Crushed' });
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await press('Count: Oil filter');
    expect(await screen.findByLabelText('Counted (pieces)')).toHaveValue('');
  });

  it('is counted one shed at a time, against what the book says of it', async () => {
    const { sent } = wire({ ...ANSWERS, '/api/articles': [FILTER] }, () => ({
      counted: 1,
      differing: 1,
      missingMinor: 790,
      besidesMinor: 0,
    }));
    showTo('mechanic', <CountPage />);
    await screen.findByText(/Say first in which shed you count/);
    expect(screen.queryByLabelText('Scan, or look for')).toBeNull();
    await choose('In which shed', 'Boat house');
    await type('Scan, or look for', 'F-01{Enter}');
    expect(screen.getByText('1 fewer than booked, £7.90')).toBeVisible();
    await choose('In which shed', 'North shed');
    expect(screen.getByText('2 fewer than booked, £15.80')).toBeVisible();
    await press('Book the count');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({
      note: '',
      shed: 'North shed',
      lines: [{ articleId: FILTER.id, counted: 1, booked: 3 }],
    });
  });

  it('lets the crew lead say where lies what nobody said of', async () => {
    const unsaid = { ...PLUG, sheds: [{ shed: null, quantity: 5 }] };
    const { sent } = wire({ ...ANSWERS, '/api/articles': [FILTER, unsaid] }, () => null);
    showTo('crewLead', <ShelfPage />);
    const form = within(await screen.findByRole('form', { name: 'Where it lies' }));
    expect(form.getByText(/^Of 1 article nobody said/)).toBeVisible();
    await choose('All of it lies in', 'North shed', form);
    await press('It lies there', form);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ path: '/api/stock-sheds/settled', body: { shed: 'North shed' } });
  });
});
