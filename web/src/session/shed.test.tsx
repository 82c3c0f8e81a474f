import { act, screen, waitFor } from '@testing-library/react';
import { OutboxBar } from '../outbox/OutboxBar.js';
import { RoundPage } from '../round/RoundPage.js';
import { ShedDevices } from '../setup/ShedDevices.js';
import { AtShed } from '../shell/AtShed.js';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { ShedCode } from './ShedCode.js';
import { SignInPage } from './SignInPage.js';
import { useIsOneOf, useMayRound } from './useSession.js';

const ANSEL = '00000000-0000-7000-8000-000000000001';
const WELCOME = { needsCrewLead: false, demonstration: false };
const TABLET = 'Tablet at the door';

describe('the door of a device of the shed', () => {
  it('asks who it is, then for four digits, and goes in', async () => {
    const server = wire(
      {
        '/api/welcome': WELCOME,
        '/api/shed': { device: TABLET, people: [{ id: ANSEL, name: 'Ansel' }] },
      },
      () => ({}),
    );
    showTo('viewer', <SignInPage />);
    expect(await screen.findByText('Who is it?')).toBeDefined();
    await press('Ansel');
    await type('Your four digits', '47');
    await press('Go in');
    expect(await screen.findByText('Type your four digits.')).toBeDefined();
    expect(server.sent).toEqual([]);
    server.refuse({ status: 401, detail: 'Name and code do not go together.' });
    await type('Your four digits', '4718');
    await press('Go in');
    expect(await screen.findByText('Name and code do not go together.')).toBeDefined();
    server.refuse(null);
    await type('Your four digits', '4719');
    await press('Go in');
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(server.sent[1]).toEqual({
      method: 'POST',
      path: '/api/shed/session',
      body: { personId: ANSEL, code: '4719' },
    });
  });

  it('leads to the password as well, and back to the names', async () => {
    wire({
      '/api/welcome': WELCOME,
      '/api/shed': { device: TABLET, people: [{ id: ANSEL, name: 'Ansel' }] },
    });
    showTo('viewer', <SignInPage />);
    await screen.findByText('Who is it?');
    await press('Ansel');
    await press('That is not me');
    await press('Sign in with a password');
    expect(screen.getByLabelText('Password')).toBeDefined();
  });

  it('is the usual one on every other device', async () => {
    wire({ '/api/welcome': WELCOME, '/api/shed': { device: null, people: [] } });
    showTo('viewer', <SignInPage />);
    expect(await screen.findByLabelText('Password')).toBeDefined();
    expect(screen.queryByText('Who is it?')).toBeNull();
  });
});

it('a code is chosen with the password, and taken away', async () => {
  const server = wire({ '/api/session/shed-code': { isSet: true } });
  showTo('operator', <ShedCode />);
  expect(await screen.findByText(/You have one/)).toBeDefined();
  await type('Your password, to be sure', 'a short sentence');
  await type('Four digits', '4719');
  await press('Set the code');
  await press('Take it away');
  await waitFor(() => expect(server.sent).toHaveLength(2));
  expect(server.sent).toMatchObject([
    { method: 'PUT', body: { present: 'a short sentence', code: '4719' } },
    { method: 'DELETE', path: '/api/session/shed-code' },
  ]);
});

it('the crew lead makes a device one of the shed, and ends it', async () => {
  const device = {
    id: 'd',
    name: 'Old tablet',
    madeBy: 'Marit',
    madeAt: '2027-05-12T08:00:00Z',
    isThis: false,
  };
  const server = wire({ '/api/shed-devices': [device] });
  showTo('crewLead', <ShedDevices />);
  await screen.findByText('Old tablet');
  await press('Make this device one of the shed');
  await type('What it is called', TABLET);
  await press('Make it one');
  await waitFor(() => expect(server.sent).toHaveLength(1));
  await screen.findByRole('button', { name: 'End: Old tablet' });
  await press('End: Old tablet');
  await waitFor(() => expect(server.sent).toHaveLength(2));
  expect(server.sent).toMatchObject([
    { method: 'POST', path: '/api/shed-devices', body: { name: TABLET } },
    { method: 'DELETE', path: '/api/shed-devices/d' },
  ]);
});

function May() {
  const mayWork = useIsOneOf('crewLead', 'mechanic', 'operator');
  return (
    <p>
      {useMayRound() ? 'rounds' : 'no rounds'}, {mayWork ? 'all else' : 'nothing else'}
    </p>
  );
}

describe('at a device of the shed', () => {
  it.each([
    ['operator', TABLET, 'rounds, nothing else'],
    ['crewLead', TABLET, 'rounds, nothing else'],
    ['operator', null, 'rounds, all else'],
    ['viewer', null, 'no rounds, nothing else'],
  ] as const)('for a %s at %s there are %s', (role, at, words) => {
    showTo(role, <May />, {}, '/', at);
    expect(screen.getByText(words)).toBeDefined();
  });

  it('the round is there', async () => {
    wire({ '/api/round': { meters: [] } });
    showTo('operator', <RoundPage />, {}, '/', TABLET);
    expect(await screen.findByText(/Type what each meter shows/)).toBeDefined();
  });

  it('whoever is done says so, and whoever forgets is out after five minutes without a touch', async () => {
    jest.useFakeTimers();
    try {
      const server = wire({});
      showTo(
        'operator',
        <>
          <AtShed />
          <OutboxBar />
        </>,
        {},
        '/',
        TABLET,
      );
      expect(screen.getByText(/at Tablet at the door/)).toBeDefined();
      await act(() => jest.advanceTimersByTimeAsync(4 * 60_000));
      act(() => void window.dispatchEvent(new Event('pointerdown')));
      await act(() => jest.advanceTimersByTimeAsync(4 * 60_000));
      expect(server.sent).toEqual([]);
      await act(() => jest.advanceTimersByTimeAsync(61_000));
      expect(server.sent).toMatchObject([{ method: 'DELETE', path: '/api/session' }]);
    } finally {
      jest.useRealTimers();
    }
  });

  it('on any other device nobody is put out', () => {
    showTo('operator', <AtShed />);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
