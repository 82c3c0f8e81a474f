import fc from 'fast-check';
import { chargeOf, judgeBattery, judgeCharging, USUAL_CHARGING } from './battery.js';
import { judgeBolts } from './bolts.js';
import { isBladeStraight, judgeDeck, USUAL_DECK, USUAL_TIPS_WITHIN } from './deckLevel.js';
import { judgeFreePlay } from './freePlay.js';
import { cartridgesFor, judgeStrokes } from './grease.js';
import { judgeRange } from './range.js';
import { judgeTyres } from './tyres.js';

describe('a range', () => {
  it.each([
    [8, 'within', 0],
    [7, 'within', 0],
    [9, 'within', 0],
    [6.5, 'below', 0.5],
    [11, 'above', 2],
  ])('of 7-9 mm at %s', (value, kind, by) => {
    expect(judgeRange(value, { low: 7, high: 9 })).toEqual({ kind, by });
  });
});

describe('a battery', () => {
  it.each([
    // Handbook table: 12.6-12.7 V full, 12.4 V about 75 %, 12.2 V about 50 %, 12.0 V about 25 %.
    [12.7, 100, 'charged'],
    [12.4, 75, 'charged'],
    [12.2, 50, 'recharge'],
    [12.0, 25, 'recharge'],
    [11.6, 0, 'flat'],
    // Half way between 12.2 and 12.4: 62.5 %.
    [12.3, 63, 'recharge'],
  ])('at %s V is %s %% charged: %s', (volts, percent, kind) => {
    expect(judgeBattery(volts)).toMatchObject({ percent, kind });
  });

  it('may freeze below half', () => {
    expect(judgeBattery(12.1).mayFreeze).toBe(true);
    expect(judgeBattery(12.3).mayFreeze).toBe(false);
  });

  it('never reads less charged at more volts', () => {
    const volts = fc.double({ min: 10, max: 13.5, noNaN: true });
    fc.assert(
      fc.property(volts, volts, (a, b) => {
        expect(chargeOf(Math.max(a, b))).toBeGreaterThanOrEqual(chargeOf(Math.min(a, b)));
      }),
      { seed: 6, numRuns: 500 },
    );
  });

  it('is charged by 13.8 to 14.7 V at working speed, a little less at idle (common practice)', () => {
    const at = (volts: number, speed: 'workingSpeed' | 'idle') => judgeCharging(volts, speed, USUAL_CHARGING);
    expect(at(14.2, 'workingSpeed')).toBe('charging');
    expect(at(13.4, 'workingSpeed')).toBe('low');
    expect(at(13.4, 'idle')).toBe('charging');
    expect(at(15.1, 'idle')).toBe('high');
  });

  it('is charged by what the card of the machine says, where it says so', () => {
    const card = { low: 14, high: 15.2, idleLow: 13.6 };
    expect(judgeCharging(15.1, 'workingSpeed', card)).toBe('charging');
    expect(judgeCharging(13.4, 'idle', card)).toBe('low');
  });
});

describe('tyres', () => {
  // 10-14 psi with 22 psi on the sidewall, NIST SP 811: 1 psi = 6.894757 kPa.
  const spec = { low: 68.95, high: 96.53, sidewallMaximum: 151.68 };
  it.each([
    [83, 83, []],
    [83, 60, ['below', 'unequal']],
    [100, 95, ['above']],
    // 23 psi = 158.6 kPa.
    [158.6, 95, ['aboveSidewall', 'unequal']],
  ])('at %s and %s kPa', (left, right, faults) => {
    expect(judgeTyres(left, right, spec)).toEqual(faults);
  });

  it('are right at the figure that the card shows, though its book has it in psi', () => {
    // 14 psi = 96.53 kPa, which a card in metric units shows as 97 kPa.
    const one = { low: 96.53, high: 96.53, sidewallMaximum: 96.53 };
    expect(judgeTyres(97, 97, one)).toEqual([]);
    expect(judgeTyres(98, 97, one)).toEqual(['aboveSidewall']);
    expect(judgeTyres(95, 96.5, one)).toEqual(['below']);
  });
});

describe('other checks', () => {
  it('free play is in its range on both sides, and equal (30-40 mm)', () => {
    const range = { low: 30, high: 40, equalWithin: 3 };
    expect(judgeFreePlay(34, 36, range)).toMatchObject({ isGood: true, difference: 2 });
    expect(judgeFreePlay(31, 39, range)).toMatchObject({ isGood: false, isUneven: true });
    expect(judgeFreePlay(44, 42, range)).toMatchObject({ isGood: false, left: { kind: 'above', by: 4 } });
    expect(judgeFreePlay(31, 39, { ...range, equalWithin: 8 })).toMatchObject({
      isGood: true,
      difference: 8,
    });
  });

  it('a deck is level sideways within 3 mm and 3 to 9 mm lower in front (common practice)', () => {
    expect(judgeDeck({ left: 76, right: 78, front: 74, rear: 80 }, USUAL_DECK)).toEqual({
      sideways: 2,
      rake: 6,
      isLevelSideways: true,
      isRaked: true,
    });
    expect(judgeDeck({ left: 76, right: 80, front: 80, rear: 78 }, USUAL_DECK)).toMatchObject({
      rake: -2,
      isLevelSideways: false,
      isRaked: false,
    });
    // Tips within an eighth of an inch (common practice), 3.175 mm.
    expect(isBladeStraight(80, 83.175, USUAL_TIPS_WITHIN)).toBe(true);
    expect(isBladeStraight(80, 84, USUAL_TIPS_WITHIN)).toBe(false);
  });

  it('a fitting that takes none is blocked, one that takes twice was dry or leaks', () => {
    expect([0, 2, 3, 5, 6].map((strokes) => judgeStrokes(strokes, 3))).toEqual([
      ...['blocked', 'usual', 'usual', 'usual', 'dryOrLeaking'],
    ]);
    // A cartridge of 400 g gives 307 strokes of 1.3 g.
    expect([1, 307, 308].map(cartridgesFor)).toEqual([1, 1, 2]);
  });

  it('bolts are counted loose', () => {
    expect([judgeBolts(0, 8), judgeBolts(1, 12), judgeBolts(2, 12)]).toEqual([
      ...['allTight', 'someLoose', 'manyLoose'],
    ]);
    expect(() => judgeBolts(3, 2)).toThrow(RangeError);
  });
});
