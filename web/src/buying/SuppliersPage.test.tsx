import { screen, waitFor, within } from '@testing-library/react';
import type { SupplierDto } from '@yugator/contracts';
import { article } from '../testing/articles.js';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { SuppliersPage } from './SuppliersPage.js';

const FILTER = '00000000-0000-7000-8000-000000000012';
const PLUG = '00000000-0000-7000-8000-000000000013';
const SHELF = [
  article({ id: FILTER, name: 'Oil filter', kind: 'part', priceMinor: 790 }),
  article({ id: PLUG, name: 'Spark plug', kind: 'part', priceMinor: 380 }),
];
const SUPPLIER: SupplierDto = {
  id: 's',
  name: 'Larch Supplies',
  leadDays: 3,
  carriageMinor: 650,
  freeFromMinor: 15_000,
  note: 'Rings back',
  offers: [
    {
      articleId: PLUG,
      number: 'L-9',
      pack: 10,
      priceMinor: 3300,
      leadDays: null,
      name: 'Spark plug',
      unit: 'piece',
    },
  ],
  isRetired: false,
  version: 4,
};

describe('suppliers', () => {
  it('say how soon and at what carriage they deliver, and what they sell', async () => {
    wire({
      '/api/suppliers': [SUPPLIER, { ...SUPPLIER, id: 'r', name: 'Gone', isRetired: true, offers: [] }],
    });
    showTo('mechanic', <SuppliersPage />);
    const row = (await screen.findByText('Larch Supplies')).closest('tr');
    expect(row).toHaveTextContent('£6.50, free from £150.00');
    expect(row).toHaveTextContent('Spark plug, 10: £33.00');
    expect(screen.getByText('no longer bought from')).toBeVisible();
  });

  it('are changed article by article; days of one article are its own or the supplier’s', async () => {
    const { sent } = wire({ '/api/suppliers': [SUPPLIER], '/api/articles': SHELF }, () => SUPPLIER);
    showTo('crewLead', <SuppliersPage />);
    await screen.findByText('Larch Supplies');
    await press('Change: Larch Supplies');
    const dialog = within(await screen.findByRole('dialog'));
    await choose('It sells', /^Oil filter/);
    const filter = within(dialog.getByRole('group', { name: 'Oil filter, 2' }));
    await type(/Price/, '7.20', filter);
    await type('Days', '9', filter);
    await press('Keep', dialog);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'PUT',
      path: '/api/suppliers/s',
      body: {
        name: 'Larch Supplies',
        leadDays: 3,
        carriageMinor: 650,
        freeFromMinor: 15_000,
        note: 'Rings back',
        isRetired: false,
        version: 4,
        offers: [
          { articleId: PLUG, number: 'L-9', pack: 10, priceMinor: 3300, leadDays: null },
          { articleId: FILTER, number: '', pack: 1, priceMinor: 720, leadDays: 9 },
        ],
      },
    });
  });

  it('are taken in with a name, and what is wrong stands at its field', async () => {
    const server = wire({ '/api/suppliers': [], '/api/articles': SHELF }, () => SUPPLIER);
    showTo('crewLead', <SuppliersPage />);
    expect(await screen.findByText('No supplier yet.')).toBeVisible();
    await press('New supplier');
    const dialog = within(await screen.findByRole('dialog'));
    await type('Days from order to shelf', 'soon', dialog);
    await press('Take it in', dialog);
    expect(await dialog.findByText(/Give the days from the order to the shelf/)).toBeVisible();
    expect(dialog.getByText(/Name the supplier/)).toBeVisible();
    await type('Name', 'Larch Supplies', dialog);
    await type('Days from order to shelf', '3', dialog);
    await press('Take it in', dialog);
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toEqual({
      name: 'Larch Supplies',
      leadDays: 3,
      carriageMinor: 0,
      freeFromMinor: null,
      note: '',
    });
  });
});
