import fc from 'fast-check';
import { roundQuantity } from './ledger.js';
import { stockBySheds, stockInShed, takenFromSheds } from './sheds.js';
import type { ShedStock } from './sheds.js';

const SHEDS = ['North shed', 'Nursery yard', 'Boat house', null] as const;
const aShed = fc.constantFrom(...SHEDS);
const someMovements = fc.array(
  fc.record({ shed: aShed, quantity: fc.integer({ min: -9_000, max: 9_000 }).map((ml) => ml / 1_000) }),
  { maxLength: 12 },
);

function all(stock: readonly ShedStock[]): number {
  return roundQuantity(stock.reduce((sum, { quantity }) => sum + quantity, 0));
}

describe('what lies in each shed', () => {
  it('is the sum of what was brought there and taken from there, those without anything left out', () => {
    const stock = stockBySheds([
      { shed: null, quantity: 2 },
      { shed: 'North shed', quantity: 5 },
      { shed: 'Boat house', quantity: 0.1 },
      { shed: 'North shed', quantity: -3 },
      { shed: 'Nursery yard', quantity: 1 },
      { shed: 'Boat house', quantity: 0.2 },
      { shed: 'Nursery yard', quantity: -1 },
    ]);
    expect(stock).toEqual([
      { shed: 'Boat house', quantity: 0.3 },
      { shed: 'North shed', quantity: 2 },
      { shed: null, quantity: 2 },
    ]);
    expect(stockInShed(stock, 'North shed')).toBe(2);
    expect(stockInShed(stock, 'Nursery yard')).toBe(0);
  });

  it('adds up to what is on hand', () => {
    fc.assert(
      fc.property(someMovements, (movements) => {
        expect(all(stockBySheds(movements))).toBe(all(movements));
      }),
    );
  });
});

describe('what work takes', () => {
  const stock = [
    { shed: 'Boat house', quantity: 1 },
    { shed: 'North shed', quantity: 2 },
    { shed: 'Nursery yard', quantity: 4 },
    { shed: null, quantity: 1 },
  ];

  it('comes from its own shed, then from where nobody said, then from where most lies', () => {
    expect(takenFromSheds(stock, 'North shed', 2)).toEqual([{ shed: 'North shed', quantity: 2 }]);
    expect(takenFromSheds(stock, 'North shed', 4)).toEqual([
      { shed: 'North shed', quantity: 2 },
      { shed: null, quantity: 1 },
      { shed: 'Nursery yard', quantity: 1 },
    ]);
    expect(takenFromSheds(stock, null, 1.5)).toEqual([
      { shed: null, quantity: 1 },
      { shed: 'Nursery yard', quantity: 0.5 },
    ]);
  });

  it('is taken at home where it lies nowhere', () => {
    expect(takenFromSheds([], 'North shed', 3)).toEqual([{ shed: 'North shed', quantity: 3 }]);
    expect(takenFromSheds([{ shed: 'North shed', quantity: 1 }], 'North shed', 3)).toEqual([
      { shed: 'North shed', quantity: 3 },
    ]);
  });

  it('is all that is asked for, each shed once, none driven below nothing but home', () => {
    fc.assert(
      fc.property(someMovements, aShed, fc.integer({ min: 1, max: 20_000 }), (movements, home, ml) => {
        const before = stockBySheds(movements);
        const taken = takenFromSheds(before, home, ml / 1_000);
        expect(all(taken)).toBe(ml / 1_000);
        expect(new Set(taken.map(({ shed }) => shed)).size).toBe(taken.length);
        for (const { shed, quantity } of taken) {
          expect(quantity).toBeGreaterThan(0);
          if (shed !== home) expect(quantity).toBeLessThanOrEqual(stockInShed(before, shed));
        }
      }),
    );
  });
});
