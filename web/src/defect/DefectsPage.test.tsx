import { screen, waitFor, within } from '@testing-library/react';
import type { DefectDto, DefectPageDto, Role } from '@yugator/contracts';
import { defect } from '../testing/records.js';
import userEvent from '@testing-library/user-event';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { DefectsPage } from './DefectsPage.js';

const MACHINES = [
  { id: 'm', tag: 'M-07', name: 'Lakeside', status: 'inService' },
  { id: 'r', tag: 'R-01', name: 'Gone', status: 'retired' },
];

function server(defects: readonly DefectDto[] = [defect()], total = defects.length) {
  const asked: string[] = [];
  const page: DefectPageDto = { total, defects: [...defects] };
  const answers = new Proxy<Record<string, unknown>>(
    {},
    {
      get(_target, path: string) {
        asked.push(path);
        return path.startsWith('/api/defects') ? page : MACHINES;
      },
    },
  );
  return { ...wire(answers, () => [defect()]), asked };
}

async function show(role: Role = 'operator'): Promise<void> {
  showTo(role, <DefectsPage />);
  await screen.findByRole('heading', { level: 1 });
  // The list and the plates come after the head.
  await waitFor(() => expect(screen.queryByRole('status', { name: 'Loading' })).toBeNull());
}

describe('the defects of the fleet', () => {
  it('are reported in three presses and words: here, the plate, and report it', async () => {
    const { sent } = server();
    await show();
    await userEvent.click(await screen.findByRole('button', { name: 'Report a defect: M-07 Lakeside' }));
    expect(await screen.findByLabelText('What is wrong')).toHaveFocus();
    await type('What is wrong', 'Chute cracked');
    await press('Report it');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/machines/m/defects',
      body: { words: 'Chute cracked', severity: 'soon' },
    });
    // What is retired gets no defects.
    expect(screen.queryByRole('button', { name: /R-01/ })).toBeNull();
  });

  it('say how bad they are, who found them and what can be done, by the role', async () => {
    server([defect({ openJobId: 'j', photos: ['/defects/d/photos/p'] })]);
    await show('mechanic');
    const card = within((await screen.findByText('Spindle rumbles')).closest('li') as HTMLElement);
    expect(card.getByText('mend it soon')).toBeVisible();
    expect(card.getByRole('link', { name: 'Go on with job: M-07, Spindle rumbles' })).toHaveAttribute(
      'href',
      '/jobs/j',
    );
    expect(card.getByRole('img')).toHaveAttribute('src', '/api/defects/d/photos/p');
    expect(card.getByRole('button', { name: 'Another photo' })).toBeVisible();
    expect(card.queryByRole('button', { name: /^Void/ })).toBeNull();
  });

  it('keep their story when they ended', async () => {
    const mended = { how: 'mended', on: '2027-05-12', by: 'Ansel', words: 'New bearing' } as const;
    const none = { how: 'takenBack', on: '2027-05-12', by: 'Marit', words: 'A bucket' } as const;
    server([
      defect({ closedByJobId: 'j', ended: mended }),
      defect({ id: 'e', words: 'Rattles', ended: none }),
    ]);
    await show('crewLead');
    expect(await screen.findByRole('link', { name: 'Mended 12 May' })).toHaveAttribute('href', '/jobs/j');
    expect(screen.getByText(/by Ansel: New bearing/)).toBeVisible();
    expect(screen.getByText(/Taken back 12 May by Marit: A bucket/)).toBeVisible();
    expect(screen.queryByRole('button', { name: /^Void/ })).toBeNull();
  });

  it('are asked for by words, how bad, state and who, from the first page on', async () => {
    const { asked } = server([defect()], 120);
    await show('viewer');
    expect(screen.queryByText(/Press its plate/)).toBeNull();
    await press('Earlier');
    await waitFor(() => expect(asked.at(-1)).toContain('page=2'));
    await type('Words, plate or name', 'M-07');
    await choose('How bad', 'Not to be used');
    await choose('Which', 'All');
    await choose('Reported by', 'Me');
    await waitFor(() =>
      expect(asked.at(-1)).toBe('/api/defects?state=all&page=1&severity=stop&search=M-07&by=mine'),
    );
  });

  it('that are none say so', async () => {
    server([]);
    await show();
    expect(await screen.findByText('Nothing is known to be wrong.')).toBeVisible();
  });

  it('are taken back by the crew lead with a reason', async () => {
    const { sent } = server();
    await show('crewLead');
    await screen.findByText('Spindle rumbles');
    await press('Void the defect "Spindle rumbles" of M-07');
    await screen.findByLabelText('Why it does not count');
    await type('Why it does not count', 'Known twice');
    await press('Void it');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ path: '/api/defects/d/void', body: { reason: 'Known twice' } });
  });

  it('are told how long mending them takes, by who does it', async () => {
    const { sent } = server();
    await show('mechanic');
    await screen.findByText('Spindle rumbles');
    await press('How long it takes: M-07, Spindle rumbles');
    expect(screen.getByText('Left empty, the plan takes 30 min.')).toBeVisible();
    await type('Minutes of one mechanic', '0');
    await press('Keep it');
    expect(await screen.findByText('Give 1 minute or more, or leave it empty.')).toBeVisible();
    await type('Minutes of one mechanic', '45');
    await press('Keep it');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ method: 'PUT', path: '/api/defects/d/estimate', body: { minutes: 45 } });
  });
});
