import fc from 'fast-check';

import { drainPlan } from './drainPlan.js';
import { atDipstick, fillPlan, filterTakes } from './fillPlan.js';
import type { FillNeed } from './fillPlan.js';
import { fullJugs, jugActs, pourFrom } from './jugs.js';
import { coldCrankingLimit, gradesFor } from './viscosity.js';

/** Volumes that occur in a shed. */
const LITRES = fc.double({ min: 0, max: 60, noNaN: true });

const NEED: FillNeed = {
  capacityWithFilter: 2,
  capacityWithoutFilter: 1.7,
  firstPourByBook: null,
  filterChanged: true,
  prefill: 'none',
  retained: 0,
  target: 'fullMark',
  shade: 0.08,
};

describe('a fill plan', () => {
  it('holds back what the filter swallows and a twentieth', () => {
    // 2.0 L with, 1.7 L without the filter: it takes 0.3 L. First pour 2.0 − 0.3 − 0.05 × 2.0 = 1.6 L, 0.4 L by the dipstick.
    const plan = fillPlan(NEED);
    expect(plan.prefilled).toBe(0);
    expect(plan.firstPour).toBeCloseTo(1.6, 9);
    expect(plan.topUp).toBeCloseTo(0.4, 9);
  });

  it('counts what goes into the filter beforehand', () => {
    // Half of 0.3 L is in the filter: the first pour stays 1.6 L, the top-up falls to 0.25 L.
    const plan = fillPlan({ ...NEED, prefill: 'half' });
    expect(plan).toMatchObject({ prefilled: expect.closeTo(0.15, 9), firstPour: expect.closeTo(1.6, 9) });
    expect(plan.topUp).toBeCloseTo(0.25, 9);
  });

  it('with the filter left on takes the smaller figure of the book', () => {
    expect(fillPlan({ ...NEED, filterChanged: false })).toMatchObject({ target: 1.7, prefilled: 0 });
  });

  it('a shade under is one pour that ends so far below the mark', () => {
    expect(fillPlan({ ...NEED, target: 'shadeUnder' })).toMatchObject({ firstPour: 1.92, topUp: 0 });
  });

  it("pours the book's figure without filter first, where the shop holds it so, and reads what the filter took", () => {
    const target = 'withoutFilterFirst';
    expect(fillPlan({ ...NEED, target })).toMatchObject({ firstPour: 1.7, topUp: expect.closeTo(0.3, 9) });
    // What stayed in is no room; with the filter left on the book's figure is all.
    expect(fillPlan({ ...NEED, target, retained: 0.4 }).firstPour).toBeCloseTo(1.3, 9);
    expect(fillPlan({ ...NEED, target, filterChanged: false })).toMatchObject({ firstPour: 1.7, topUp: 0 });
    // A book with one figure: as in two stages.
    const one = { ...NEED, capacityWithoutFilter: null };
    expect(fillPlan({ ...one, target })).toEqual(fillPlan(one));
  });

  it('pours first what the book says, whatever the filter takes', () => {
    // "4 qt, 4.3 qt with filter": four first, run, then about three tenths.
    const need = { ...NEED, capacityWithFilter: 4.3, capacityWithoutFilter: 4, firstPourByBook: 4 };
    expect(fillPlan(need)).toMatchObject({ target: 4.3, firstPour: 4, topUp: expect.closeTo(0.3, 9) });
    // Half of the filter's share is in it already; with the filter left on, four are all.
    expect(fillPlan({ ...need, prefill: 'half' }).topUp).toBeCloseTo(0.15, 9);
    expect(fillPlan({ ...need, filterChanged: false })).toMatchObject({ firstPour: 4, topUp: 0 });
    // Never above what there is room for.
    expect(fillPlan({ ...need, retained: 0.8 })).toMatchObject({ firstPour: 3.5, topUp: 0 });
    expect(fillPlan({ ...need, target: 'shadeUnder' })).toMatchObject({ firstPour: 4, target: 4.22 });
  });

  it('counts the quarter that a rolled filter has drunk', () => {
    expect(fillPlan({ ...NEED, prefill: 'quarter' }).prefilled).toBeCloseTo(0.075, 9);
  });

  it('takes off what stayed in', () => {
    expect(fillPlan({ ...NEED, retained: 0.4 }).target).toBeCloseTo(1.6, 9);
  });

  it('takes 0.3 L for a filter that its book says nothing of, a fifth of a small engine at most', () => {
    expect(filterTakes({ ...NEED, capacityWithoutFilter: null })).toBe(0.3);
    expect(filterTakes({ ...NEED, capacityWithFilter: 1, capacityWithoutFilter: null })).toBe(0.2);
  });

  it('never overfills, and its parts are the whole', () => {
    fc.assert(
      fc.property(
        fc.record({
          capacityWithFilter: LITRES,
          capacityWithoutFilter: fc.option(LITRES),
          firstPourByBook: fc.option(LITRES),
          retained: LITRES,
          filterChanged: fc.boolean(),
          prefill: fc.constantFrom('none', 'quarter', 'half', 'full'),
          target: fc.constantFrom('fullMark', 'shadeUnder', 'withoutFilterFirst'),
          shade: fc.double({ min: 0, max: 2, noNaN: true }),
        }),
        (drawn) => {
          const need = drawn as FillNeed;
          const { target, prefilled, firstPour, topUp } = fillPlan(need);
          const most = need.filterChanged
            ? need.capacityWithFilter
            : (need.capacityWithoutFilter ?? need.capacityWithFilter);
          expect(target).toBeLessThanOrEqual(Math.max(0, most - need.retained) + 1e-9);
          expect(prefilled + firstPour + topUp).toBeCloseTo(target, 9);
          for (const part of [prefilled, firstPour, topUp]) expect(part).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
      { seed: 4, numRuns: 2000 },
    );
  });
});

describe('the dipstick', () => {
  it.each([
    // 0.9 L between the marks: half way up lacks 0.45 L to the full mark.
    [0.5, 'fullMark', { kind: 'add', litres: 0.45 }],
    [0, 'fullMark', { kind: 'add', litres: 0.9 }],
    [0.98, 'fullMark', { kind: 'full' }],
    // A tenth of 0.9 L below the mark is where it is to stand.
    [0.9, 'shadeUnder', { kind: 'full' }],
    [0.5, 'shadeUnder', { kind: 'add', litres: expect.closeTo(0.36, 9) }],
    // A fifth of the marks above full is 0.18 L too many.
    [1.2, 'fullMark', { kind: 'overfull', litres: expect.closeTo(0.18, 9) }],
  ] as const)('at %s of the marks', (reading, target, advice) => {
    expect(atDipstick(reading, 0.9, { target, shade: 0.09 })).toEqual(advice);
  });
});

describe('jugs', () => {
  // NIST Handbook 44 appendix C: 1 US gal = 4 qt = 3.785411784 L, so 5 qt = 4.73176473 L.
  const FIVE_QUARTS = 4.73176473;
  const QUART = 0.946352946;

  it('stand at what is left when to stop', () => {
    // 3.7 L out of a 5 qt jug leave 1.03176473 L, 1.09 qt.
    const { pours, short } = pourFrom(fullJugs(FIVE_QUARTS, 3.7), 3.7);
    expect(pours).toEqual([{ jug: 0, from: FIVE_QUARTS, until: expect.closeTo(1.03176473, 8) }]);
    expect((pours[0]?.until ?? 0) / QUART).toBeCloseTo(1.09, 2);
    expect(short).toBe(0);
  });

  it('are poured out one after the other', () => {
    // 2.1 qt from bottles of one quart: two emptied, the third stands at 0.9 qt.
    const { pours } = pourFrom(fullJugs(QUART, 2.1 * QUART), 2.1 * QUART);
    expect(pours.map(({ until }) => Number((until / QUART).toFixed(6)))).toEqual([0, 0, 0.9]);
  });

  it('give what they have and say what is missing', () => {
    expect(pourFrom([{ size: 1, level: 0.4 }], 1)).toMatchObject({ short: expect.closeTo(0.6, 9) });
  });

  it('never fall below nothing, and lose exactly what was poured', () => {
    fc.assert(
      fc.property(fc.array(LITRES, { maxLength: 6 }), LITRES, (levels, litres) => {
        const jugs = levels.map((level) => ({ size: 60, level }));
        const { left, short } = pourFrom(jugs, litres);
        const sum = (all: readonly { level: number }[]) => all.reduce((total, { level }) => total + level, 0);
        for (const { level } of left) expect(level).toBeGreaterThanOrEqual(0);
        expect(sum(jugs) - sum(left) + short).toBeCloseTo(litres, 6);
      }),
      { seed: 5, numRuns: 1000 },
    );
  });
});

describe('what is done with jugs', () => {
  const QUART = 0.946352946;
  const GALLON = 4 * QUART;
  const acts = (size: number, litres: number, mark: number) =>
    jugActs(pourFrom(fullJugs(size, litres), litres).pours, mark);

  it('goes by their marks and the halves between them', () => {
    // 1.75 L out of a 5 L jug, marked at each litre, leave 3.25 L: to the half above it, and the rest by a cup.
    expect(acts(5, 1.75, 1)).toEqual([
      { kind: 'stopAt', from: 5, until: 3.5 },
      { kind: 'measure', litres: expect.closeTo(0.25, 9) },
    ]);
    expect(acts(5, 1.5, 1)).toEqual([{ kind: 'stopAt', from: 5, until: 3.5 }]);
    // 1.49 L are within 1 % of it.
    expect(acts(5, 1.49, 1)).toEqual([{ kind: 'stopAt', from: 5, until: 3.5 }]);
  });

  it('never stops at a full or an empty jug', () => {
    // A card's 0.95 L against a quart of 0.946 L: 4 mL more than the jug, which nobody pours.
    expect(acts(QUART, 0.95, QUART / 4)).toEqual([{ kind: 'pourOut', jugs: 1 }]);
    expect(acts(QUART, 0.94, QUART / 4)).toEqual([{ kind: 'pourOut', jugs: 1 }]);
    expect(acts(QUART, 2 * QUART, QUART / 4)).toEqual([{ kind: 'pourOut', jugs: 2 }]);
  });

  it('measures a little that no mark of a large jug tells', () => {
    expect(acts(GALLON, 0.06, GALLON / 4)).toEqual([{ kind: 'measure', litres: expect.closeTo(0.06, 9) }]);
  });

  it('comes to what was wanted within 15 mL or a hundredth', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          [1, 0.25],
          [2, 1],
          [5, 1],
          [20, 5],
          [QUART, QUART / 4],
          [5 * QUART, QUART],
          [GALLON, GALLON / 4],
        ),
        fc.double({ min: 0.02, max: 12, noNaN: true }),
        ([size = 1, mark = 1], litres) => {
          const all = acts(size, litres, mark);
          const poured = all.reduce((sum, act) => {
            if (act.kind === 'pourOut') return sum + act.jugs * size;
            return sum + (act.kind === 'stopAt' ? act.from - act.until : act.litres);
          }, 0);
          expect(Math.abs(poured - litres)).toBeLessThanOrEqual(Math.max(0.015, litres / 100) + 1e-6);
          for (const act of all) {
            if (act.kind !== 'stopAt') continue;
            expect(act.until).toBeGreaterThan(0);
            expect(act.until).toBeLessThan(size);
            const halves = act.until / (mark / 2);
            expect(Math.abs(halves - Math.round(halves))).toBeLessThan(1e-6);
          }
        },
      ),
      { seed: 21, numRuns: 1000 },
    );
  });
});

describe('draining', () => {
  it('counts how often the pan or extractor is emptied', () => {
    // 5.7 L by an extractor of 2 L: three loads. Front axle oil apart from it: 4.5 L are three more.
    const need = { litres: [5.7, 4.5], capacity: 2, roomInContainer: 8 };
    expect(drainPlan(need)).toEqual({ total: 10.2, emptyings: 6, tooMuch: expect.closeTo(2.2, 9) });
    expect(drainPlan({ litres: [4], capacity: 2, roomInContainer: 20 })).toMatchObject({
      emptyings: 2,
      tooMuch: 0,
    });
  });
});

describe('viscosity', () => {
  it.each([
    // SAE J300, cold-cranking temperatures.
    ['0W-20', -35],
    ['5W-30', -30],
    ['SAE 10W-30', -25],
    ['15W-40', -20],
    ['20W-50', -15],
    ['25W-60', -10],
    ['30', null],
  ])('%s cranks down to %s °C', (grade, limit) => {
    expect(coldCrankingLimit(grade)).toBe(limit);
  });

  it('goes by the book of the machine, and by the published limits only without one', () => {
    const book = [
      { grade: '10W-30', category: 'API SJ', fromCelsius: -18, toCelsius: 40 },
      { grade: '5W-30', category: 'API SJ', fromCelsius: -30, toCelsius: 5 },
    ];
    // J300 would allow 10W down to −25 °C; this book stops at −18.
    expect(gradesFor(book, -20, 4).map(({ grade, suits }) => [grade, suits])).toEqual([
      ['5W-30', true],
      ['10W-30', false],
    ]);
    const published = gradesFor([], -22, 10);
    expect(published.filter(({ suits }) => suits).map(({ grade }) => grade)).toEqual(['0W', '5W', '10W']);
    expect(new Set(published.map(({ basis }) => basis))).toEqual(new Set(['coldCranking']));
  });

  it('counts the bounds in, and takes a grade without any for every weather', () => {
    const open = { grade: '30', category: 'API SJ', fromCelsius: null, toCelsius: null };
    const bound = { grade: '10W-30', category: 'API SJ', fromCelsius: -18, toCelsius: 40 };
    const suits = (low: number, high: number) =>
      new Map(gradesFor([open, bound], low, high).map(({ grade, suits: does }) => [grade, does]));
    expect([...suits(-18, 40)]).toEqual([
      ['30', true],
      ['10W-30', true],
    ]);
    expect(suits(-18.1, 40).get('10W-30')).toBe(false);
    expect(suits(-18, 40.1).get('10W-30')).toBe(false);
    expect(suits(-60, 60).get('30')).toBe(true);
    // J300 itself: 10W cranks at −25 °C and not below.
    const published = (low: number) => gradesFor([], low, 10).find(({ grade }) => grade === '10W');
    expect([published(-25)?.suits, published(-25.1)?.suits]).toEqual([true, false]);
    expect(published(-25)).toMatchObject({ category: '', fromCelsius: -25, toCelsius: null });
  });

  it('reads a winter figure only where a grade begins with it', () => {
    expect(['  5w-30 ', 'SAE  0W-20', 'Grade 5W', 'HD 30', '99W-10'].map(coldCrankingLimit)).toEqual([
      -30,
      -35,
      null,
      null,
      null,
    ]);
  });
});
