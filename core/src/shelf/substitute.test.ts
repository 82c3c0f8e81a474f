import fc from 'fast-check';
import type { MakerNumber } from './makerNumbers.js';
import { isSameNumber, isSuperseding, sharesNumber, successors } from './makerNumbers.js';
import { compareFilters, comparePlugs, judgeSubstitute } from './substitute.js';
import type { Comparable, FilterTraits, PlugTraits, SubstituteCase } from './substitute.js';

const FILTER: FilterTraits = { height: 86, outside: 76, gasket: 63, thread: '3/4-16 UNF', bypass: 70 };
const PLUG: PlugTraits = { reach: 19, thread: 'M14 × 1.25', hexagon: 16 };

function number(maker: string, own: string, supersededBy = ''): MakerNumber {
  return { maker, number: own, supersededBy };
}

function article(more: Partial<Comparable>): Comparable {
  return { component: 'engineOilFilter', makerNumbers: [], filter: null, plug: null, ...more };
}

function judge(more: Partial<SubstituteCase>) {
  return judgeSubstitute({
    original: article({ filter: FILTER }),
    candidate: article({ filter: FILTER }),
    machine: { make: 'Quillon', underWarranty: false },
    partsRule: 'makerInWarranty',
    ...more,
  });
}

/** Every figure of a filter, smaller, the same, larger and unknown: common practice. */
test.each<[keyof FilterTraits, Partial<FilterTraits>, string, string]>([
  ['height', { height: 70 }, 'smaller', 'refuse'],
  ['height', { height: 85 }, 'same', 'suits'],
  ['height', { height: 110 }, 'larger', 'suits'],
  ['height', { height: null }, 'unknown', 'ask'],
  ['outside', { outside: 68 }, 'smaller', 'refuse'],
  ['outside', { outside: 77 }, 'same', 'suits'],
  ['outside', { outside: 93 }, 'larger', 'suits'],
  ['outside', { outside: null }, 'unknown', 'ask'],
  ['gasket', { gasket: 55 }, 'smaller', 'refuse'],
  ['gasket', { gasket: 63.4 }, 'same', 'suits'],
  ['gasket', { gasket: 71 }, 'larger', 'refuse'],
  ['gasket', { gasket: null }, 'unknown', 'ask'],
  ['thread', { thread: '3/4 - 16 unf' }, 'same', 'suits'],
  ['thread', { thread: 'M20 × 1.5' }, 'other', 'refuse'],
  ['thread', { thread: '' }, 'unknown', 'ask'],
  ['bypass', { bypass: 50 }, 'smaller', 'ask'],
  ['bypass', { bypass: 75 }, 'same', 'suits'],
  ['bypass', { bypass: 110 }, 'larger', 'ask'],
])('a filter whose %s is %j is %s: %s', (trait, more, stand, verdict) => {
  const candidate: FilterTraits = { ...FILTER, ...more };
  const line = compareFilters(FILTER, candidate).find((each) => each.trait === trait);
  expect(line).toMatchObject({ stand, verdict });
});

test('a bypass that is written nowhere is not asked for', () => {
  const traits = compareFilters(FILTER, { ...FILTER, bypass: null }).map(({ trait }) => trait);
  expect(traits).toEqual(['height', 'outside', 'gasket', 'thread']);
});

test.each<[keyof PlugTraits, Partial<PlugTraits>, string]>([
  ['reach', { reach: 12.7 }, 'refuse'],
  ['reach', { reach: 26.5 }, 'refuse'],
  ['reach', { reach: 19.3 }, 'suits'],
  ['reach', { reach: null }, 'ask'],
  ['thread', { thread: 'M10 × 1.0' }, 'refuse'],
  ['thread', { thread: 'm14x1.25' }, 'suits'],
  ['hexagon', { hexagon: 20.8 }, 'ask'],
  ['hexagon', { hexagon: 16 }, 'suits'],
])('a plug whose %s is %j: %s', (trait, more, verdict) => {
  const candidate: PlugTraits = { ...PLUG, ...more };
  expect(comparePlugs(PLUG, candidate).find((each) => each.trait === trait)?.verdict).toBe(verdict);
});

describe('a substitute', () => {
  it('is accepted equal or larger, and refused smaller or with another thread', () => {
    const filter = (more: Partial<FilterTraits>) =>
      judge({ candidate: article({ filter: { ...FILTER, ...more } }) });
    expect(filter({})).toMatchObject({ verdict: 'accept', reason: 'figures' });
    expect(filter({ height: 120 }).verdict).toBe('accept');
    expect(filter({ height: 60 })).toMatchObject({ verdict: 'refuse', reason: 'figuresRefuse' });
    expect(filter({ thread: 'M20 × 1.5' }).verdict).toBe('refuse');
    expect(filter({ gasket: null })).toMatchObject({ verdict: 'ask', reason: 'figuresUnknown' });
  });

  it('is looked at where nothing can be compared, and refused where it is of something else', () => {
    expect(judge({ original: article({}) })).toMatchObject({ verdict: 'ask', reason: 'notCompared' });
    expect(judge({ candidate: article({ component: 'airFilter' }) })).toMatchObject({
      verdict: 'refuse',
      reason: 'otherComponent',
    });
  });

  it("is taken smaller too where its maker put it in the old number's place", () => {
    const original = article({ filter: FILTER, makerNumbers: [number('Quillon', 'QF 100', 'QF-101')] });
    const small = { ...FILTER, height: 60 };
    const candidate = article({ filter: small, makerNumbers: [number('Quillon', 'qf101')] });
    expect(judge({ original, candidate })).toMatchObject({ verdict: 'accept', reason: 'superseded' });
    // Written down with the new article instead: the same succession.
    const both = [number('Quillon', 'QF 100', 'QF 101'), number('Quillon', 'QF 101')];
    expect(
      judge({
        original: article({ makerNumbers: [number('Quillon', 'QF100')] }),
        candidate: article({ filter: small, makerNumbers: both }),
      }).verdict,
    ).toBe('accept');
    expect(judge({ original: candidate, candidate: original }).reason).not.toBe('superseded');
  });

  it("is the maker's own while under warranty, or always, as the house has it", () => {
    const candidate = article({ filter: FILTER, makerNumbers: [number('Marlow Filters', 'M 7')] });
    const own = article({ filter: FILTER, makerNumbers: [number('quillon', 'Q 7')] });
    const covered = { make: 'Quillon', underWarranty: true };
    expect(judge({ candidate, machine: covered })).toMatchObject({
      verdict: 'refuse',
      reason: 'houseRuleWarranty',
    });
    expect(judge({ candidate: own, machine: covered }).verdict).toBe('accept');
    expect(judge({ candidate, machine: covered, partsRule: 'specification' }).verdict).toBe('accept');
    expect(judge({ candidate, partsRule: 'maker' })).toMatchObject({
      verdict: 'refuse',
      reason: 'houseRuleMaker',
    });
    expect(judge({ candidate, partsRule: 'makerInWarranty' }).verdict).toBe('accept');
    const nameless = { make: '', underWarranty: true };
    expect(
      judge({ candidate: article({ filter: FILTER, makerNumbers: [number('', 'X')] }), machine: nameless })
        .verdict,
    ).toBe('refuse');
  });

  it('of the same number is the same article', () => {
    const a = article({ makerNumbers: [number('Quillon', 'QF 100')] });
    const b = article({ makerNumbers: [number('Quillon', 'QF100')] });
    expect(judge({ original: a, candidate: b })).toMatchObject({ verdict: 'accept', reason: 'sameNumber' });
  });
});

describe("makers' numbers", () => {
  it('are the same however they are typed or scanned', () => {
    expect(isSameNumber('12 345-67.A', '1234567a')).toBe(true);
    expect(isSameNumber('12345', '12346')).toBe(false);
    expect(sharesNumber([number('A', '1 2')], [number('B', '12')])).toBe(true);
  });

  it('follow one another to the present one', () => {
    const known = [number('Q', 'A1', 'B2'), number('Q', 'B2', 'C3'), number('Q', 'C3')];
    expect(successors('a-1', known)).toEqual(['a-1', 'B2', 'C3']);
    expect(isSuperseding([number('Q', 'A1', 'B2')], known.slice(1))).toBe(true);
    expect(isSuperseding(known.slice(2), [number('Q', 'A1')])).toBe(false);
  });

  it('end even where they go round in a circle', () => {
    const name = fc.constantFrom('A', 'B', 'C', 'D', '');
    const rows = fc.array(fc.tuple(name, name), { maxLength: 8 });
    fc.assert(
      fc.property(rows, fc.constantFrom('A', 'B', 'C', 'D'), (pairs, from) => {
        const chain = successors(
          from,
          pairs.map(([own, next]) => number('Q', own, next)),
        );
        expect(new Set(chain).size).toBe(chain.length);
      }),
    );
  });
});
