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

test('of one person the last to arrive counts, whatever a slow network makes of its age', () => {
  expect(take([said('ansel', 10_900, 12.1), said('ansel', 10_100, 12.6)])).toEqual([
    said('ansel', 10_100, 12.6),
  ]);
  expect(standsOver({ by: 'ansel', at: 1_000 }, { by: 'ansel', at: 9_000 })).toBe(true);
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
      const unique = [...new Map(typed.map((each) => [each.by, each])).values()];
      const all = unique.map(({ by, minute, volts }) => said(by, minute * 60_000, volts));
      const arrived = all
        .map((each, at) => [each, shuffle[at] ?? 0] as const)
        .sort(([, a], [, b]) => a - b)
        .map(([each]) => each);
      const kept = take(arrived);
      expect(kept).toEqual(take(all));
      expect(kept).toHaveLength(all.length);
      expect(kept[0]?.at).toBe(Math.max(...all.map(({ at }) => at)));
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
