import { allCorrections, withoutLine, withValue } from './corrections.js';

const ID = '00000000-0000-7000-8000-000000000001';
const ROUND = {
  readings: [
    { machineId: ID, shown: 61 },
    { machineId: ID, shown: 70.5 },
  ],
};
const fault = (pointer: string, code = 'range') => ({ pointer, code, detail: 'Not so.' });
const told = (body: unknown, ...faults: Parameters<typeof allCorrections>[1]) =>
  allCorrections(body, faults).map(({ kind, path, value }) => [kind, path.join('.'), value]);

describe('what can be put right of a refused write', () => {
  it('is a figure, and the line it stands in can be left out', () => {
    expect(told(ROUND, fault('#/readings/1/shown', 'backwards'))).toEqual([
      ['figure', 'readings.1.shown', '70.5'],
      ['leaveOut', 'readings.1', ''],
    ]);
  });
  it('is an unusual figure that is true all the same', () => {
    expect(told(ROUND, fault('#/readings/0/shown', 'unusual'))).toEqual([
      ['figure', 'readings.0.shown', '61'],
      ['confirm', 'readings.0.confirmed', ''],
      ['leaveOut', 'readings.0', ''],
    ]);
  });
  it('is words, but never an id: a machine that is gone is a line left out', () => {
    expect(told({ words: 'Belt', severity: 'soon' }, fault('#/words'))).toEqual([['words', 'words', 'Belt']]);
    expect(told(ROUND, fault('#/readings/0/machineId'))).toEqual([['leaveOut', 'readings.0', '']]);
    expect(told({ itemIds: [ID] }, fault('#/itemIds/0'))).toEqual([['leaveOut', 'itemIds.0', '']]);
    expect(told({ itemId: ID }, fault('#/itemId'))).toEqual([]);
  });
  it('is nothing where the fault speaks of no part of it', () => {
    expect(
      told(ROUND, fault('#'), fault('#/constructor'), fault('#/readings/9/shown'), fault('#/a~1b')),
    ).toEqual([]);
  });
  it('is offered once, whatever is wrong with it', () => {
    expect(told(ROUND, fault('#/readings/0/shown'), fault('#/readings/0/machineId'))).toHaveLength(2);
  });
});

test('another value at a place leaves the rest as it was typed, and the refused one too', () => {
  const put = withValue(ROUND, ['readings', '1', 'shown'], 62);
  expect(put).toEqual({ readings: [ROUND.readings[0], { machineId: ID, shown: 62 }] });
  expect(ROUND.readings[1]?.shown).toBe(70.5);
  expect(withoutLine(ROUND, ['readings', '0'])).toEqual({ readings: [ROUND.readings[1]] });
  expect(withoutLine(ROUND, ['shown'])).toBe(ROUND);
});
