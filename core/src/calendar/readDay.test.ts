import fc from 'fast-check';
import { addDays, civilDate } from './civilDate.js';
import { DATE_ORDERS, readDay, typedDay } from './dateOrder.js';

describe('a day as somebody types it', () => {
  it.each([
    ['12/5/2026', 'dayFirst', '2026-05-12'],
    ['12/5/2026', 'monthFirst', '2026-12-05'],
    ['12.5.26', 'dayFirst', '2026-05-12'],
    ['12-05-26', 'monthFirst', '2026-12-05'],
    ['26-5-12', 'yearFirst', '2026-05-12'],
    ['2026-05-12', 'dayFirst', '2026-05-12'],
    [' 2026/5/12 ', 'monthFirst', '2026-05-12'],
    ['31/2/2026', 'dayFirst', null],
    ['13/13/2026', 'dayFirst', null],
    ['5/12/206', 'dayFirst', null],
    ['5/12/6', 'dayFirst', null],
    ['2026-05', 'yearFirst', null],
    ['May 12', 'monthFirst', null],
    ['', 'dayFirst', null],
  ] as const)('%s, %s, is %s', (text, order, day) => {
    expect(readDay(text, order)).toBe(day);
  });

  it('is read back from how it is shown, in every order', () => {
    const days = fc.integer({ min: 0, max: 30_000 }).map((day) => addDays(civilDate('2000-01-01'), day));
    fc.assert(
      fc.property(days, fc.constantFrom(...DATE_ORDERS), (day, order) => {
        expect(readDay(typedDay(day, order), order)).toBe(day);
      }),
    );
  });
});
