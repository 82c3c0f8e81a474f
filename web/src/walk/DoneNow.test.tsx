import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { DoneNow } from './DoneNow.js';

const LINES = [
  { itemId: '00000000-0000-7000-8000-0000000000d1', itemName: 'Dust valve: squeeze' },
  { itemId: '00000000-0000-7000-8000-0000000000d2', itemName: 'Screen: clean' },
];
const MACHINE = { id: 'm', tag: 'T-02', name: 'Loader tractor', life: 412.6 };

async function open(): Promise<void> {
  showTo('operator', <DoneNow machine={MACHINE} lines={LINES} word="Done" label="Done: T-02" />);
  await press('Done: T-02');
  await screen.findByRole('button', { name: 'Done: Dust valve: squeeze' });
}

describe('a line that is done now', () => {
  it('is two presses, of today, and can be undone as long as that is said', async () => {
    const server = wire({}, () => ({ jobId: 'j' }));
    await open();
    expect(screen.getByText(/it counts from 412.6 h, the last reading/)).toBeVisible();
    await press('Done: Dust valve: squeeze');
    expect(await screen.findByText('T-02, Dust valve: squeeze: done.')).toBeVisible();
    expect(server.sent).toEqual([
      {
        method: 'POST',
        path: '/api/machines/m/done',
        body: { itemId: LINES[0]?.itemId, doneOn: '2027-05-13', shown: null },
      },
    ]);
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(await screen.findByText('Undone.')).toBeVisible();
    expect(server.sent[1]).toMatchObject({ method: 'POST', path: '/api/records/j/undo' });
  });

  it('takes the figure along where it is typed, and stays open with what the server says of it', async () => {
    const server = wire({}, () => ({ jobId: 'j' }));
    await open();
    server.refuse({
      type: 'about:blank',
      title: 't',
      status: 422,
      detail: 'Less than before.',
      errors: [{ pointer: '#/shown', code: 'backwards', detail: 'Less than before.' }],
    });
    await type('Hours on the meter, if you read them', '41,5');
    await press('Done: Screen: clean');
    expect(await screen.findByText('Less than before.')).toBeVisible();
    expect(server.sent[0]?.body).toMatchObject({ itemId: LINES[1]?.itemId, shown: 41.5 });
    server.refuse(null);
    await type('Hours on the meter, if you read them', '415');
    await press('Done: Screen: clean');
    await waitFor(() => expect(screen.queryByText('Less than before.')).toBeNull());
    expect(server.sent[1]?.body).toMatchObject({ shown: 415 });
  });

  it('says what stands against undoing', async () => {
    const server = wire({}, () => ({ jobId: 'j' }));
    await open();
    await press('Done: Dust valve: squeeze');
    server.refuse({ type: 'about:blank', title: 't', status: 403, detail: 'This can no longer be undone.' });
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(await screen.findByText('This can no longer be undone.')).toBeVisible();
  });
});
