import fc from 'fast-check';
import { addDays, civilDate } from '../calendar/civilDate.js';
import { lifeHours } from '../meter/lifeHours.js';
import {
  checksSince,
  isAskedAgain,
  isMovedByChecks,
  isUnderWarranty,
  proposeInterval,
  settledUntil,
} from './evidence.js';
import type { Check } from './evidence.js';
import { ACTIONS } from './item.js';
import { every, everyHours } from './testing/facts.js';

/** Checks a week apart, each good (+) or bad (-). */
function checks(signs: string): Check[] {
  return [...signs].map((sign, index) => ({
    on: addDays(civilDate('2026-05-04'), 7 * index),
    life: lifeHours(100 + 25 * index),
    isGood: sign === '+',
  }));
}
const BOOK = [everyHours(50), every(12, 'month')];
const of = (signs: string, present = BOOK, isUnderWarranty = false) =>
  proposeInterval(checks(signs), { present, book: BOOK, isUnderWarranty });

describe('evidence', () => {
  it('of four good checks in a row makes an interval half as long again', () => {
    // 50 h × 1.5 = 75 h; 12 months × 1.5 = 18.
    expect(of('++++')).toMatchObject({
      kind: 'longer',
      factor: 1.5,
      triggers: [{ hours: 75 }, { count: 18 }],
    });
    expect(of('-++++')?.checks).toHaveLength(4);
    expect(of('+++')).toBeNull();
    expect(of('++-+')).toBeNull();
  });

  it('of two bad checks among the last three halves it', () => {
    expect(of('++-+-')).toMatchObject({
      kind: 'shorter',
      factor: 0.5,
      triggers: [{ hours: 25 }, { count: 6 }],
    });
    expect(of('--')).toBeNull();
    expect(of('-++')).toBeNull();
  });

  it('never goes beyond the book under warranty, but back up to it', () => {
    expect(of('++++', BOOK, true)).toBeNull();
    // Cut to 40 h before: 40 × 1.25 = 50 h, the book's.
    expect(of('++++', [everyHours(40)], true)).toMatchObject({ factor: 1.25, triggers: [{ hours: 50 }] });
  });

  it('holds each interval to the book of its own kind: halved hours grow under warranty, months that are the book’s do not', () => {
    // Hours stand at 50 of 100 and may grow to 75; months stand at 12 of 12 and may not grow at all.
    const book = [everyHours(100), every(12, 'month')];
    const present = [everyHours(50), every(12, 'month')];
    expect(proposeInterval(checks('++++'), { present, book, isUnderWarranty: true })?.triggers).toEqual([
      everyHours(75),
      every(12, 'month'),
    ]);
  });

  it('compares days with months by their length', () => {
    // 300 days of a book's 12 months (365.2 days): 450 are too many under warranty, 365 are not.
    const limits = { present: [every(300, 'day')], book: [every(12, 'month')] };
    expect(proposeInterval(checks('++++'), { ...limits, isUnderWarranty: true })?.triggers).toEqual([
      every(365, 'day'),
    ]);
    expect(proposeInterval(checks('++++'), { ...limits, isUnderWarranty: false })?.triggers).toEqual([
      every(450, 'day'),
    ]);
  });

  it('never stretches under warranty what the book does not have', () => {
    const limits = { present: [every(12, 'month')], book: [everyHours(50)], isUnderWarranty: true };
    expect(proposeInterval(checks('++++'), limits)).toBeNull();
  });

  it('never stretches beyond twice the book, nor cuts below a quarter', () => {
    expect(of('++++', [everyHours(80)])).toMatchObject({ factor: 1.25, triggers: [{ hours: 100 }] });
    expect(of('++++', [everyHours(100)])).toBeNull();
    // A quarter of 50 h is 12.5 h: 20 h are not halved to 10 but cut to that, 13 in whole hours.
    expect(of('---', [everyHours(20)])).toMatchObject({ kind: 'shorter', triggers: [{ hours: 13 }] });
    expect(of('---', [everyHours(12.5)])).toBeNull();
  });

  it('that was settled once is not counted again', () => {
    expect(checksSince(checks('++++'), civilDate('2026-05-11')).map(({ on }) => on)).toEqual([
      '2026-05-18',
      '2026-05-25',
    ]);
    expect(checksSince(checks('++'), null)).toHaveLength(2);
  });

  it('is the same in whatever order the checks were entered', () => {
    const shuffled = fc.shuffledSubarray(checks('-+-++++'), { minLength: 7, maxLength: 7 });
    fc.assert(
      fc.property(shuffled, (some) => {
        const limits = { present: BOOK, book: BOOK, isUnderWarranty: false };
        expect(proposeInterval(some, limits)).toEqual(proposeInterval(checks('-+-++++'), limits));
      }),
      { seed: 12, numRuns: 60 },
    );
  });
});

describe('whose interval may be moved, and when', () => {
  const day = civilDate('2027-05-13');

  it('is that of what is checked, never of what is replaced', () => {
    expect(ACTIONS.filter(isMovedByChecks)).toEqual(['inspect', 'grease', 'adjust', 'tighten']);
  });

  it('is held by a warranty up to and with its last day and hour', () => {
    const warranty = { until: day, hours: 500 };
    expect(isUnderWarranty(warranty, 500, day)).toBe(true);
    expect(isUnderWarranty(warranty, 500.1, day)).toBe(false);
    expect(isUnderWarranty(warranty, 10, civilDate('2027-05-14'))).toBe(false);
    expect(isUnderWarranty({ until: null, hours: 500 }, 499, civilDate('2040-01-01'))).toBe(true);
    expect(isUnderWarranty({ until: null, hours: null }, 0, day)).toBe(false);
  });

  it('is asked again a month after "later", and never of checks that were settled', () => {
    const later = { answer: 'later', on: civilDate('2027-04-13') } as const;
    expect(isAskedAgain(later, day)).toBe(true);
    expect(isAskedAgain(later, civilDate('2027-05-12'))).toBe(false);
    expect(isAskedAgain(null, day)).toBe(true);
    expect(settledUntil(later)).toBeNull();
    expect(settledUntil({ answer: 'refused', on: day })).toBe(day);
    expect(settledUntil(null)).toBeNull();
  });
});
