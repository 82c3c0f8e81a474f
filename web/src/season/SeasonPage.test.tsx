import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Role, SeasonsDto } from '@yugator/contracts';
import { shownDay, typeDay } from '../testing/day.js';
import { press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import type { Wire } from '../testing/wire.js';
import { SeasonPage } from './SeasonPage.js';

const MOWING_ID = '00000000-0000-7000-8000-0000000000a1';

const MOWING: SeasonsDto = {
  version: 3,
  seasons: [
    {
      id: MOWING_ID,
      name: 'Mowing',
      machines: ['M-07'],
      years: [{ year: 2027, firstDay: '2027-03-24', lastDay: '2027-10-24' }],
    },
  ],
};

let server: Wire;
beforeEach(() => {
  server = wire(
    () => MOWING,
    () => MOWING,
  );
});

async function show(role: Role = 'crewLead') {
  showTo(role, <SeasonPage />);
  await screen.findAllByText(/Mowing|Season/);
  await screen.findByRole('region', { name: 'Mowing' });
}

const click = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

describe('the seasons of the site', () => {
  it('are copied to the next year and shifted by weeks, then saved as they were based', async () => {
    await show();
    click('Set days for 2028');
    expect(await shownDay('First day of Mowing 2028')).toBe('24/03/2028');
    click('+1 week: Mowing 2028');
    expect(await shownDay('Last day of Mowing 2028')).toBe('31/10/2028');
    click('Save the seasons');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toEqual({
      version: 3,
      seasons: [
        {
          id: MOWING_ID,
          name: 'Mowing',
          years: [
            { year: 2027, firstDay: '2027-03-24', lastDay: '2027-10-24' },
            { year: 2028, firstDay: '2028-03-31', lastDay: '2028-10-31' },
          ],
        },
      ],
    });
  });

  it('say at their days what is wrong, as they are typed', async () => {
    await show();
    await typeDay('Last day of Mowing 2027', '2027-03-01');
    expect(screen.getByText('Ends before it begins.')).toBeDefined();
  });

  it('keep what was typed when the server refuses', async () => {
    const detail = 'Somebody else changed this set of seasons meanwhile.';
    server.refuse({ title: 'x', status: 409, detail });
    await show();
    await typeDay('Last day of Mowing 2027', '2027-11-07');
    click('Save the seasons');
    expect(await screen.findByText(detail)).toBeDefined();
    expect(await shownDay('Last day of Mowing 2027')).toBe('07/11/2027');
  });

  it('cannot be removed while machines take part', async () => {
    await show();
    expect(screen.queryByRole('button', { name: 'Remove the season' })).toBeNull();
  });

  it('are only read by a viewer', async () => {
    await show('viewer');
    expect(screen.getByText('2027: 24 Mar to 24 Oct')).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('are begun with a name to be typed, and sent with it', async () => {
    await show();
    await press('Add a season');
    expect(
      await screen.findByText('Name the season in 1 to 30 letters, such as Mowing.'),
    ).toBeInTheDocument();
    const fresh = within(screen.getByRole('region', { name: 'New season' }));
    await type('Season', 'Leap days', fresh);
    await press('Save the seasons');
    await waitFor(() => expect(server.sent).toHaveLength(1));
    expect(server.sent[0]?.body).toMatchObject({
      seasons: [{ name: 'Mowing' }, { name: 'Leap days', years: [{ year: 2027, firstDay: '2027-04-01' }] }],
    });
  });
});
