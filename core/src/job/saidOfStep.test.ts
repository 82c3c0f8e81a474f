import fc from 'fast-check';
import { measuredBeside, standsOver, withMeasured } from './saidOfStep.js';
import type { StepMeasured } from './saidOfStep.js';

const said = (by: string, at: number, volts: number | null): StepMeasured => ({
  by,
  at,
  found: volts === null ? null : { volts },
});
const take = (all: readonly StepMeasured[]) =>
  all.reduce<StepMeasured[]>((kept, each) => withMeasured(kept, each), []);

test('the later stands, whichever arrives first, and the other is kept beside it', () => {
  const [ansel, marit] = [said('ansel', 10_000, 12.1), said('marit', 60_000, 12.6)];
  for (const arrived of [
    [ansel, marit],
    [marit, ansel],
  ]) {
    const kept = take(arrived);
    expect(kept).toEqual([marit, ansel]);
    expect(measuredBeside(kept)).toEqual([ansel]);
  }
});

test('of one person the later counts alone, and what they typed in one breath in its order', () => {
  expect(take([said('ansel', 90_000, 12.6), said('ansel', 10_000, 12.1)])).toEqual([
    said('ansel', 90_000, 12.6),
  ]);
  expect(take([said('ansel', 10_900, 12.1), said('ansel', 10_100, 12.6)])).toEqual([
    said('ansel', 10_100, 12.6),
  ]);
});

test('what was the same, or taken back, is not told beside it', () => {
  expect(measuredBeside(take([said('ansel', 10_000, 12.6), said('marit', 60_000, 12.6)]))).toEqual([]);
  expect(measuredBeside(take([said('ansel', 10_000, null), said('marit', 60_000, 12.6)]))).toEqual([]);
  expect(measuredBeside(take([said('ansel', 10_000, 12.6), said('marit', 60_000, null)]))).toHaveLength(1);
  expect(measuredBeside([])).toEqual([]);
});

test('what somebody takes back later stands', () => {
  expect(take([said('marit', 60_000, null), said('ansel', 10_000, 12.1)])[0]?.found).toBeNull();
});

const minutes = fc.array(
  fc.record({ by: fc.constantFrom('ansel', 'dru', 'marit'), minute: fc.nat(200), volts: fc.nat(20) }),
  { minLength: 1, maxLength: 12 },
);

test('any order of arrival comes to the same', () => {
  fc.assert(
    fc.property(minutes, fc.array(fc.nat(), { minLength: 12, maxLength: 12 }), (typed, shuffle) => {
      const unique = [...new Map(typed.map((each) => [`${each.by} ${each.minute}`, each])).values()];
      const all = unique.map(({ by, minute, volts }) => said(by, minute * 60_000, volts));
      const arrived = all
        .map((each, at) => [each, shuffle[at] ?? 0] as const)
        .sort(([, a], [, b]) => a - b)
        .map(([each]) => each);
      const kept = take(arrived);
      expect(kept).toEqual(take(all));
      const people = [...new Set(all.map(({ by }) => by))];
      expect(kept).toHaveLength(people.length);
      for (const by of people) {
        const latest = Math.max(...all.filter((each) => each.by === by).map(({ at }) => at));
        expect(kept.find((each) => each.by === by)?.at).toBe(latest);
      }
    }),
  );
});

test('of two who said something in one moment exactly one stands over the other', () => {
  fc.assert(
    fc.property(fc.string(), fc.string(), fc.nat(), fc.nat(), (a, b, at, other) => {
      fc.pre(a !== b);
      const [one, two] = [
        { by: a, at },
        { by: b, at: other },
      ];
      expect(standsOver(one, two)).not.toBe(standsOver(two, one));
    }),
  );
});
