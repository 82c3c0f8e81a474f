import fc from 'fast-check';
import { countDifference, countTotals } from './countSheet.js';
import { roundQuantity } from './ledger.js';

describe('a count', () => {
  it('differs from the book by pieces and money', () => {
    // Two filters of £7.90 are missing; 0.4 L of oil at £6.40 are there besides.
    const filter = countDifference({ counted: 3, booked: 5 }, 790);
    const oil = countDifference({ counted: 7.9, booked: 7.5 }, 640);
    expect(filter).toEqual({ quantity: -2, valueMinor: -1580 });
    expect(oil).toEqual({ quantity: 0.4, valueMinor: 256 });
    expect(countTotals([filter, oil, countDifference({ counted: 1, booked: 1 }, 5)])).toEqual({
      missing: 1580,
      besides: 256,
    });
    expect(countTotals([])).toEqual({ missing: 0, besides: 0 });
  });

  it('brings the book to what was counted, whatever stood there', () => {
    const thousandths = fc.integer({ min: -50_000, max: 5_000_000 });
    fc.assert(
      fc.property(thousandths, thousandths, fc.integer({ min: 0, max: 100_000 }), (was, is, price) => {
        const [booked, counted] = [was / 1000, is / 1000];
        const { quantity, valueMinor } = countDifference({ counted, booked }, price);
        expect(roundQuantity(booked + quantity)).toBe(counted);
        expect(Object.is(valueMinor, -0)).toBe(false);
        expect(Math.sign(valueMinor) === 0 || Math.sign(valueMinor) === Math.sign(quantity)).toBe(true);
      }),
    );
  });
});
