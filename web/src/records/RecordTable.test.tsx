import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Finding } from '@yugator/core';
import { record } from '../testing/records.js';
import { showTo, wire } from '../testing/wire.js';
import { RecordTable } from './RecordTable.js';

const TYRES: Finding = {
  key: 'tyres.rear',
  look: null,
  found: { left: 76, right: 62 },
  isGood: false,
  measurement: { kind: 'tyres', label: 'Pressure, rear pair', low: 69, high: 83, sidewallMaximum: 97 },
};

describe('a record', () => {
  it('says what was done, found, used and what it cost, labour among it', () => {
    const others = [{ name: 'Blades', outcome: 'deferred' as const, note: 'no time' }];
    showTo('viewer', <RecordTable records={[record({ findings: [TYRES], others })]} withMachine />);
    const row = within(screen.getAllByRole('row')[1] as HTMLElement);
    expect(row.getByRole('link', { name: '12 May' }).getAttribute('href')).toBe('/jobs/j');
    expect(row.getByText(/✗ Pressure, rear pair: left 76 kPa, right 62 kPa/)).toBeDefined();
    expect(row.getByText(/Blades: put off/)).toBeDefined();
    expect(row.getByText('1 × Oil change kit')).toBeDefined();
    // 28.90 of parts and 66 min at 32.00 an hour, 35.20.
    expect(row.getByText('£64.10')).toBeDefined();
    expect(row.getByText('of it labour £35.20')).toBeDefined();
    expect(row.queryByRole('button')).toBeNull();
  });

  it('says what was mended, beside lines or alone', () => {
    const both = record({ items: [], mended: ['Deck belt is frayed', 'Seat torn'] });
    showTo('viewer', <RecordTable records={[both]} withMachine />);
    expect(screen.getByText('Mended: Deck belt is frayed')).toBeVisible();
    expect(screen.getByText('Mended: Seat torn')).toBeVisible();
  });

  it('says nothing of labour where the crew had no rate', () => {
    const unrated = record({ labourCostMinor: null, costMinor: 2890, draws: [] });
    showTo('viewer', <RecordTable records={[unrated]} withMachine={false} />);
    expect(screen.getByText('£28.90')).toBeDefined();
    expect(screen.queryByText(/labour/)).toBeNull();
    expect(screen.getByText('–')).toBeDefined();
  });

  it('is voided by the crew lead with a reason, and then shows whose reason it was', async () => {
    const { sent } = wire({});
    const { unmount } = showTo('crewLead', <RecordTable records={[record()]} withMachine />);
    fireEvent.click(screen.getByRole('button', { name: /Void the record of 12 May on M-07/ }));
    const dialog = await screen.findByRole('dialog');
    fireEvent.click(await within(dialog).findByRole('button', { name: 'Void it' }));
    expect(await within(dialog).findByText(/reason|why/i, { selector: 'p.Mui-error' })).toBeDefined();
    expect(sent).toEqual([]);
    fireEvent.change(within(dialog).getByLabelText('Why it does not count'), {
      target: { value: 'Wrong machine' },
    });
    fireEvent.click(within(dialog).getByRole('button', { name: 'Void it' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/records/j/void',
      body: { reason: 'Wrong machine' },
    });
    unmount();
    const voided = { at: '2027-05-13T10:00:00Z', by: 'Marit', reason: 'Wrong machine' };
    showTo('crewLead', <RecordTable records={[record({ voided })]} withMachine />);
    expect(screen.getByText('Void: Wrong machine (Marit)')).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
