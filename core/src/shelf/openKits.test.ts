import fc from 'fast-check';
import { drawsWithKits } from './openKits.js';
import type { ShelvedKit } from './openKits.js';
import { roundQuantity } from './ledger.js';

/** Oil 1.9 L at £6.40, filter £7.90, two plugs at £3.80, fuel filter £4.20. */
const KIT: ShelvedKit = {
  articleId: 'kit',
  onHand: 3,
  contents: [
    { articleId: 'oil', unit: 'litre', quantity: 1.9, priceMinor: 640 },
    { articleId: 'filter', unit: 'piece', quantity: 1, priceMinor: 790 },
    { articleId: 'plug', unit: 'piece', quantity: 2, priceMinor: 380 },
    { articleId: 'fuelFilter', unit: 'piece', quantity: 1, priceMinor: 420 },
  ],
};
const OIL_CHANGE = [
  { articleId: 'oil', quantity: 1.99 },
  { articleId: 'filter', quantity: 1 },
];

describe('what a job takes from the shelf', () => {
  it('opens a kit for what is not there loose, uses all it holds, and says what is left', () => {
    const onHand = new Map([
      ['oil', 12],
      ['plug', 6],
    ]);
    expect(drawsWithKits(OIL_CHANGE, [KIT], onHand)).toEqual([
      {
        articleId: 'kit',
        quantity: 1,
        left: [
          { articleId: 'plug', quantity: 2 },
          { articleId: 'fuelFilter', quantity: 1 },
        ],
      },
      { articleId: 'oil', quantity: 0.09, left: [] },
    ]);
  });

  it('uses up what a kit left before it opens another', () => {
    const onHand = new Map([
      ['oil', 12],
      ['filter', 1],
    ]);
    expect(drawsWithKits(OIL_CHANGE, [KIT], onHand).map(({ articleId }) => articleId)).toEqual([
      'oil',
      'filter',
    ]);
  });

  it('opens none for less than half of its worth, nor one that is not there', () => {
    const fuelFilter = [{ articleId: 'fuelFilter', quantity: 1 }];
    // £4.20 of £31.86.
    expect(drawsWithKits(fuelFilter, [KIT], new Map())).toEqual([{ ...fuelFilter[0], left: [] }]);
    const out = { ...KIT, onHand: 0 };
    expect(drawsWithKits(OIL_CHANGE, [out], new Map()).map(({ articleId }) => articleId)).toEqual([
      'oil',
      'filter',
    ]);
  });

  it('takes the kit of which more is used', () => {
    const small = { articleId: 'small', onHand: 1, contents: KIT.contents.slice(0, 2) };
    expect(drawsWithKits(OIL_CHANGE, [KIT, small], new Map())[0]).toEqual({
      articleId: 'small',
      quantity: 1,
      left: [],
    });
  });

  it('takes the larger of two that would be used up', () => {
    const small = { articleId: 'small', onHand: 1, contents: KIT.contents.slice(0, 2) };
    const all = KIT.contents.map(({ articleId, quantity }) => ({ articleId, quantity }));
    expect(drawsWithKits(all, [small, KIT], new Map()).map(({ articleId }) => articleId)).toEqual(['kit']);
  });

  it('leaves the last drops of a bottle in it', () => {
    const leftOf = (oil: number) =>
      drawsWithKits(
        [{ articleId: 'oil', quantity: oil }, ...OIL_CHANGE.slice(1)],
        [KIT],
        new Map(),
      )[0]?.left.map(({ articleId, quantity }) => [articleId, quantity]);
    const rest = [
      ['plug', 2],
      ['fuelFilter', 1],
    ];
    expect(leftOf(1.85)).toEqual(rest);
    expect(leftOf(1.7)).toEqual([['oil', 0.2], ...rest]);
  });

  it('meets every need exactly, opens no kit that is not there, and leaves no more than was in it', () => {
    const name = fc.constantFrom('a', 'b', 'c', 'd');
    const lines = fc.uniqueArray(fc.tuple(name, fc.integer({ min: 1, max: 5000 })), {
      selector: ([each]) => each,
      maxLength: 4,
    });
    const kit = fc.tuple(lines, fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 900 }));
    fc.assert(
      fc.property(lines, fc.array(kit, { maxLength: 3 }), lines, (needs, rows, stock) => {
        const kits = rows.map(([contents, onHand, priceMinor], at) => ({
          articleId: `kit${at}`,
          onHand,
          contents: contents.map(([articleId, thousandths]) => ({
            articleId,
            unit: 'piece' as const,
            quantity: thousandths / 1000,
            priceMinor,
          })),
        }));
        const wanted = needs.map(([articleId, thousandths]) => ({ articleId, quantity: thousandths / 1000 }));
        const draws = drawsWithKits(wanted, kits, new Map(stock.map(([id, count]) => [id, count / 1000])));
        const got = new Map<string, number>();
        const add = (id: string, quantity: number) =>
          got.set(id, roundQuantity((got.get(id) ?? 0) + quantity));
        for (const { articleId, quantity, left } of draws) {
          const opened = kits.find((each) => each.articleId === articleId);
          if (!opened) add(articleId, quantity);
          else {
            expect(quantity).toBeLessThanOrEqual(opened.onHand);
            for (const part of opened.contents) add(part.articleId, part.quantity * quantity);
          }
          for (const each of left) {
            const held = opened?.contents.find(({ articleId: id }) => id === each.articleId)?.quantity ?? 0;
            expect(each.quantity).toBeLessThanOrEqual(roundQuantity(held * quantity));
            add(each.articleId, -each.quantity);
          }
        }
        for (const { articleId, quantity } of wanted) expect(got.get(articleId)).toBe(quantity);
        for (const [id, quantity] of got)
          expect([id, quantity]).toEqual([
            id,
            wanted.find(({ articleId }) => articleId === id)?.quantity ?? 0,
          ]);
      }),
    );
  });
});
