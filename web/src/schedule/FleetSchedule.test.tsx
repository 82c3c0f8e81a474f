import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { FleetLineDto } from '@yugator/contracts';
import { hoursLimit } from '../testing/fixtures.js';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { FleetSchedule } from './FleetSchedule.js';

const line = (tag: string, itemName: string, over: Partial<FleetLineDto>): FleetLineDto => ({
  machineId: tag,
  tag,
  machineName: `Mower ${tag}`,
  machineClass: 'zeroTurn',
  shed: 'North',
  itemId: itemName,
  itemName,
  bookName: 'Verrick',
  state: 'fine',
  limit: hoursLimit(),
  minutes: 10,
  earlyOn: null,
  expectedOn: '2027-08-01',
  lateOn: null,
  consequence: 'care',
  ...over,
});
const LINES = [
  line('B', 'Oil', { shed: 'Yard' }),
  line('A', 'Oil', { state: 'overdue', expectedOn: '2027-05-01' }),
  line('A', 'Grease', { state: 'ripe', expectedOn: '2027-05-20' }),
];

/** Only lines in sight are in the page: here the box is given a height that takes all of them. */
beforeEach(() => {
  jest.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(600);
  jest.spyOn(Element.prototype, 'clientWidth', 'get').mockReturnValue(1000);
  wire({ '/api/schedule': LINES });
});
afterEach(() => jest.restoreAllMocks());

async function show() {
  showTo('viewer', <FleetSchedule />);
  await screen.findByText('3 lines');
}
const rows = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => row.querySelectorAll('[role=cell] b')[0]?.textContent);
const sorts = () =>
  Object.fromEntries(
    screen
      .getAllByRole('columnheader')
      .map((head) => [head.textContent?.replace(/\W/g, ''), head.getAttribute('aria-sort')]),
  );

describe('the schedule of the fleet', () => {
  it('stands worst first, and says so at its head', async () => {
    await show();
    expect(rows()).toEqual(['Oil', 'Grease', 'Oil']);
    expect(sorts()).toEqual({ Tag: 'none', Item: 'none', State: 'ascending', Due: 'none', Shed: 'none' });
  });

  it('is ordered by the head that is pressed, and backwards when it is pressed again', async () => {
    await show();
    await press('Item');
    expect(rows()).toEqual(['Grease', 'Oil', 'Oil']);
    await press(/^Item/);
    expect(rows()).toEqual(['Oil', 'Oil', 'Grease']);
    expect(sorts()).toMatchObject({ Item: 'descending', State: 'none' });
    await press('Due');
    expect(sorts()).toMatchObject({ Item: 'none', Due: 'ascending' });
  });

  it('is reached and turned by keys', async () => {
    await show();
    screen.getByRole('button', { name: 'Shed' }).focus();
    await userEvent.keyboard('{Enter}');
    expect(sorts()).toMatchObject({ Shed: 'ascending' });
  });

  it('is searched and filtered, and tells how many of all are left', async () => {
    await show();
    await type('Search', 'oil');
    await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent('2 lines of 3'));
    await choose('Shed', 'Yard');
    await waitFor(() => expect(rows()).toEqual(['Oil']));
    await choose('State', 'Overdue');
    await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent('0 lines of 3'));
  });
});
