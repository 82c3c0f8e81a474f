import type { Gap } from './evidence.js';
import { standingSpells, stoodShare } from './standingSpells.js';
import { unevenness } from './unevenness.js';
import { hoursQuantile, workFactor } from './workFactor.js';

/** A gap of seven working days with 6 h planned. */
const week = (hours: number, age = 0): Gap => ({ hours, planned: 6, days: 7, age });

describe('how much of a gap was stood', () => {
  it.each([
    [0, 1],
    // 1.05 of 6 h are 17.5 %, half of the 35 % with which a week counts as worked.
    [1.05, 0.5],
    [2.1, 0],
    [6, 0],
  ])('%d h of 6: %d', (hours, share) => expect(stoodShare(week(hours), 1)).toBeCloseTo(share, 9));

  it('is told by what the machine usually runs', () => {
    expect(stoodShare(week(2.1), 2)).toBeCloseTo(0.5, 9);
  });
});

describe('spells of standing', () => {
  it('count partly where a week was partly stood, and in the spell only when mostly, worked by hand', () => {
    // Shares 0.5 (not more than half: no spell) and 0.8 (5.6 days): stood 2 + 3.5 + 5.6 of 40 + 14 days.
    const { share, days } = standingSpells([week(1.05), week(0.42)], 1);
    expect(share).toBeCloseTo(11.1 / 54, 9);
    expect(days).toBeCloseTo((14 + 5.6) / 3, 9);
  });

  it('end with the week that was worked, and weigh by its age; one that still lasts weighs whole', () => {
    // Half a weight after 300 working days.
    const { share, days } = standingSpells([week(0, 314), week(6, 300), week(0, 0)], 1);
    const old = 0.5 ** (314 / 300);
    expect(share).toBeCloseTo((2 + 7 * old + 7) / (40 + 7 * old + 3.5 + 7), 9);
    expect(days).toBeCloseTo((14 + 0.5 * 7 + 7) / (2 + 0.5 + 1), 9);
  });
});

describe('unevenness', () => {
  it('takes squares and products of what came otherwise, each by its age, worked by hand', () => {
    // 12 and 9 h where 6 were expected: residuals 6/√6 and 3/√6, squares 6 and 1.5, product 3.
    const { dispersion, lasting } = unevenness([week(12, 300), week(9, 0)], 1, 1);
    const squares = 6 + 0.5 * 6 + 1.5;
    const counted = 4 + 0.5 + 1;
    expect(dispersion).toBeCloseTo(squares / counted, 9);
    expect(lasting).toBeCloseTo((1.5 * (8 * 0.3 + (3 * counted) / squares)) / (8 + 1), 9);
  });

  it('counts a pair of odd weeks for no more than four, nor less than minus two', () => {
    // 30 and 102 h where 6 were expected: residuals 24/√6 and 96/√6, squares 96 and 1536, product 384 over a dispersion of 1638 / 6.
    const good = unevenness([week(30), week(102)], 1, 1);
    expect(good.lasting).toBeCloseTo((1.5 * (2.4 + (384 * 6) / 1638)) / 9, 9);
    // After twelve weeks as expected two of 60 h: their product over the dispersion is 8.9, and counts for 4.
    const many = Array.from({ length: 12 }, () => week(6)).concat([week(60), week(60)]);
    const squares = 6 + 2 * 486;
    expect((486 * 18) / squares).toBeGreaterThan(4);
    expect(unevenness(many, 1, 1).lasting).toBeCloseTo((1.5 * (2.4 + 4)) / (8 + 13), 9);
    const turned = Array.from({ length: 12 }, () => week(6)).concat([week(60), week(2.2)]);
    // 54/√6 times −3.8/√6 is −34.2: over the dispersion −1.2, which counts as it is; after sixty weeks the like of it is cut off.
    expect(unevenness(turned, 1, 1).lasting).toBeCloseTo(
      (1.5 * (2.4 - (34.2 * 18) / (6 + 486 + 3.8 ** 2 / 6))) / 21,
      9,
    );
    const cut = Array.from({ length: 60 }, () => week(6)).concat([week(40), week(2.2)]);
    expect((34 * 3.8 * 66) / 6 / (6 + 34 ** 2 / 6 + 3.8 ** 2 / 6)).toBeGreaterThan(2);
    expect(unevenness(cut, 1, 1).lasting).toBeCloseTo((1.5 * (2.4 - 2)) / (8 + 61), 9);
  });

  it('lasts at most nine tenths, and at least not at all', () => {
    const runs = [9, 9, 9, 9, 9, 9, 3, 3, 3, 3, 3, 3].flatMap((hours) => [week(hours), week(hours)]);
    expect(unevenness(runs, 1, 1).lasting).toBe(0.9);
  });

  it('is not learned from weeks that were stood, across which nothing hangs together', () => {
    // The stood week breaks the pair: two squares of 1.5, no product.
    const { dispersion, lasting } = unevenness([week(9), week(0), week(9)], 1, 1);
    expect(dispersion).toBeCloseTo((6 + 3) / 6, 9);
    expect(lasting).toBeCloseTo(0.45, 9);
    // Half a week stood (1.05 h of 6 by the mean of 1) counts half; expected are 6 h.
    const half = unevenness([week(1.05)], 1, 1);
    expect(half.dispersion).toBeCloseTo((6 + (0.5 * 4.95 ** 2) / 6) / 4.5, 9);
  });

  it('is measured against at least half an hour', () => {
    const { dispersion } = unevenness([{ hours: 3, planned: 0.1, days: 7, age: 0 }], 1, 1);
    expect(dispersion).toBeCloseTo((6 + 2.5 ** 2 / 0.5) / 5, 9);
  });
});

describe('the variance of the hours ahead', () => {
  /** All pairs of days, in place of the closed form: a sum of exp(−|distance| / memory). */
  function pairs(days: number, memory: number): number {
    const steps = 2000;
    let sum = steps;
    for (let apart = 1; apart < steps; apart += 1)
      sum += 2 * (steps - apart) * Math.exp((-apart * days) / steps / memory);
    return sum * (days / steps) ** 2;
  }

  it.each([
    ['nothing', [], 0],
    ['weeks of all kinds', [week(9), week(4), week(0), week(0), week(7), week(8)], 36],
  ])('is made of weeks, weather, standing and what is not known of the factor: of %s', (_, gaps, planned) => {
    const known = { hours: gaps.reduce((sum, { hours }) => sum + hours, 0), planned, gaps };
    const factor = workFactor(known);
    const mean = (15 + known.hours) / (15 + planned);
    expect(factor.mean).toBeCloseTo(mean, 12);
    const { share, days: spell } = standingSpells(gaps, mean);
    const { dispersion, lasting } = unevenness(gaps, mean, mean / (1 - share));
    // A spell and the work after it, as one memory; odds of standing.
    const [memory, odds] = [spell * (1 - share), share / (1 - share)];
    const gap = pairs(7, 15) / 7;
    for (const [hours, days] of [
      [5, 6],
      [30, 35],
      [150, 180],
    ] as const) {
      const run = mean * hours;
      const weeks = dispersion * run * (1 - lasting);
      const weather = (dispersion * run * lasting * pairs(days, 15)) / days / gap;
      const standing = (run / days) ** 2 * odds * pairs(days, memory);
      const longRun = dispersion * (1 - lasting + (lasting * 30) / gap) + (run / days) * odds * 2 * memory;
      const ofFactor = ((0.3 * longRun) / (mean * (15 + planned))) * run ** 2;
      const all = weeks + weather + standing + ofFactor;
      expect(Math.abs(factor.variance(hours, days) / all - 1)).toBeLessThan(0.002);
    }
    // Beyond the days kept ready, and for part of a day, by the same rule.
    expect(factor.variance(4000, 4000)).toBeGreaterThan(factor.variance(3600, 3600));
    expect(factor.variance(1, 1.5)).toBeGreaterThan(0);
  });

  it('takes a mean that is given for what it is', () => {
    expect(workFactor({ hours: 90, planned: 60, gaps: [] }, 1).mean).toBe(1);
  });
});

describe('a quantile', () => {
  const factor = workFactor({ hours: 0, planned: 0, gaps: [] });

  it('of nothing, or of no day, is nothing; of next to nothing its low point is', () => {
    expect(hoursQuantile(factor, 0, 5, 1)).toBe(0);
    expect(hoursQuantile(factor, 1e-7, 5, 1)).toBe(0);
    expect(hoursQuantile(factor, 5, 0, 1)).toBe(0);
    expect(hoursQuantile(factor, 0.01, 1, -1.28)).toBe(0);
  });

  it('at the middle lies below the mean, as in every distribution with a long upper tail', () => {
    // Wilson and Hilferty: the median is mean · (1 − 1/(9k))³, with k = mean² / variance.
    const shape = 400 / factor.variance(20, 22);
    expect(hoursQuantile(factor, 20, 22, 0)).toBeCloseTo(20 * (1 - 1 / (9 * shape)) ** 3, 9);
  });
});
