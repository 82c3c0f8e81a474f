import fc from 'fast-check';
import {
  comeIn,
  costNow,
  costOf,
  lotsWorth,
  NO_STOCK,
  stockOnHand,
  takeOut,
  voidIn,
  voidOut,
} from './lots.js';
import type { Stock, Take } from './lots.js';
import { roundQuantity } from './ledger.js';

const lot = (id: string, left: number, leftMinor: number) => ({ id, left, leftMinor });

describe('stock in lots', () => {
  // Two lots of oil: 4 L for £20, then 4 L for £24.
  const oil = comeIn(comeIn(NO_STOCK, lot('a', 4, 2000)), lot('b', 4, 2400));

  it('goes out first in first out, at what it cost', () => {
    // By hand: 4 L at £5 and 1 L at £6.
    const after = takeOut(oil, 'job', 5, 999);
    expect(costOf(after, 'job')).toBe(2600);
    expect(after.lots).toEqual([lot('a', 0, 0), lot('b', 3, 1800)]);
    expect(costNow(oil.lots, 5, 999)).toBe(2600);
  });

  it('goes out beyond what is there at the price of the day, and what comes in covers it', () => {
    const beyond = takeOut(oil, 'job', 10, 700);
    expect(costOf(beyond, 'job')).toBe(4400 + 1400);
    expect(lotsWorth(beyond.lots)).toBe(0);
    const later = comeIn(beyond, lot('c', 5, 4000));
    // The record still says £7 a litre; the lot lost £8 for each.
    expect(costOf(later, 'job')).toBe(5800);
    expect(later.lots.at(-1)).toEqual(lot('c', 3, 2400));
    expect(later.takes.at(-1)).toEqual({
      movementId: 'job',
      lotId: 'c',
      quantity: 2,
      costMinor: 1400,
      lotMinor: 1600,
    });
  });

  it('gets back exactly what a voided movement took, to the lots of which it took it', () => {
    const drawn = takeOut(takeOut(oil, 'first', 3, 0), 'second', 3, 0);
    const after = voidOut(drawn, 'first');
    expect(after.lots).toEqual([lot('a', 3, 1500), lot('b', 2, 1200)]);
    // What the second cost stands.
    expect(costOf(after, 'second')).toBe(costOf(drawn, 'second'));
  });

  it('has what was taken of a voided lot covered by another, or waiting', () => {
    const drawn = takeOut(oil, 'job', 2, 0);
    expect(voidIn(drawn, 'a').lots).toEqual([lot('b', 2, 1200)]);
    const none = voidIn(voidIn(drawn, 'a'), 'b');
    expect(none).toEqual({
      lots: [],
      takes: [{ movementId: 'job', lotId: null, quantity: 2, costMinor: 1000, lotMinor: 0 }],
    });
  });
});

/** A lot that cannot be parted into whole pence, and one act after another. */
type Act =
  | { readonly act: 'in'; readonly quantity: number; readonly valueMinor: number }
  | { readonly act: 'out'; readonly quantity: number }
  | { readonly act: 'voidIn' | 'voidOut'; readonly nth: number };

const QUANTITY = fc.integer({ min: 1, max: 20_000 }).map((thousandths) => thousandths / 1000);
const ACT: fc.Arbitrary<Act> = fc.oneof(
  fc.record({
    act: fc.constant('in' as const),
    quantity: QUANTITY,
    valueMinor: fc.integer({ min: 0, max: 100_000 }),
  }),
  fc.record({ act: fc.constant('out' as const), quantity: QUANTITY }),
  fc.record({ act: fc.constantFrom('voidIn' as const, 'voidOut' as const), nth: fc.nat({ max: 30 }) }),
);
const PRICE = 333;

/** Random acts, and the movements that count after them. */
function play(acts: readonly Act[]) {
  let stock: Stock = NO_STOCK;
  const ins = new Map<string, { quantity: number; valueMinor: number }>();
  const outs = new Map<string, { quantity: number; costMinor: number }>();
  for (const [at, act] of acts.entries()) {
    const id = `m${at}`;
    if (act.act === 'in') {
      ins.set(id, act);
      stock = comeIn(stock, lot(id, act.quantity, act.valueMinor));
    } else if (act.act === 'out') {
      stock = takeOut(stock, id, act.quantity, PRICE);
      outs.set(id, { quantity: act.quantity, costMinor: costOf(stock, id) });
    } else {
      const among = act.act === 'voidIn' ? ins : outs;
      const voided = [...among.keys()][act.nth % Math.max(1, among.size)];
      if (voided === undefined) continue;
      among.delete(voided);
      stock = act.act === 'voidIn' ? voidIn(stock, voided) : voidOut(stock, voided);
    }
  }
  return { stock, ins, outs };
}

const sum = (figures: readonly number[]) => roundQuantity(figures.reduce((all, figure) => all + figure, 0));
const waiting = ({ takes }: Stock) => takes.filter(({ lotId }) => lotId === null);

describe('any stock after any acts', () => {
  const check = (holds: (played: ReturnType<typeof play>) => void) =>
    fc.assert(
      fc.property(fc.array(ACT, { maxLength: 40 }), (acts) => holds(play(acts))),
      { numRuns: 300 },
    );

  it('adds up: what came in less what went out lies there, or is waited for, never both', () => {
    check(({ stock, ins, outs }) => {
      const there = sum(stock.lots.map(({ left }) => left));
      const missing = sum(waiting(stock).map(({ quantity }) => quantity));
      const booked =
        sum([...ins.values()].map(({ quantity }) => quantity)) -
        sum([...outs.values()].map(({ quantity }) => quantity));
      expect(stockOnHand(stock)).toBe(roundQuantity(booked));
      expect(Math.min(there, missing)).toBe(0);
    });
  });

  it('loses no penny: each lot is worth what came in less what was taken of it, and an empty one nothing', () => {
    check(({ stock, ins }) => {
      for (const { id, left, leftMinor } of stock.lots) {
        const own = stock.takes.filter(({ lotId }) => lotId === id);
        expect(leftMinor + sum(own.map(({ lotMinor }) => lotMinor))).toBe(ins.get(id)?.valueMinor);
        expect(roundQuantity(left + sum(own.map(({ quantity }) => quantity)))).toBe(ins.get(id)?.quantity);
        expect(leftMinor).toBeGreaterThanOrEqual(0);
        if (left === 0) expect(leftMinor).toBe(0);
      }
    });
  });

  it('lets what a record cost stand, whatever comes in or is voided later', () => {
    check(({ stock, outs }) => {
      for (const [id, { quantity, costMinor }] of outs) {
        const own: readonly Take[] = stock.takes.filter(({ movementId }) => movementId === id);
        expect(sum(own.map((take) => take.quantity))).toBe(quantity);
        expect(costOf(stock, id)).toBe(costMinor);
      }
      expect(stock.takes.every(({ movementId }) => outs.has(movementId))).toBe(true);
    });
  });

  it('is as before when what just went out or came in is voided', () => {
    check(({ stock }) => {
      if (waiting(stock).length === 0)
        expect(voidOut(takeOut(stock, 'new', 7.5, PRICE), 'new')).toEqual(stock);
      expect(voidIn(comeIn(stock, lot('new', 7.5, 1111)), 'new').lots).toEqual(stock.lots);
    });
  });

  it('without voids is the queue of single pieces', () => {
    const pieces = fc.array(
      fc.oneof(
        fc.record({ act: fc.constant('in' as const), count: fc.integer({ min: 1, max: 9 }) }),
        fc.record({ act: fc.constant('out' as const), count: fc.integer({ min: 1, max: 9 }) }),
      ),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(pieces, (acts) => {
        let stock: Stock = NO_STOCK;
        const queue: string[] = [];
        for (const [at, { act, count }] of acts.entries()) {
          if (act === 'in') {
            stock = comeIn(stock, lot(`m${at}`, count, count * 100));
            queue.push(...Array.from({ length: count }, () => `m${at}`));
          } else if (count <= queue.length) {
            stock = takeOut(stock, `m${at}`, count, 100);
            const gone = queue.splice(0, count);
            const own = stock.takes.filter(({ movementId }) => movementId === `m${at}`);
            expect(own.flatMap((take) => Array.from({ length: take.quantity }, () => take.lotId))).toEqual(
              gone,
            );
          }
        }
      }),
    );
  });
});
