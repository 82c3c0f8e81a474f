import fc from 'fast-check';
import { addDays, civilDate, daysBetween } from '../calendar/civilDate.js';
import { chanceBy, chanceOfShortage, enoughFor, firstDayOf, outlookOf, weeklyDemand } from './demand.js';
import type { Arrival, Demand } from './demand.js';

const TODAY = civilDate('2027-03-01');
const on = (days: number) => addDays(TODAY, days);
/** Days from today of the 10 % point, the expected day and the 90 % point. */
const demand = (early: number | null, expected: number, late: number | null, quantity = 1): Demand => ({
  earlyOn: early === null ? null : on(early),
  expectedOn: on(expected),
  lateOn: late === null ? null : on(late),
  quantity,
});

describe('the chance that a demand has come', () => {
  it.each([
    // Straight through the three points, and on beyond them.
    [demand(10, 30, 70), 10, 0.1],
    [demand(10, 30, 70), 20, 0.3],
    [demand(10, 30, 70), 30, 0.5],
    [demand(10, 30, 70), 50, 0.7],
    [demand(10, 30, 70), 70, 0.9],
    [demand(10, 30, 70), 75, 0.95],
    [demand(10, 30, 70), 5, 0],
    [demand(10, 30, 70), 200, 1],
    // Sure of the day: on it, not before.
    [demand(30, 30, 30), 29, 0],
    [demand(30, 30, 30), 30, 1],
    // Perhaps never.
    [demand(10, 30, null), 400, 0.5],
    [demand(null, 30, 50), 29, 0],
  ])('%j is by day %s %s', (each, days, chance) => {
    expect(chanceBy(each, on(days))).toBeCloseTo(chance, 9);
  });
});

it('comes by the first day on which its chance is as great as asked, and by no day before', () => {
  const days = fc.nat({ max: 90 });
  const late = fc.option(days);
  fc.assert(
    fc.property(days, days, late, fc.integer({ min: 1, max: 99 }), (early, more, evenMore, hundredths) => {
      const each = demand(early, early + more, evenMore === null ? null : early + more + evenMore);
      const first = firstDayOf(each, hundredths / 100);
      if (first === null) {
        expect(chanceBy(each, on(10_000))).toBeLessThan(hundredths / 100);
        return;
      }
      expect(chanceBy(each, first)).toBeGreaterThanOrEqual(hundredths / 100 - 1e-5);
      expect(chanceBy(each, addDays(first, -1))).toBeLessThan(hundredths / 100);
    }),
    { seed: 3, numRuns: 500 },
  );
});

const DEMANDS = fc.array(
  fc
    .tuple(
      fc.nat({ max: 60 }),
      fc.nat({ max: 60 }),
      fc.option(fc.nat({ max: 60 })),
      fc.integer({ min: 1, max: 3 }),
    )
    .map(([early, more, evenMore, quantity]) =>
      demand(early, early + more, evenMore === null ? null : early + more + evenMore, quantity),
    ),
  { maxLength: 8 },
);
const runs = { seed: 3, numRuns: 200 };

describe('what is taken', () => {
  it('week by week adds up to all that comes in those weeks', () => {
    const weeks = weeklyDemand([demand(0, 0, 0, 2), demand(10, 20, 30, 4)], TODAY, 4);
    // By hand, of 4: 10 % by day 10, 50 % by day 20, 70 % by day 25, 80 % would be day 27.5: by day 6 0 %, 13 22 %, 20 50 %, 27 78 %.
    expect(weeks).toEqual([2, 0.88, 1.12, 1.12]);
    fc.assert(
      fc.property(DEMANDS, (demands) => {
        const sum = weeklyDemand(demands, TODAY, 20).reduce((all, week) => all + week, 0);
        const by = demands.reduce((all, each) => all + each.quantity * chanceBy(each, on(139)), 0);
        expect(sum).toBeCloseTo(by, 1);
      }),
      runs,
    );
  });

  it('is more than there is as often as every way that it may come says', () => {
    fc.assert(
      fc.property(DEMANDS, fc.nat({ max: 12 }), fc.nat({ max: 90 }), (demands, available, days) => {
        let chance = 0;
        for (let way = 0; way < 2 ** demands.length; way += 1) {
          let [likely, taken] = [1, 0];
          for (const [at, each] of demands.entries()) {
            const comes = (way >> at) % 2 === 1;
            likely *= comes ? chanceBy(each, on(days)) : 1 - chanceBy(each, on(days));
            if (comes) taken += each.quantity;
          }
          if (taken > available) chance += likely;
        }
        expect(chanceOfShortage(demands, available, on(days), 'piece')).toBeCloseTo(chance, 9);
      }),
      runs,
    );
  });

  it('is enough where the chance of a shortage is small, and one piece fewer is not', () => {
    fc.assert(
      fc.property(DEMANDS, fc.nat({ max: 90 }), fc.constantFrom(0.5, 0.8, 0.95), (demands, days, sure) => {
        const enough = enoughFor(demands, on(days), 'piece', sure);
        expect(chanceOfShortage(demands, enough, on(days), 'piece')).toBeLessThanOrEqual(1 - sure + 1e-5);
        if (enough > 0)
          expect(chanceOfShortage(demands, enough - 1, on(days), 'piece')).toBeGreaterThan(1 - sure);
      }),
      runs,
    );
  });

  it('is reckoned in tenths of a litre: 1.9 L twice are 3.8 L', () => {
    const sure = [demand(1, 1, 1, 1.9), demand(1, 1, 1, 1.9)];
    expect(enoughFor(sure, on(1), 'litre', 0.95)).toBe(3.8);
    expect(chanceOfShortage(sure, 3.8, on(1), 'litre')).toBe(0);
    expect(chanceOfShortage(sure, 3.7, on(1), 'litre')).toBe(1);
  });
});

describe('the outlook', () => {
  const stocked = { unit: 'piece' as const, onHand: 2, arrivals: [], leadDays: 5, sure: 0.9 };

  it('names the day on which it may be short, and by when to order', () => {
    // Three come on sure days; the third is one too many.
    const demands = [demand(3, 3, 3), demand(20, 20, 20), demand(40, 40, 40)];
    expect(outlookOf(demands, stocked, TODAY, 12)).toEqual({
      expected: 3,
      chanceBeforeArrival: 0,
      shortOn: on(40),
      orderBy: on(35),
      safety: 0,
    });
    const arrivals = [{ on: on(39), quantity: 1 }];
    expect(outlookOf(demands, { ...stocked, arrivals }, TODAY, 12).shortOn).toBeNull();
    const late = [{ on: on(41), quantity: 5 }];
    expect(outlookOf(demands, { ...stocked, arrivals: late }, TODAY, 12).shortOn).toBe(on(40));
  });

  it('keeps so much beside what is expected as the range of the forecast asks for', () => {
    // One in two comes by the fifth day: 0.5 expected; to be nine tenths sure, one is to be there.
    const { safety, chanceBeforeArrival } = outlookOf(
      [demand(1, 5, 9)],
      { ...stocked, onHand: 0 },
      TODAY,
      12,
    );
    expect(safety).toBe(0.5);
    // By the fourth day: 10 % and three quarters of the 40 % between.
    expect(chanceBeforeArrival).toBeCloseTo(0.4, 9);
  });

  it('is short on the first day that day by day is short, whatever arrives', () => {
    const ARRIVALS = fc.array(
      fc.record({ on: fc.nat({ max: 100 }).map(on), quantity: fc.integer({ min: 1, max: 3 }) }),
      { maxLength: 3 },
    );
    fc.assert(
      fc.property(DEMANDS, ARRIVALS, fc.nat({ max: 5 }), (demands, arrivals: Arrival[], onHand) => {
        const { shortOn } = outlookOf(demands, { ...stocked, onHand, arrivals }, TODAY, 15);
        const days = Array.from({ length: 105 }, (_, at) => on(at));
        const first = days.find((day) => {
          const there = arrivals.reduce(
            (sum, arrival) => (daysBetween(arrival.on, day) >= 0 ? sum + arrival.quantity : sum),
            onHand,
          );
          return chanceOfShortage(demands, there, day, 'piece') > 0.1 + 1e-6;
        });
        expect(shortOn).toBe(first ?? null);
      }),
      runs,
    );
  });
});
