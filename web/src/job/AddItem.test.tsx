import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { JobDto, VisitDto } from '@yugator/contracts';
import { composeSheet } from '@yugator/core';
import { dueLine } from '../testing/fixtures.js';
import { ITEMS, item, job } from '../testing/jobs.js';
import { showTo, wire } from '../testing/wire.js';
import { AddItem } from './AddItem.js';

const REPLACE = {
  id: 'new',
  name: 'Air filter: replace',
  action: 'replace',
  components: ['airFilter'],
} as const;
const AIR = ITEMS[1];
const line = (itemId: string, itemName: string) => dueLine({ itemId, itemName });

/** A job that looks at the air filter; `sight` is what was seen. */
function looked(sight: string | null): JobDto {
  const base = job({ items: [item('air')] });
  const setUp = { ...base.setUp, items: [AIR] };
  const step = composeSheet(setUp).steps.find(({ look }) => look === 'airFilter');
  const found = sight === null ? null : { sight };
  const touched = {
    key: step?.key ?? '',
    isDone: true,
    isAcknowledged: false,
    startedAt: null,
    others: [],
    found,
    by: 'Ansel',
    version: 1,
  };
  return { ...base, setUp, steps: [touched] };
}

function show(now: JobDto, onWrite?: Parameters<typeof wire>[1]) {
  const visit: Partial<VisitDto> = {
    setUp: { ...now.setUp, items: [...ITEMS, REPLACE] },
    lines: [line('air', AIR.name), line('new', REPLACE.name), line('blades', 'Blades: sharpen and balance')],
  };
  const server = wire({ '/api/machines/m/visit': visit }, onWrite);
  showTo('mechanic', <AddItem job={now} sheet={composeSheet(now.setUp)} />);
  return server;
}

describe('another item in an open job', () => {
  it('is asked for by what was seen, and taken in', async () => {
    const { sent } = show(looked('dark'), () => looked('dark'));
    fireEvent.click(await screen.findByRole('button', { name: 'Take it in' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ method: 'POST', path: '/api/jobs/j/items/new' });
    expect(await screen.findByText(/Taken into the job/)).toBeDefined();
  });

  it('is not asked for while what was seen is good, but may be any that the job has not', async () => {
    const { sent } = show(looked('clean'), () => looked('clean'));
    fireEvent.mouseDown(await screen.findByLabelText('Take another item into the job'));
    expect(screen.queryByRole('button', { name: 'Take it in' })).toBeNull();
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual([
      ...['Air filter: replace', 'Blades: sharpen and balance'],
    ]);
    fireEvent.click(screen.getByRole('option', { name: 'Blades: sharpen and balance' }));
    await waitFor(() => expect(sent[0]?.path).toBe('/api/jobs/j/items/blades'));
  });

  it('says why where the server refuses', async () => {
    const { refuse } = show(looked('torn'));
    const button = await screen.findByRole('button', { name: 'Take it in' });
    refuse({ title: 'Closed', status: 409, detail: 'This job is signed off already.' });
    fireEvent.click(button);
    expect(await screen.findByText('This job is signed off already.')).toBeDefined();
  });
});
