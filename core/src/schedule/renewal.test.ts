import { answerOn, done, every, everyHours, item, point } from './testing/facts.js';
import type { EveryNth } from './trigger.js';
import { renewedBy } from './renewal.js';

const filter = (id: string, action: 'replace' | 'clean' | 'inspect', over = {}) =>
  item(id, [everyHours(25)], { action, components: ['airFilter'], ...over });

describe('renewal', () => {
  const items = [
    filter('replace', 'replace'),
    filter('clean', 'clean'),
    filter('look', 'inspect'),
    filter('otherBook', 'clean'),
    item('grease', [everyHours(25)], { action: 'grease', components: ['airFilter'] }),
    item('oil', [everyHours(50)], { renews: ['clean'] }),
  ];

  it('goes from replacing to cleaning to inspecting the same component, in whatever book', () => {
    expect(renewedBy('replace', items)).toEqual(['replace', 'clean', 'look', 'otherBook']);
    expect(renewedBy('clean', items)).toEqual(['clean', 'look', 'otherBook']);
    expect(renewedBy('look', items)).toEqual(['look']);
    expect(renewedBy('grease', items)).toEqual(['grease']);
  });

  it('of a line of several components needs work on all of them', () => {
    const both = item('both', [everyHours(50)], { components: ['engineOil', 'engineOilFilter'] });
    const filterOnly = item('filterOnly', [everyHours(100)], { components: ['engineOilFilter'] });
    expect(renewedBy('both', [both, filterOnly])).toEqual(['both', 'filterOnly']);
    expect(renewedBy('filterOnly', [both, filterOnly])).toEqual(['filterOnly']);
  });

  it('never goes from one "something else" to another, but holds between lines with the same old words', () => {
    const other = (id: string) => item(id, [everyHours(50)], { components: ['other'] });
    expect(renewedBy('a', [other('a'), other('b')])).toEqual(['a']);
    const old = (id: string, oldWords: string) => item(id, [everyHours(50)], { components: [], oldWords });
    expect(renewedBy('a', [old('a', 'beacon'), old('b', 'beacon'), old('c', 'horn'), old('d', '')])).toEqual([
      'a',
      'b',
    ]);
  });

  it('goes on from an item that is named', () => {
    expect(renewedBy('oil', items)).toEqual(['oil', 'clean', 'look', 'otherBook']);
  });

  it('moves the due point of the weaker and not of the stronger', () => {
    // Cleaned at 30 h: cleaning and looking are next at 55, replacing stays at 25.
    const history = { clean: done(['2026-05-01', 30]) };
    const at = (id: string) => answerOn('2026-05-02', id, { items, history }).deciding;
    expect(at('clean')).toMatchObject({ at: 55 });
    expect(at('look')).toMatchObject({ at: 55 });
    expect(at('replace')).toMatchObject({ at: 25 });
  });

  it('of a declared time counts as declared', () => {
    const entry = { ...point('2026-01-01', 10), cameNew: false };
    const history = { replace: { completions: [], declared: [point('2026-02-01', 12)] } };
    expect(answerOn('2026-05-02', 'look', { items, entry, history }).baseline).toMatchObject({
      kind: 'declared',
      life: 12,
    });
    expect(answerOn('2026-05-02', 'oil', { items, entry, history }).state).toBe('noRecord');
  });
});

describe('every n-th time', () => {
  const nth = (n: number, over: Partial<EveryNth> = {}): EveryNth => ({
    kind: 'everyNth',
    n,
    itemId: 'oil',
    everyTimeAboveHours: null,
    ...over,
  });
  const of = (trigger: EveryNth, oil: [string, number][], filterDone: [string, number][] = []) => ({
    items: [item('oil', [everyHours(50), every(12, 'month')]), item('filter', [trigger])],
    history: { oil: done(...oil), filter: done(...filterDone) },
    readings: [['2026-05-10', 140] as const],
  });

  it('falls together with the n-th next time of the other item', () => {
    // Oil done once, at 52 h, since the machine came: the second time, at 102 h, takes the filter along.
    expect(answerOn('2026-05-12', 'filter', of(nth(2), [['2026-03-01', 52]]))).toMatchObject({
      state: 'overdue',
      deciding: { kind: 'hours', at: 102, left: -38 },
    });
    // Both done at 101 h: the next oil at 151 h goes without, the one at 201 h with the filter; the date a year later too.
    const both = of(
      nth(2),
      [
        ['2026-03-01', 52],
        ['2026-05-01', 101],
      ],
      [['2026-05-01', 101]],
    );
    const limits = answerOn('2026-05-12', 'filter', both).limits;
    expect(limits.map((limit) => (limit.kind === 'hours' ? limit.at : limit.on)).sort()).toEqual([
      201,
      '2028-05-01',
    ]);
  });

  it('is overdue from the n-th time that went without it', () => {
    const answer = answerOn(
      '2026-05-12',
      'filter',
      of(nth(2), [
        ['2026-03-01', 52],
        ['2026-05-01', 101],
      ]),
    );
    expect(answer).toMatchObject({ state: 'overdue', expectedOn: '2026-05-01' });
    // The same day counts: two entries for one change are one time.
    const twice = of(nth(2), [
      ['2026-03-01', 52],
      ['2026-03-01', 52],
    ]);
    expect(answerOn('2026-05-12', 'filter', twice).deciding).toMatchObject({ kind: 'hours', at: 102 });
  });

  it('is every time for a machine that ran more than so many hours in 12 months', () => {
    // 140 h since 1 April 2025, 128.. of them in the last 12 months: above 100 but not above 200.
    const one: [string, number][] = [['2026-05-01', 101]];
    const with100 = of(nth(2, { everyTimeAboveHours: 100 }), one, [['2026-05-01', 101]]);
    expect(answerOn('2026-05-12', 'filter', with100).limits[0]).toMatchObject({ at: 151 });
    const with200 = of(nth(2, { everyTimeAboveHours: 200 }), one, [['2026-05-01', 101]]);
    expect(answerOn('2026-05-12', 'filter', with200).limits[0]).toMatchObject({ at: 201 });
  });

  it('says so where the other item is missing, and does not hang where two wait for each other', () => {
    const missing = { items: [item('filter', [nth(2, { itemId: 'gone' })])] };
    expect(answerOn('2026-05-12', 'filter', missing).unresolved).toMatchObject([{ code: 'noOtherItem' }]);
    const circle = { items: [item('a', [nth(2, { itemId: 'b' })]), item('b', [nth(2, { itemId: 'a' })])] };
    expect(answerOn('2026-05-12', 'a', circle).state).toBe('noRecord');
  });
});
