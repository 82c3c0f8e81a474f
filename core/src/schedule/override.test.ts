import { withIntervals } from './override.js';
import { every, everyHours } from './testing/facts.js';

describe('intervals of a machine of its own', () => {
  const nothing = { meter: 'engine', hours: null, days: null, months: null } as const;
  const book = [everyHours(50), every(12, 'month'), { kind: 'storage', days: 30 } as const];

  it('change the one that was typed, and leave the others of the book alone', () => {
    expect(withIntervals(book, { ...nothing, months: 6 })).toEqual([
      everyHours(50),
      every(6, 'month'),
      { kind: 'storage', days: 30 },
    ]);
    expect(withIntervals(book, { ...nothing, hours: 40 })).toEqual([
      everyHours(40),
      every(12, 'month'),
      { kind: 'storage', days: 30 },
    ]);
    expect(withIntervals(book, nothing)).toEqual(book);
  });

  it('count on the meter that was said, and keep the grid of the book', () => {
    const loader = { kind: 'everyHours', hours: 10, meter: 'loader', grid: 'onMeter' } as const;
    expect(withIntervals([loader], { ...nothing, meter: 'loader', hours: 8 })).toEqual([
      { ...loader, hours: 8 },
    ]);
    expect(withIntervals([loader], { ...nothing, hours: 40 })).toEqual([loader, everyHours(40)]);
  });

  it('add what the book does not have: the first to come counts', () => {
    expect(withIntervals([everyHours(50)], { ...nothing, days: 90, months: 6 })).toEqual([
      everyHours(50),
      every(90, 'day'),
      every(6, 'month'),
    ]);
  });
});
