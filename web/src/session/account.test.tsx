import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { OpenSessionDto } from '@yugator/contracts';
import { showTo, wire } from '../testing/wire.js';
import { AccountPage } from './AccountPage.js';
import { FirstVisit } from './FirstVisit.js';
import { SignInForm } from './SignInForm.js';

const session = (id: string, over: Partial<OpenSessionDto> = {}): OpenSessionDto => ({
  id,
  device: 'Firefox on Android',
  address: '192.0.2.4',
  isOwnDevice: true,
  isThis: false,
  createdAt: '2027-05-12T08:00:00Z',
  lastSeenAt: '2027-05-13T07:30:00Z',
  ...over,
});
const type = (label: RegExp | string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

describe('one’s own sign-in', () => {
  it('shows where one is signed in, and ends it elsewhere only', async () => {
    const here = session('a', { device: 'Chromium browser on Linux', isThis: true, isOwnDevice: false });
    const { sent } = wire({
      '/api/session/all': [here, session('b')],
      '/api/session/shed-code': { isSet: false },
    });
    showTo('operator', <AccountPage />);
    expect(await screen.findByText('this one')).toBeDefined();
    expect(screen.getByText('192.0.2.4, yours alone')).toBeDefined();
    expect(screen.getAllByRole('button', { name: /Sign out there/ })).toHaveLength(1);
    press('Sign out there: Firefox on Android, 192.0.2.4');
    await waitFor(() => expect(sent).toMatchObject([{ method: 'DELETE', path: '/api/session/all/b' }]));
  });

  it('takes another password, says what is wrong at its field, and keeps what was typed', async () => {
    const { sent, refuse } = wire({ '/api/session/all': [session('a')] });
    showTo('viewer', <AccountPage />);
    type('Present password', 'the old one, long');
    type('New password', 'short');
    press('Set the new password');
    expect(await screen.findByText(/12 to 200 characters/)).toBeDefined();
    expect(sent).toEqual([]);
    type('New password', 'oil pan under the bench');
    refuse({
      title: 'x',
      status: 422,
      detail: 'y',
      errors: [{ pointer: '#/present', code: 'wrong', detail: 'This is not your present password.' }],
    });
    press('Set the new password');
    expect(await screen.findByText('This is not your present password.')).toBeDefined();
    expect(screen.getByLabelText<HTMLInputElement>('New password').value).toBe('oil pan under the bench');
    expect(sent[0]).toMatchObject({ path: '/api/session/password', body: { present: 'the old one, long' } });
  });
});

describe('the door', () => {
  it('says on which device somebody signs in, and shows why it has to wait', async () => {
    const { sent, refuse } = wire({});
    refuse({
      title: 'Too many attempts',
      status: 429,
      detail: 'That did not work too often. Wait 8 seconds.',
    });
    showTo('viewer', <SignInForm isDemonstration={false} />);
    type(/Name/, 'Marit');
    type(/Password/, 'something');
    fireEvent.click(screen.getByRole('checkbox', { name: /mine alone/ }));
    press('Sign in');
    expect(await screen.findByText('That did not work too often. Wait 8 seconds.')).toBeDefined();
    expect(sent[0]?.body).toEqual({ name: 'Marit', password: 'something', isOwnDevice: true });
  });

  it('of an empty Yugator has the set-up code of the link that was opened', async () => {
    wire({});
    location.hash = '#set-up=7KM2-QX9D';
    showTo('viewer', <FirstVisit />);
    expect(screen.getByLabelText<HTMLInputElement>(/Set-up code/).value).toBe('7KM2-QX9D');
    location.hash = '';
    await screen.findByText('Whose machines are these?');
  });
});
