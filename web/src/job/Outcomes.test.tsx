import { screen } from '@testing-library/react';
import { item, job } from '../testing/jobs.js';
import { press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { Outcomes } from './Outcomes.js';

const clean = { ...item('oil'), outcome: 'done', mayLeaveOutNext: true } as const;
const one = (over: object) => job({ items: [{ ...clean, ...over }] });

describe('a check that came out clean', () => {
  it('leaves out the next one with one press, and takes that back with another', async () => {
    const { sent } = wire({}, () => one({ leavesOutNext: true }));
    const { unmount } = showTo('mechanic', <Outcomes job={one({})} mayWork />);
    await press(`Leave out the next one: ${clean.name}`);
    expect(sent[0]).toMatchObject({
      method: 'PUT',
      body: { outcome: 'done', leavesOutNext: true, version: clean.version },
    });
    unmount();
    showTo('mechanic', <Outcomes job={one({ leavesOutNext: true })} mayWork />);
    expect(screen.getByText('done, clean, the next one left out')).toBeVisible();
    await press(`Make the next one: ${clean.name}`);
    expect(sent[1]?.body).toMatchObject({ outcome: 'done', leavesOutNext: false });
  });

  it.each([
    ['the house rules do not allow it', { mayLeaveOutNext: false }],
    ['it is not done yet', { outcome: null }],
  ])('has no such way where %s', (_why, over) => {
    wire({});
    showTo('mechanic', <Outcomes job={one(over)} mayWork />);
    expect(screen.getByText(clean.name)).toBeVisible();
    expect(screen.queryByRole('button', { name: /next one/ })).toBeNull();
  });

  it('that is refused says why, and leaves it as it was', async () => {
    const server = wire({}, () => one({}));
    server.refuse({
      type: 'about:blank',
      title: 'No',
      status: 422,
      detail: 'By the house rules the next one is made.',
    });
    showTo('mechanic', <Outcomes job={one({})} mayWork />);
    await press(`Leave out the next one: ${clean.name}`);
    expect(await screen.findByText('By the house rules the next one is made.')).toBeVisible();
    expect(screen.getByText('done')).toBeVisible();
  });
});
