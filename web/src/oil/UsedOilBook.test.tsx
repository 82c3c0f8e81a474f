import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { UsedOilDto } from '@yugator/contracts';
import { showTo, wire } from '../testing/wire.js';
import { UsedOilBook } from './UsedOilBook.js';

const BOOK: UsedOilDto = {
  containers: [
    {
      waste: 'oil',
      inside: 52.5,
      capacity: 60,
      outlook: { perWeek: 1.4, fullOn: '2027-06-20' as never, soonest: '2027-06-01' as never },
    },
    { waste: 'coolant', inside: 2, capacity: 20, outlook: null },
    {
      waste: 'fuel',
      inside: 9,
      capacity: 20,
      outlook: { perWeek: 5, fullOn: '2027-06-03' as never, soonest: '2027-05-27' as never },
    },
  ],
  entries: [
    {
      id: 'b',
      on: '2027-05-12',
      litres: 2,
      note: 'Drained from M-02',
      waste: 'coolant',
      receipt: '',
      by: 'Ansel',
    },
    {
      id: 'a',
      on: '2027-03-02',
      litres: -41,
      note: 'District collector',
      waste: 'oil',
      receipt: 'DC 7',
      by: 'Marit',
    },
  ],
};

describe('the used-oil book', () => {
  it('says what is inside, when to have it collected, and what came and went', async () => {
    wire({ '/api/used-oil': BOOK });
    showTo('viewer', <UsedOilBook />);
    expect(await screen.findByText('52.5 L')).toBeDefined();
    const said = screen.getAllByRole('listitem').map((item) => item.textContent.replaceAll('\u00a0', ' '));
    expect(said).toEqual([
      '52.5 L of used oil in a container of 60 L. Have it collected soon.1.4 L a week over the last year: full about 20 Jun; as in the busiest quarter, on 1 Jun.',
      '2 L of used coolant in a container of 20 L.',
      '9 L of old fuel in a container of 20 L. Have it collected soon.5 L a week over the last year: full about 3 Jun; as in the busiest quarter, on 27 May.',
    ]);
    expect(screen.getByText('District collector, receipt DC 7')).toBeVisible();
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
    fireEvent.change(screen.getByLabelText('Number of the receipt'), { target: { value: 'R 12' } });
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
    expect(sent.at(-1)?.body).toEqual({
      kind: 'collected',
      waste: 'oil',
      litres: 50,
      on: '2027-05-13',
      note: 'Collector',
      receipt: 'R 12',
    });
  });
});
