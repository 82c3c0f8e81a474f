import fc from 'fast-check';
import { addDays, civilDate } from '../calendar/civilDate.js';
import { MOVEMENT_KINDS } from './movementKinds.js';
import { shelfMonths } from './months.js';

const on = civilDate('2026-11-03');
const moved = (day: string, kind: Parameters<typeof shelfMonths>[0][number]['kind'], valueMinor: number) => ({
  on: civilDate(day),
  kind,
  valueMinor,
});

test('a month ends with what it began with, what came in and what went out', () => {
  const months = shelfMonths(
    [
      moved('2026-09-30', 'received', 10_000),
      moved('2026-11-01', 'drawn', -2490),
      moved('2026-11-01', 'left', 684),
      moved('2026-11-02', 'counted', -300),
      moved('2026-11-02', 'lent', -500),
      moved('2026-11-03', 'returned', 450),
      moved('2026-11-03', 'scrapped', -100),
      moved('2026-11-03', 'priced', -20),
    ],
    on,
  );
  const still = { cameIn: 0, used: 0, counted: 0, scrapped: 0, lent: 0, priced: 0 };
  expect(months).toEqual([
    { ...still, month: '2026-09', opening: 0, cameIn: 10_000, closing: 10_000 },
    { ...still, month: '2026-10', opening: 10_000, closing: 10_000 },
    {
      month: '2026-11',
      opening: 10_000,
      cameIn: 0,
      used: -1806,
      counted: -300,
      scrapped: -100,
      lent: -50,
      priced: -20,
      closing: 7724,
    },
  ]);
});

test('a shelf on which nothing ever lay has no months; a year ends with December', () => {
  expect(shelfMonths([], on)).toEqual([]);
  const months = shelfMonths([moved('2025-11-30', 'received', 1)], civilDate('2026-02-01'));
  expect(months.map(({ month }) => month)).toEqual(['2025-11', '2025-12', '2026-01', '2026-02']);
});

test('the last closing is the sum of all that moved, whatever it was', () => {
  const movement = fc.record({
    on: fc.integer({ min: 0, max: 800 }).map((days) => addDays(on, -days)),
    kind: fc.constantFrom(...MOVEMENT_KINDS, 'priced' as const),
    valueMinor: fc.integer({ min: -9999, max: 9999 }),
  });
  fc.assert(
    fc.property(fc.array(movement, { minLength: 1 }), (movements) => {
      const months = shelfMonths(movements, on);
      expect(months.at(-1)?.closing).toBe(movements.reduce((sum, { valueMinor }) => sum + valueMinor, 0));
      for (const [at, { opening }] of months.entries()) expect(opening).toBe(months[at - 1]?.closing ?? 0);
    }),
  );
});
