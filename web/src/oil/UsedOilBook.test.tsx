import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { UsedOilDto } from '@yugator/contracts';
import { showTo, wire } from '../testing/wire.js';
import { UsedOilBook } from './UsedOilBook.js';

const BOOK: UsedOilDto = {
  inside: 52.5,
  capacity: 60,
  entries: [
    { id: 'b', on: '2027-05-12', litres: 2, note: 'Drained from M-02', by: 'Ansel' },
    { id: 'a', on: '2027-03-02', litres: -41, note: 'District collector', by: 'Marit' },
  ],
};

describe('the used-oil book', () => {
  it('says what is inside, when to have it collected, and what came and went', async () => {
    wire({ '/api/used-oil': BOOK });
    showTo('viewer', <UsedOilBook />);
    expect(await screen.findByText('52.5 L')).toBeDefined();
    expect(screen.getByText(/Have it collected soon/)).toBeDefined();
    expect(screen.getByText('+2 L')).toBeDefined();
    expect(screen.getByText('-41 L')).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('takes a collection down, and keeps what was typed when it is refused', async () => {
    const { sent, refuse } = wire({ '/api/used-oil': BOOK });
    showTo('mechanic', <UsedOilBook />);
    fireEvent.click(await screen.findByRole('button', { name: 'Write in the used-oil book' }));
    fireEvent.change(await screen.findByLabelText('How much (L)'), { target: { value: '60,5' } });
    fireEvent.change(screen.getByLabelText('By whom, or from where'), { target: { value: 'Collector' } });
    refuse({
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'd',
      errors: [{ pointer: '#/litres', code: 'tooMuch', detail: 'Only 52.5 L are in the container.' }],
    });
    fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    expect(await screen.findByText('Only 52.5 L are in the container.')).toBeDefined();
    expect(screen.getByLabelText<HTMLInputElement>('How much (L)').value).toBe('60,5');
    refuse(null);
    fireEvent.change(screen.getByLabelText('How much (L)'), { target: { value: '50' } });
    fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    await waitFor(() => expect(screen.queryByLabelText('How much (L)')).toBeNull());
    expect(sent.at(-1)?.body).toEqual({ kind: 'collected', litres: 50, on: '2027-05-13', note: 'Collector' });
  });
});
