import fc from 'fast-check';
import { instant, MS_PER_HOUR } from '../calendar/instant.js';
import type { Instant } from '../calendar/instant.js';
import { judgeReading } from './judgeReading.js';
import { lifeHours } from './lifeHours.js';
import { firstSegment, lifeOf, segmentAfterReplacement, segmentAfterRollOver, toLife } from './segment.js';
import { staleDays } from './stale.js';
import { civilDate } from '../calendar/civilDate.js';

const MONDAY = instant('2026-05-04T16:00:00Z');
const after = (hours: number) => (MONDAY + hours * MS_PER_HOUR) as Instant;
const segments = [firstSegment(MONDAY, 0, 0)];
const readings = toLife([{ at: MONDAY, shown: 400 }], segments);

describe('life hours', () => {
  it('go on over a replaced meter', () => {
    // The old meter showed 812.4 h when the new one, at 0.3 h, took its place: 812.4 − 0.3 = 812.1 to add.
    const first = firstSegment(MONDAY, 0, 0);
    const second = segmentAfterReplacement(first, after(100), 812.4, 0.3);
    expect(second.offset).toBe(812.1);
    expect(lifeOf({ at: after(200), shown: 10.5 }, [first, second])).toBe(822.6);
    expect(lifeOf({ at: after(50), shown: 810 }, [first, second])).toBe(810);
  });

  it('count what a used machine ran before its meter', () => {
    expect(lifeOf({ at: after(1), shown: 12 }, [firstSegment(MONDAY, 88, 0)])).toBe(100);
  });

  it('are never negative or unknown', () => {
    expect(() => lifeHours(-1)).toThrow(RangeError);
    expect(() => lifeHours(NaN)).toThrow(RangeError);
  });
});

describe('a reading', () => {
  it('is accepted with what the meter grew', () => {
    expect(judgeReading({ at: after(48), shown: 406.3 }, readings, segments)).toEqual({
      kind: 'accepted',
      life: 406.3,
      grown: 6.3,
    });
  });

  it('may repeat the last one', () => {
    expect(judgeReading({ at: after(1), shown: 400 }, readings, segments).kind).toBe('accepted');
  });

  it('is refused when it runs backwards, even by a tenth', () => {
    expect(judgeReading({ at: after(48), shown: 399.9 }, readings, segments)).toMatchObject({
      kind: 'refused',
      fault: { code: 'backwards', before: { shown: 400 } },
    });
  });

  it('is refused when it grows faster than the clock', () => {
    // 10 h on the clock and one step of the meter: 410.1 can be, 410.2 cannot.
    expect(judgeReading({ at: after(10), shown: 410.1 }, readings, segments).kind).toBe('accepted');
    expect(judgeReading({ at: after(10), shown: 410.2 }, readings, segments)).toMatchObject({
      fault: { code: 'fasterThanClock', grown: 10.2, elapsed: 10 },
    });
  });

  it('entered late is refused when it is more than a later one', () => {
    expect(judgeReading({ at: after(-24), shown: 401 }, readings, segments)).toMatchObject({
      kind: 'refused',
      fault: { code: 'aheadOfLater', after: { shown: 400 } },
    });
    expect(judgeReading({ at: after(-24), shown: 400 }, readings, segments)).toEqual({
      kind: 'accepted',
      life: 400,
      grown: null,
    });
  });

  it('less than the old meter is accepted on the new one', () => {
    const replaced = [
      firstSegment(MONDAY, 0, 0),
      segmentAfterReplacement(firstSegment(MONDAY, 0, 0), after(5), 403, 0),
    ];
    expect(judgeReading({ at: after(20), shown: 2 }, readings, replaced)).toMatchObject({
      kind: 'accepted',
      life: 405,
    });
  });

  it('beyond what such a machine runs is asked about, unless a later one bears it out', () => {
    const judge = (shown: number, mostLikely: number | null) =>
      judgeReading({ at: after(200), shown }, readings, segments, mostLikely).kind;
    expect(judge(430, 430)).toBe('accepted');
    expect(judge(430.1, 430)).toBe('unusual');
    expect(judge(430.1, null)).toBe('accepted');
    const later = [...readings, { at: after(300), shown: 440, life: lifeHours(440) }];
    expect(judgeReading({ at: after(200), shown: 435 }, later, segments, 430).kind).toBe('accepted');
  });

  it('of a meter that rolled over goes on from its maximum', () => {
    // 9,998.0 h, then nought again: what shows 3.5 is 10,003.5.
    const rolled = segmentAfterRollOver(firstSegment(MONDAY, 0, 0), after(300));
    expect(lifeOf({ at: after(310), shown: 3.5 }, [firstSegment(MONDAY, 0, 0), rolled])).toBe(10_003.5);
  });

  it('that is accepted never makes life run backwards', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2000, noNaN: true }),
        fc.integer({ min: 0, max: 500 }),
        (shown, hours) => {
          const verdict = judgeReading({ at: after(hours), shown }, readings, segments);
          return verdict.kind === 'refused' || (verdict.life >= 400 && verdict.life <= 400.11 + hours);
        },
      ),
      { seed: 2 },
    );
  });
});

describe('a meter', () => {
  it('is stale from the ninth day without a reading', () => {
    expect(staleDays(civilDate('2026-05-04'), civilDate('2026-05-12'))).toBeNull();
    expect(staleDays(civilDate('2026-05-04'), civilDate('2026-05-13'))).toBe(9);
  });
});
