import { screen, waitFor, within } from '@testing-library/react';
import type { OrderDto } from '@yugator/contracts';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { OrdersPage } from './OrdersPage.js';

const line = (name: string, packs: number, arrived: number) => ({
  articleId: name,
  number: 'H-7',
  pack: 1,
  packs,
  priceMinor: 500,
  arrived,
  name,
  unit: 'piece' as const,
});
const ORDER: OrderDto = {
  id: 'o',
  supplierId: 's',
  supplier: 'Larch Supplies',
  orderedOn: '2027-05-10',
  expectedOn: '2027-05-14',
  by: 'Marit',
  lines: [line('Filter', 4, 1), line('Plug', 2, 2)],
  carriageMinor: 650,
  note: '',
  isOpen: true,
  version: 3,
};

describe('orders', () => {
  it('say what is still to come; what arrives is booked line by line', async () => {
    const { sent } = wire({ '/api/orders': [ORDER] }, () => ORDER);
    showTo('mechanic', <OrdersPage />);
    const order = within(await screen.findByRole('region', { name: 'Order at Larch Supplies' }));
    expect(order.getByText(/£36.50 with carriage; comes tomorrow/)).toBeVisible();
    expect(order.getByText('all here')).toBeVisible();
    expect(order.getByRole('button', { name: 'Book what arrived' })).toBeDisabled();
    await type('Arrived now of Filter', '4');
    expect(order.getByText('0 to 3')).toBeVisible();
    expect(order.getByRole('button', { name: 'Book what arrived' })).toBeDisabled();
    await press('All of it arrived');
    await press('Book what arrived');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/orders/o/arrivals',
      body: { lines: [{ line: 0, packs: 3 }], version: 3 },
    });
  });

  it('ask into which shed it comes, where there are several', async () => {
    const sheds = { sheds: ['Boat house', 'North shed'] };
    const { sent } = wire({ '/api/orders': [ORDER], '/api/stock-sheds': sheds }, () => ORDER);
    showTo('mechanic', <OrdersPage />);
    await screen.findByLabelText('Into which shed');
    await choose('Into which shed', 'North shed');
    await press('All of it arrived');
    await press('Book what arrived');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({ lines: [{ line: 0, packs: 3 }], version: 3, shed: 'North shed' });
  });

  it('say what the server refuses, and keep what was typed', async () => {
    const server = wire({ '/api/orders': [ORDER] });
    showTo('mechanic', <OrdersPage />);
    await screen.findByRole('region', { name: 'Order at Larch Supplies' });
    server.refuse({ status: 409, detail: 'Somebody booked it meanwhile.' });
    await type('Arrived now of Filter', '2');
    await press('Book what arrived');
    expect(await screen.findByText(/Somebody booked it meanwhile/)).toBeVisible();
    expect(screen.getByLabelText<HTMLInputElement>('Arrived now of Filter').value).toBe('2');
  });

  it('give up a rest that does not come, and stand below when they are closed', async () => {
    const closed = { ...ORDER, id: 'c', isOpen: false };
    const { sent } = wire({ '/api/orders': [ORDER, closed] }, () => ({ ...ORDER, isOpen: false }));
    showTo('crewLead', <OrdersPage />);
    expect(await screen.findByText(/2 lines, £21.50, 1 line not all of which came/)).toBeVisible();
    await press('Change: order at Larch Supplies');
    await press('Keep');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({ expectedOn: '2027-05-14', note: '', isClosed: false, version: 3 });
  });

  it('are looked at, not booked, by who does no jobs', async () => {
    wire({ '/api/orders': [] });
    showTo('viewer', <OrdersPage />);
    expect(await screen.findByText('Nothing was ordered yet.')).toBeVisible();
  });
});
