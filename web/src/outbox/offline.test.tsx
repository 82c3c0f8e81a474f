import 'fake-indexeddb/auto';
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { DoneNowForm } from '../walk/DoneNowForm.js';
import { ReportForm } from '../defect/ReportForm.js';
import { HoursForm } from '../machine/HoursForm.js';
import { MoreMenu } from '../shell/MoreMenu.js';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { outbox } from './outbox.js';
import type { NewEntry } from './outbox.js';
import { OutboxBar } from './OutboxBar.js';
import { OutboxPage } from './OutboxPage.js';
import { useSending } from './useSending.js';

const MACHINE = { id: 'm', tag: 'T-02', name: 'Loader tractor', life: 60 };
const METER = {
  key: 'm',
  machineId: 'm',
  meter: 'engine',
  tag: 'T-02',
  name: 'Loader tractor',
  shed: 'Yard',
  segments: [{ startsAt: '2020-01-01T00:00:00Z', offset: 0 }],
  readings: [{ at: '2020-05-12T08:00:00Z', shown: 60, life: 60 }],
  hoursPerWeek: null,
  expectedShown: null,
  mostLikelyLife: null,
  staleDays: null,
};

const WAITING: NewEntry = {
  key: 'k',
  personId: 'p',
  at: Date.now(),
  method: 'POST',
  path: '/round',
  body: {},
  typed: { title: '1 reading', lines: [] },
  subjects: [],
};

afterEach(() => act(() => outbox.dropAll('p')));

const typedOf = () => outbox.of('p').map(({ path, body, typed }) => ({ path, body, ...typed }));

/** What the frame of every screen has of the outbox. */
function Frame({ children }: { children?: React.ReactNode }) {
  useSending(true);
  return (
    <>
      <OutboxBar />
      {children}
    </>
  );
}

/** A form that is gone once it is done with. */
function Once({ children }: { children: (done: () => void) => React.ReactNode }) {
  const [open, setOpen] = useState(true);
  return open ? children(() => setOpen(false)) : <p>Form closed</p>;
}

describe('without signal', () => {
  it('a reading waits on the device, and goes out as of when it was typed once there is one', async () => {
    const server = wire({ '/api/round': { meters: [METER] } }, () => ({ kept: 1 }));
    showTo(
      'operator',
      <Frame>
        <Once>{(done) => <HoursForm machineId="m" meter="engine" onDone={done} />}</Once>
      </Frame>,
    );
    await screen.findByLabelText('The meter shows');
    server.cut(true);
    await type('The meter shows', '61.5');
    await press('Keep');
    expect(await screen.findByText(/T-02: kept on this device/)).toBeDefined();
    expect(screen.getByText('Form closed')).toBeDefined();
    expect(screen.getByRole('link', { name: '1 waiting to be sent' })).toBeDefined();
    const [{ key } = { key: '' }] = outbox.of('p');
    expect(typedOf()).toMatchObject([
      { path: '/round', title: '1 reading', lines: ['T-02 Loader tractor: 61.5 h'] },
    ]);
    server.cut(false);
    act(() => void window.dispatchEvent(new Event('online')));
    await waitFor(() => expect(outbox.of('p')).toEqual([]));
    expect(server.sent).toEqual([
      {
        method: 'POST',
        path: '/api/round',
        body: { readings: [{ machineId: 'm', meter: 'engine', shown: 61.5 }] },
      },
    ]);
    expect(server.heads[0]).toMatchObject({ 'idempotency-key': key, 'typed-by': 'p', 'typed-ago': '0' });
    await waitFor(() => expect(screen.queryByText(/waiting to be sent/)).toBeNull());
  });

  it('short work and a defect wait in the order of typing, each as its owner knows it again', async () => {
    wire({}).cut(true);
    const { unmount } = showTo(
      'mechanic',
      <DoneNowForm
        machine={MACHINE}
        lines={[{ itemId: '00000000-0000-7000-8000-000000000001', itemName: 'Dust valve: squeeze' }]}
        onDone={() => undefined}
      />,
    );
    await press('Done: Dust valve: squeeze');
    await waitFor(() => expect(outbox.of('p')).toHaveLength(1));
    unmount();
    showTo('mechanic', <ReportForm machine={MACHINE} onDone={() => undefined} />);
    await type('What is wrong', 'Belt squeals');
    await press('Report it');
    await waitFor(() => expect(outbox.of('p')).toHaveLength(2));
    expect(typedOf()).toMatchObject([
      {
        path: '/machines/m/done',
        title: 'T-02 Loader tractor: done',
        lines: ['Dust valve: squeeze', 'on 13 May'],
      },
      {
        path: '/machines/m/defects',
        title: 'T-02 Loader tractor: a defect',
        lines: ['Belt squeals', 'mend it soon'],
      },
    ]);
  });

  it('says it where the device keeps nothing, and leaves what was typed in its form', async () => {
    wire({}).cut(true);
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    showTo('mechanic', <ReportForm machine={MACHINE} onDone={() => undefined} />);
    await type('What is wrong', 'Belt squeals');
    await press('Report it');
    expect(await screen.findByText(/this device has no room to keep it/)).toBeDefined();
    expect(screen.getByLabelText<HTMLInputElement>('What is wrong').value).toBe('Belt squeals');
    expect(outbox.of('p')).toEqual([]);
    put.mockRestore();
  });
});

describe('what came back', () => {
  const back = (errors: object[], body: unknown) => ({
    entry: { ...WAITING, body, typed: { title: '1 reading', lines: ['T-02 Loader tractor: 59.0 h'] } },
    refusal: { status: 422, title: 'Not kept', detail: 'It showed 60.0 h before.', errors },
  });
  const open = async (errors: object[], body: unknown) => {
    const { refusal, entry } = back(errors, body);
    const server = wire({}, () => ({ kept: 1 }));
    server.refuse(refusal);
    await outbox.add(entry);
    showTo(
      'operator',
      <Frame>
        <OutboxPage />
      </Frame>,
    );
    expect(await screen.findByText(/It showed 60.0 h before/)).toBeDefined();
    expect(screen.getByText('T-02 Loader tractor: 59.0 h')).toBeDefined();
    expect(screen.getByRole('link', { name: '1 entry came back: see why' })).toBeDefined();
    server.refuse(null);
    return server;
  };
  const READING = { machineId: '00000000-0000-7000-8000-000000000001', shown: 59 };

  it('is put right where it lies and sent under another key', async () => {
    const errors = [{ pointer: '#/readings/0/shown', code: 'backwards', detail: 'It showed 60.0 h before.' }];
    const server = await open(errors, { readings: [READING] });
    await type('Put right: figure', 'sixty');
    await press('Send again');
    expect(screen.getByText('Type a figure, such as 1196.7.')).toBeDefined();
    await type('Put right: figure', '61,5');
    await press('Send again');
    await waitFor(() => expect(outbox.of('p')).toEqual([]));
    expect(server.sent.map(({ body }) => body)).toEqual([
      { readings: [READING] },
      { readings: [{ ...READING, shown: 61.5 }] },
    ]);
    expect(server.heads[1]?.['idempotency-key']).not.toBe('k');
    expect(screen.getByText('Nothing waits: all you typed is with Yugator.')).toBeDefined();
  });

  it('is confirmed where it is unusual but true', async () => {
    const errors = [{ pointer: '#/readings/0/shown', code: 'unusual', detail: 'That is a lot.' }];
    const server = await open(errors, { readings: [READING] });
    await press('It is right, send it');
    await waitFor(() => expect(outbox.of('p')).toEqual([]));
    expect(server.sent[1]?.body).toEqual({ readings: [{ ...READING, confirmed: true }] });
  });

  it('is thrown away when that was asked twice', async () => {
    const server = await open([], { readings: [READING] });
    await press('Throw away: 1 reading');
    expect(outbox.of('p')).toHaveLength(1);
    await press('Really throw it away: 1 reading');
    await waitFor(() => expect(outbox.of('p')).toEqual([]));
    expect(server.sent).toHaveLength(1);
  });
});

describe('signing out', () => {
  const menu = async () => {
    await press('Marit');
    await userEvent.click(screen.getByRole('menuitem', { name: 'Sign out' }));
  };
  const waiting = () => outbox.add(WAITING);

  it('with something waiting asks first, and may keep it', async () => {
    const server = wire({});
    await waiting();
    showTo('operator', <MoreMenu isPhone={false} />);
    await menu();
    expect(screen.getByText('1 entry is not with Yugator yet')).toBeDefined();
    await press('Stay signed in');
    expect(server.sent).toEqual([]);
    await waitFor(() => expect(screen.queryByText('1 entry is not with Yugator yet')).toBeNull());
    await menu();
    await press('Keep and sign out');
    await waitFor(() => expect(server.sent).toMatchObject([{ method: 'DELETE', path: '/api/session' }]));
    expect(outbox.of('p')).toHaveLength(1);
  });

  it('may throw it away, when that was asked twice', async () => {
    const server = wire({});
    await waiting();
    showTo('operator', <MoreMenu isPhone={false} />);
    await menu();
    await press(/^Throw away and sign out/);
    await press(/^Really throw it away/);
    await waitFor(() => expect(server.sent).toMatchObject([{ method: 'DELETE' }]));
    expect(outbox.of('p')).toEqual([]);
  });

  it('with nothing waiting just does it', async () => {
    const server = wire({});
    showTo('operator', <MoreMenu isPhone={false} />);
    await menu();
    await waitFor(() => expect(server.sent).toMatchObject([{ method: 'DELETE' }]));
  });
});
