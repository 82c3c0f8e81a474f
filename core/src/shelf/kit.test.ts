import fc from 'fast-check';
import { kitValues, leftFault, leftWorth, mayOpen, usedParts } from './kit.js';
import type { CountedPart } from './kit.js';

const part = (articleId: string, quantity: number, priceMinor: number): CountedPart => ({
  unit: articleId === 'oil' ? 'litre' : 'piece',
  articleId,
  quantity,
  priceMinor,
});
/** Filter £7.90, 1.9 L of oil at £6.40, two plugs at £3.80: £27.66 loose. */
const KIT = [part('filter', 1, 790), part('oil', 1.9, 640), part('plug', 2, 380)];

describe('the parts of a kit', () => {
  it('are worth their share of its price by the loose prices', () => {
    // By hand: 2490 × 790/2766 = 711.17, × 1216/2766 = 1094.66, × 760/2766 = 684.16; the penny left goes to the oil.
    expect(kitValues(2490, KIT)).toEqual([711, 1095, 684]);
    expect(leftWorth(2490, 1, KIT, { articleId: 'plug', quantity: 1 })).toBe(342);
    expect(leftWorth(2490, 1, KIT, { articleId: 'plug', quantity: 2 })).toBe(684);
    // Of two kits for £49.80, one plug of four.
    expect(leftWorth(4980, 2, KIT, { articleId: 'plug', quantity: 1 })).toBe(342);
    expect(leftWorth(2490, 1, KIT, { articleId: 'blade', quantity: 1 })).toBeNull();
  });

  it('are worth the same a piece where no loose price is known', () => {
    expect(kitValues(1000, [part('a', 1, 0), part('b', 3, 0)])).toEqual([250, 750]);
    expect(kitValues(1000, [])).toEqual([]);
  });

  it('are worth the kit together, whatever it costs, and a part left over its share of it', () => {
    const kit = fc.array(
      fc.record({
        articleId: fc.uuid(),
        quantity: fc.integer({ min: 1, max: 20_000 }).map((thousandths) => thousandths / 1000),
        priceMinor: fc.integer({ min: 0, max: 1_000_000 }),
      }),
      { minLength: 1, maxLength: 20 },
    );
    fc.assert(
      fc.property(kit, fc.integer({ min: 0, max: 10_000_000 }), (parts, price) => {
        const values = kitValues(price, parts);
        expect(values.reduce((sum, value) => sum + value, 0)).toBe(price);
        for (const [at, { articleId, quantity }] of parts.entries()) {
          expect(values[at]).toBeGreaterThanOrEqual(0);
          expect(leftWorth(price, 1, parts, { articleId, quantity })).toBe(values[at]);
          const half = leftWorth(price, 1, parts, { articleId, quantity: quantity / 2 }) ?? NaN;
          expect(Math.abs(half * 2 - (values[at] ?? 0))).toBeLessThanOrEqual(1);
        }
      }),
    );
  });
});

test.each([
  [1, 'plug', 2, null],
  [2, 'plug', 4, null],
  [1, 'plug', 3, 'moreThanHeld'],
  [1, 'oil', 1.9, null],
  [3, 'oil', 5.7, null],
  [1, 'oil', 1.901, 'moreThanHeld'],
  [1, 'blade', 1, 'notInKit'],
  [1, 'plug', 0.5, 'partOfPiece'],
  [1, 'oil', 0.5, null],
])('of %s kits %s × %s left: %s', (kits, articleId, quantity, fault) => {
  expect(leftFault(kits, KIT, { articleId, quantity })).toBe(fault);
});

test('of opened kits everything was used that is not left', () => {
  expect(usedParts(1, KIT, [])).toEqual(['filter', 'oil', 'plug']);
  const left = [
    { articleId: 'plug', quantity: 2 },
    { articleId: 'oil', quantity: 0.4 },
  ];
  expect(usedParts(1, KIT, left)).toEqual(['filter', 'oil']);
  // Two plugs of four.
  expect(usedParts(2, KIT, left)).toEqual(['filter', 'oil', 'plug']);
  expect(usedParts(3, KIT, [{ articleId: 'oil', quantity: 5.7 }])).toEqual(['filter', 'plug']);
});

test('of a kit with contents there is no half', () => {
  expect([mayOpen(2, KIT), mayOpen(0.5, KIT), mayOpen(0.5, [])]).toEqual([true, false, true]);
});
