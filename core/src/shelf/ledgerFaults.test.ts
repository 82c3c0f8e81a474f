import fc from 'fast-check';
import { ledgerFaults, leftOfLots } from './ledgerFaults.js';
import type { ToldMovement } from './ledgerFaults.js';
import { comeIn, NO_STOCK, takeOut, voidOut } from './lots.js';

const came = (quantity: number, valueMinor: number): ToldMovement => ({
  kind: 'received',
  quantity,
  valueMinor,
  takes: [],
});
const used = (quantity: number, valueMinor: number, ...takes: ToldMovement['takes']): ToldMovement => ({
  kind: 'drawn',
  quantity,
  valueMinor,
  takes,
});
const take = (lot: number | null, quantity: number, costMinor: number, lotMinor = costMinor) => ({
  lot,
  quantity,
  costMinor,
  lotMinor,
});
const moved = (quantity: number): ToldMovement => ({ kind: 'moved', quantity, valueMinor: 0, takes: [] });
const codes = (...movements: ToldMovement[]) => ledgerFaults(movements).map(({ at, code }) => [at, code]);

it('says what is left of what came in', () => {
  expect(leftOfLots([came(4, 2000), used(-3, -1500, take(0, 3, 1500)), moved(1), moved(-1)])).toEqual([
    { left: 1, leftMinor: 500 },
    null,
    null,
    null,
  ]);
});

it.each<[string, ToldMovement[], [number | null, string][]]>([
  ['nothing that moved', [came(0, 0)], [[0, 'nothing']]],
  ['what came in and took', [{ ...came(2, 9), takes: [take(0, 1, 4)] }], [[0, 'takes']]],
  [
    'what came in for less than nothing',
    [came(2, -1)],
    [
      [0, 'value'],
      [0, 'overdrawn'],
    ],
  ],
  ['what went out of nowhere', [used(-1, -5)], [[0, 'takes']]],
  ['what went out of a lot that is not there', [used(-1, -5, take(7, 1, 5))], [[0, 'noLot']]],
  ['what went out of what went out', [used(-1, -5, take(0, 1, 5))], [[0, 'noLot']]],
  ['what waits and yet lost', [used(-1, -5, take(null, 1, 5, 5))], [[0, 'noLot']]],
  ['what cost something else', [came(2, 9), used(-1, -5, take(0, 1, 4))], [[1, 'value']]],
  ['more than came in', [came(2, 10), used(-3, -15, take(0, 3, 15, 10))], [[0, 'overdrawn']]],
  ['all of it, and a penny stays', [came(2, 10), used(-2, -9, take(0, 2, 9))], [[0, 'overdrawn']]],
  ['what left one shed and came to none', [came(2, 10), moved(-1)], [[null, 'moved']]],
  ['what was moved at a price', [{ ...moved(1), valueMinor: 3 }, moved(-1)], [[0, 'moved']]],
  [
    'what was moved out of a shed of lots',
    [moved(1), { ...moved(-1), takes: [take(0, 1, 0)] }],
    [[1, 'moved']],
  ],
])('does not add up: %s', (_what, movements, expected) => {
  expect(codes(...movements)).toEqual(expected);
});

it('finds nothing wrong with what the ledger itself books, whatever is done, and something with any quantity that is changed', () => {
  const act = fc.oneof(
    fc.record({
      kind: fc.constant('in' as const),
      ml: fc.integer({ min: 1, max: 9_000 }),
      minor: fc.nat(9_000),
    }),
    fc.record({
      kind: fc.constant('out' as const),
      ml: fc.integer({ min: 1, max: 9_000 }),
      minor: fc.nat(900),
    }),
    fc.record({ kind: fc.constant('void' as const), ml: fc.nat(9), minor: fc.constant(0) }),
  );
  fc.assert(
    fc.property(fc.array(act, { minLength: 1, maxLength: 14 }), fc.nat(), (acts, which) => {
      let stock = NO_STOCK;
      const booked: { id: string; quantity: number; valueMinor: number }[] = [];
      for (const [at, { kind, ml, minor }] of acts.entries()) {
        const id = String(at);
        if (kind === 'in') {
          stock = comeIn(stock, { id, left: ml / 1_000, leftMinor: minor });
          booked.push({ id, quantity: ml / 1_000, valueMinor: minor });
        } else if (kind === 'out') {
          stock = takeOut(stock, id, ml / 1_000, minor);
          const cost = stock.takes.filter(({ movementId }) => movementId === id);
          const valueMinor = 0 - cost.reduce((sum, { costMinor }) => sum + costMinor, 0);
          booked.push({ id, quantity: -ml / 1_000, valueMinor });
        } else {
          const gone = booked.filter(({ quantity }) => quantity < 0)[ml];
          if (!gone) continue;
          stock = voidOut(stock, gone.id);
          booked.splice(booked.indexOf(gone), 1);
        }
      }
      const place = new Map(booked.map(({ id }, at) => [id, at]));
      const told = booked.map(({ id, quantity, valueMinor }): ToldMovement => ({
        kind: quantity > 0 ? 'received' : 'drawn',
        quantity,
        valueMinor,
        takes: stock.takes
          .filter(({ movementId }) => movementId === id)
          .map(({ lotId, quantity: part, costMinor, lotMinor }) => ({
            lot: lotId === null ? null : (place.get(lotId) ?? null),
            quantity: part,
            costMinor,
            lotMinor,
          })),
      }));
      expect(ledgerFaults(told)).toEqual([]);
      const lots = leftOfLots(told).flatMap((lot) => (lot ? [lot] : []));
      expect(lots).toEqual(stock.lots.map(({ left, leftMinor }) => ({ left, leftMinor })));
      const outs = told.filter(({ quantity }) => quantity < 0);
      const wrong = outs[which % Math.max(1, outs.length)];
      if (wrong)
        expect(
          ledgerFaults(
            told.map((each) => (each === wrong ? { ...each, quantity: each.quantity - 1 } : each)),
          ),
        ).not.toEqual([]);
    }),
  );
});
