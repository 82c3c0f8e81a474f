import fc from 'fast-check';
import { proposedDraw } from '../job/proposedDraw.js';
import { countCorrection, isDrawnMeanwhile, isShort, onHand, roundQuantity, stockState } from './ledger.js';

describe('the shelf', () => {
  it('adds up what came and went, without binary dust', () => {
    // 20 L came, 3.7 L and twice 1.9 L went: 12.5 L.
    expect(onHand([{ quantity: 20 }, { quantity: -3.7 }, { quantity: -1.9 }, { quantity: -1.9 }])).toBe(12.5);
    expect(onHand(Array.from({ length: 10 }, () => ({ quantity: 0.1 })))).toBe(1);
  });

  it('is brought to what was counted', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -9999, max: 99_999 }),
        fc.integer({ min: 0, max: 99_999 }),
        (booked, counted) => {
          const [was, is] = [booked / 1000, counted / 1000];
          expect(roundQuantity(was + countCorrection(was, is))).toBe(is);
        },
      ),
      { seed: 7 },
    );
  });

  it('is low below the least and out at nothing', () => {
    expect([0, -1, 2, 3, 4].map((quantity) => stockState(quantity, 3))).toEqual([
      'out',
      'beyond',
      'low',
      'enough',
      'enough',
    ]);
    // Of what is not kept there is none, unless more was drawn than ever came.
    expect([0, -1, 1].map((quantity) => stockState(quantity, 0))).toEqual(['none', 'beyond', 'enough']);
    expect((['beyond', 'out', 'low', 'enough', 'none'] as const).filter(isShort)).toEqual([
      'beyond',
      'out',
      'low',
    ]);
  });

  it('tells who draws what somebody else drew meanwhile, not who draws beyond what was there', () => {
    // Drawn, seen when it was written down, on hand now.
    const cases = [
      [1, 1, 0, true],
      [1, 1, 1, false],
      [2, 1, 0, false],
      [1, 3, 1, false],
      [1.9, 4, 1.8, true],
      [1, 0, 0, false],
    ] as const;
    for (const [quantity, seen, there, told] of cases)
      expect(isDrawnMeanwhile(quantity, seen, there)).toBe(told);
  });

  it('is drawn on for the chosen items only, each article once', () => {
    const needs = [
      { itemId: 'oil', articleId: 'kit', quantity: 1 },
      { itemId: 'axle', articleId: 'fluid', quantity: 0.7 },
      { itemId: 'hydro', articleId: 'fluid', quantity: 1.4 },
      { itemId: 'plugs', articleId: 'plug', quantity: 2 },
    ];
    expect(proposedDraw(['hydro', 'oil', 'axle'], needs)).toEqual([
      { articleId: 'kit', quantity: 1 },
      { articleId: 'fluid', quantity: 2.1 },
    ]);
    expect(proposedDraw([], needs)).toEqual([]);
  });
});
