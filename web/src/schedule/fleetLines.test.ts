import { renderHook } from '@testing-library/react';
import type { FleetLineDto } from '@yugator/contracts';
import { hoursLimit } from '../testing/fixtures.js';
import { ALL, useChosenLines, WORST_FIRST } from './fleetLines.js';

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
const shown = (filter: object, order: object = {}) =>
  renderHook(() =>
    useChosenLines(LINES, { words: '', state: ALL, shed: ALL, ...filter }, { ...WORST_FIRST, ...order }),
  ).result.current.map(({ tag, itemName }) => `${tag} ${itemName}`);

describe('the schedule of the fleet', () => {
  it.each([
    ['state', ['A Oil', 'C Battery', 'A Grease', 'B Oil']],
    ['due', ['A Oil', 'A Grease', 'B Oil', 'C Battery']],
    ['tag', ['A Oil', 'A Grease', 'B Oil', 'C Battery']],
    ['item', ['C Battery', 'A Grease', 'A Oil', 'B Oil']],
    ['shed', ['A Oil', 'A Grease', 'C Battery', 'B Oil']],
  ] as const)('is ordered by %s, and backwards', (id, lines) => {
    expect(shown({}, { id })).toEqual(lines);
    expect(shown({}, { id, desc: true })).toEqual(lines.toReversed());
  });

  it('is searched by words in any order, and filtered', () => {
    expect(shown({ words: 'oil lakeside' })).toEqual(['A Oil', 'B Oil']);
    expect(shown({ words: '  OIL  ' })).toEqual(['A Oil', 'B Oil']);
    expect(shown({ words: 'oil', shed: 'Yard' })).toEqual(['B Oil']);
    expect(shown({ state: 'noRecord' })).toEqual(['C Battery']);
    // A filter that is part of another word is none of it.
    expect(shown({ shed: 'Nor' })).toEqual([]);
    expect(shown({ words: 'tyre' })).toEqual([]);
  });
});
