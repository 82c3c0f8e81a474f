import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { dueLine } from '../testing/fixtures.js';
import { machineDetail } from '../testing/machines.js';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { PaperGrid } from './PaperGrid.js';

const OIL = '00000000-0000-7000-8000-0000000000e1';
const AIR = '00000000-0000-7000-8000-0000000000e2';
const KNOWN = [
  { on: '2024-04-01', life: 0 },
  { on: '2026-05-10', life: 200 },
];
const MACHINE = machineDetail({
  lines: [dueLine({ itemId: OIL, itemName: 'Oil' }), dueLine({ itemId: AIR, itemName: 'Air filter' })],
});

function show() {
  const server = wire({}, () => ({ kept: 2 }));
  showTo('crewLead', <PaperGrid machine={MACHINE} known={KNOWN} />, { dateOrder: 'dayFirst' });
  return server;
}

describe('the paper log', () => {
  it('is typed from the keyboard alone, row by row, and sent as a whole', async () => {
    const { sent } = show();
    await userEvent.click(screen.getByLabelText('Day, row 1'));
    await userEvent.keyboard('12/5/25{Tab}120,5{Tab} {Tab}{Tab}Green book');
    await userEvent.click(screen.getByLabelText('Day, row 2'));
    await userEvent.keyboard('1.9.2025{Tab}150{Tab}{Tab} ');
    await press('Take over 2 services');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: `/api/machines/${MACHINE.id}/paper-log`,
      body: {
        rows: [
          { doneOn: '2025-05-12', life: 120.5, itemIds: [OIL], note: 'Green book' },
          { doneOn: '2025-09-01', life: 150, itemIds: [AIR], note: '' },
        ],
      },
    });
  });

  it('judges a row as it is typed against what is known, and sends nothing that cannot be', async () => {
    const { sent } = show();
    await type('Day, row 1', '1/5/2026');
    await type('Life hours, row 1', '250');
    expect(screen.getByText(/It had only 200\.0 h on 2026-05-10/)).toBeVisible();
    expect(screen.getByLabelText('Life hours, row 1')).toBeInvalid();
    await press('Take over 1 service');
    expect(screen.getByText(/Tick at least one line/)).toBeVisible();
    expect(screen.getByText('1 row cannot be kept as it stands.')).toBeVisible();
    await press('Take row 1 out');
    expect(screen.getByLabelText('Day, row 1')).toHaveValue('');
    expect(screen.getByText('Type at least one service.')).toBeVisible();
    expect(sent).toEqual([]);
  });

  it('takes rows pasted from a spreadsheet into the grid, where they are looked at first', async () => {
    const { sent } = show();
    await press('Paste rows');
    await userEvent.click(screen.getByLabelText('Rows'));
    await userEvent.paste('12/5/2025\t120\tOil; Air filter\tA\n1/6/2025\t130\tOil\t');
    await press('Take over 2 rows');
    expect(screen.getByLabelText('Day, row 2')).toHaveValue('1/6/2025');
    expect(screen.getByLabelText('Air filter, row 1')).toBeChecked();
    expect(screen.getByLabelText('Air filter, row 2')).not.toBeChecked();
    expect(sent).toEqual([]);
  });
});
