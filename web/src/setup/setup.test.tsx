import { screen, waitFor } from '@testing-library/react';
import type { CrewSessionDto } from '@yugator/contracts';
import { choose, press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { CrewSessions } from './CrewSessions.js';
import { MachineCodes } from './MachineCodes.js';

const SESSION: CrewSessionDto = {
  id: 's',
  person: 'Dru',
  device: 'Firefox on a phone',
  address: '192.0.2.4',
  isOwnDevice: true,
  isThis: false,
  createdAt: '2027-05-01T08:00:00.000Z',
  lastSeenAt: '2027-05-13T08:00:00.000Z',
};

describe('where the crew is signed in', () => {
  it('says who and on what, and signs a lost phone out', async () => {
    const { sent } = wire({
      '/api/sessions': [SESSION, { ...SESSION, id: 't', person: 'Marit', isThis: true }],
    });
    showTo('crewLead', <CrewSessions />);
    expect(await screen.findByText('Dru')).toBeVisible();
    expect(screen.getByText('192.0.2.4, their own: for a season')).toBeVisible();
    expect(screen.getAllByRole('button')).toHaveLength(1);
    await press('Sign out: Dru, Firefox on a phone, 192.0.2.4');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ method: 'DELETE', path: '/api/sessions/s' });
    expect(await screen.findByText('Dru is signed out on Firefox on a phone.')).toBeVisible();
  });
});

describe('the codes on machines', () => {
  it('are printed in either size, with a word where no phone would find them', async () => {
    wire({});
    showTo('crewLead', <MachineCodes />);
    expect(screen.getByText(/No phone finds Yugator at localhost/)).toBeVisible();
    await choose('Size', /^Small/);
    const hrefs = screen.getAllByRole('link').map((link) => link.getAttribute('href'));
    expect(hrefs).toEqual([
      '/api/codes/stickers.pdf?paper=a4&size=small',
      '/api/codes/stickers.pdf?paper=letter&size=small',
    ]);
  });
});
