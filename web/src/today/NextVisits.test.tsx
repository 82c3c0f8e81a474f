import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { NextVisitDto } from '@yugator/contracts';
import { press } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { NextVisits } from './NextVisits.js';

const visit = (tag: string, over: Partial<NextVisitDto> = {}): NextVisitDto => ({
  machine: { id: tag, tag, name: `Mower ${tag}` },
  on: '2027-05-13',
  minutes: 43,
  itemIds: ['oil', 'air'],
  lines: ['Air filter', 'Engine oil'],
  openJobId: null,
  isDone: false,
  ...over,
});
const VISITS = [
  visit('A'),
  visit('B', { openJobId: 'j' }),
  visit('C', { isDone: true }),
  visit('D', { on: '2027-05-14' }),
];

it('says what comes into the workshop today and tomorrow, and opens its job', async () => {
  const { sent } = wire({}, () => ({ id: 'new' }));
  showTo('mechanic', <NextVisits visits={VISITS} today="2027-05-13" />);
  expect(screen.getAllByText('Today, 43 min: Air filter, Engine oil')).toHaveLength(3);
  // Tomorrow's are folded, so that today's work is not pushed down by them.
  const tomorrow = screen.getByText('Tomorrow, 43 min: Air filter, Engine oil');
  expect(tomorrow).not.toBeVisible();
  await userEvent.click(screen.getByText(/1 visit, 43 min/));
  expect(tomorrow).toBeVisible();
  expect(screen.getByText('done')).toBeVisible();
  expect(screen.getByRole('link', { name: 'Go on with the job: B' })).toHaveAttribute('href', '/jobs/j');
  await press('Open the job: A');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toMatchObject({ path: '/api/jobs', body: { machineId: 'A', itemIds: ['oil', 'air'] } });
});

it('is looked at by everybody, opened by mechanics, and not there without a plan', () => {
  wire({});
  const { container } = showTo('viewer', <NextVisits visits={[]} today="2027-05-13" />);
  expect(container.querySelector('section')).toBeNull();
  showTo('viewer', <NextVisits visits={VISITS} today="2027-05-13" />);
  expect(screen.queryByRole('button')).toBeNull();
});
