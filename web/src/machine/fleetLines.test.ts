import type { FleetLineDto } from '@yugator/contracts';
import { hoursLimit } from '../testing/fixtures.js';
import { ALL, chosenLines } from './fleetLines.js';

const line = (
  tag: string,
  itemName: string,
  state: FleetLineDto['state'],
  expectedOn: string | null,
): FleetLineDto => ({
  machineId: tag,
  tag,
  machineName: 'Lakeside',
  machineClass: 'zeroTurn',
  shed: tag === 'B' ? 'Yard' : 'North',
  itemId: itemName,
  itemName,
  bookName: 'Verrick',
  state,
  limit: hoursLimit(),
  minutes: 10,
  earlyOn: null,
  expectedOn,
  lateOn: null,
  consequence: 'care',
});
const LINES = [
  line('B', 'Oil', 'fine', '2027-08-01'),
  line('A', 'Oil', 'overdue', '2027-05-01'),
  line('A', 'Grease', 'ripe', '2027-05-20'),
  line('C', 'Battery', 'noRecord', null),
];
const shown = (filter: object, sort: Parameters<typeof chosenLines>[2] = 'worst') =>
  chosenLines(LINES, { words: '', state: ALL, shed: ALL, ...filter }, sort).map(
    ({ tag, itemName }) => `${tag} ${itemName}`,
  );

describe('the schedule of the fleet', () => {
  it.each([
    ['worst', ['A Oil', 'C Battery', 'A Grease', 'B Oil']],
    ['date', ['A Oil', 'A Grease', 'B Oil', 'C Battery']],
    ['tag', ['A Oil', 'A Grease', 'B Oil', 'C Battery']],
    ['item', ['C Battery', 'A Grease', 'A Oil', 'B Oil']],
  ] as const)('is ordered %s', (sort, lines) => {
    expect(shown({}, sort)).toEqual(lines);
  });

  it('is searched by words in any order, and filtered', () => {
    expect(shown({ words: 'oil lakeside' })).toEqual(['A Oil', 'B Oil']);
    expect(shown({ words: 'oil', shed: 'Yard' })).toEqual(['B Oil']);
    expect(shown({ state: 'noRecord' })).toEqual(['C Battery']);
    expect(shown({ words: 'tyre' })).toEqual([]);
  });
});
