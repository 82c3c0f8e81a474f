import fc from 'fast-check';
import { every, everyHours } from '../schedule/testing/facts.js';
import { CHART_MARKS } from '../schedule/chartCell.js';
import type { ChartColumn } from '../schedule/chartCell.js';
import { columnsOf, rowOf, triggersOfRow } from './chart.js';

const COLUMNS: ChartColumn[] = [
  { kind: 'hours', hours: 50 },
  { kind: 'hours', hours: 100 },
  { kind: 'hours', hours: 150 },
  { kind: 'hours', hours: 200 },
  { kind: 'calendar', count: 12, unit: 'month' },
];

describe('a row of a maintenance chart', () => {
  it('marked at 50, 100, 150 and 200 means every 50 h', () => {
    expect(triggersOfRow(COLUMNS, ['every', 'every', 'every', 'every', null], 'engine')).toEqual([
      everyHours(50),
    ]);
  });

  it('marked first at 50, then at 200 and yearly', () => {
    expect(triggersOfRow(COLUMNS, ['first', null, null, 'every', 'every'], 'engine')).toEqual([
      { kind: 'firstHours', hours: 50, meter: 'engine' },
      everyHours(200),
      every(12, 'month'),
    ]);
  });

  it('keeps two intervals of which none is a multiple of the other', () => {
    expect(triggersOfRow(COLUMNS, [null, 'every', 'every', 'every', null], 'loader')).toEqual([
      everyHours(100, { meter: 'loader' }),
      everyHours(150, { meter: 'loader' }),
    ]);
  });

  it('comes back from its triggers: the chart drawn again means the same', () => {
    const marks = fc.array(fc.constantFrom(null, ...CHART_MARKS), { minLength: 5, maxLength: 5 });
    fc.assert(
      fc.property(marks, (row) => {
        const triggers = triggersOfRow(COLUMNS, row, 'engine');
        const columns = columnsOf(triggers, 'engine');
        const drawn = rowOf(columns, triggers, 'engine');
        expect(drawn.others).toEqual([]);
        expect(triggersOfRow(columns, drawn.row, 'engine')).toEqual(triggers);
      }),
      { seed: 14 },
    );
  });

  it('keeps 100 days and 1 month apart, whatever their figures come to', () => {
    const hundredDays = { kind: 'everyCalendar', count: 100, unit: 'day', inUse: null } as const;
    const month = { kind: 'everyCalendar', count: 1, unit: 'month', inUse: null } as const;
    const columns = columnsOf([month, hundredDays], 'engine');
    expect(columns).toEqual([
      { kind: 'calendar', count: 100, unit: 'day' },
      { kind: 'calendar', count: 1, unit: 'month' },
    ]);
    const { row } = rowOf(columns, [month], 'engine');
    expect(triggersOfRow(columns, row, 'engine')).toEqual([month]);
  });

  it('leaves to the side what no cell can hold', () => {
    const storage = { kind: 'storage', days: 30 } as const;
    expect(rowOf(COLUMNS, [storage, everyHours(100)], 'engine')).toEqual({
      row: [null, 'every', null, null, null],
      others: [storage],
    });
  });
});
