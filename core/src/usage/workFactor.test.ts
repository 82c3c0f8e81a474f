import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile';
import fc from 'fast-check';
import type { Evidence, Gap } from './evidence.js';
import { persistence } from './persistence.js';
import { standingSpells } from './standingSpells.js';
import { unevenness } from './unevenness.js';
import { hoursQuantile, POINT_10, POINT_90, POINT_99, workFactor } from './workFactor.js';

/** Weeks of so many hours each, where 6 were planned on seven working days, the last of them today. */
function weeks(...hours: number[]): Gap[] {
  return hours.map((each, index) => ({
    hours: each,
    planned: 6,
    days: 7,
    age: 7 * (hours.length - 1 - index),
  }));
}

function knownOf(gaps: readonly Gap[]): Evidence {
  const sum = (of: (gap: Gap) => number) => gaps.reduce((all, gap) => all + of(gap), 0);
  return { hours: sum((gap) => gap.hours), planned: sum((gap) => gap.planned), gaps };
}

const NOTHING: Evidence = { hours: 0, planned: 0, gaps: [] };

describe('the work factor', () => {
  it('is 1 before anything is known', () => {
    expect(workFactor(NOTHING).mean).toBe(1);
  });

  it('is the mean of a prior of 15 planned hours and of what was run, worked by hand', () => {
    // 12 h where 8 were planned: (15 + 12) / (15 + 8) = 27 / 23.
    expect(workFactor({ ...NOTHING, hours: 12, planned: 8 }).mean).toBeCloseTo(27 / 23, 9);
  });

  it('comes to what the machine really does, the more it is seen', () => {
    const seen = (count: number) => workFactor(knownOf(weeks(...Array<number>(count).fill(9))));
    expect(seen(2).mean).toBeLessThan(seen(10).mean);
    expect(seen(60).mean).toBeCloseTo(1.5, 1);
    expect(seen(60).variance(30, 30)).toBeLessThan(seen(2).variance(30, 30));
  });

  it('expects a wider range of a machine that stands for weeks than of one that runs evenly as many hours', () => {
    const even = knownOf(weeks(6, 6, 6, 6, 6, 6, 6, 6, 6, 6, 6, 6));
    const stands = knownOf(weeks(9, 9, 0, 0, 9, 9, 9, 9, 0, 0, 9, 9));
    expect(workFactor(stands).mean).toBeCloseTo(workFactor(even).mean, 9);
    expect(workFactor(stands).variance(26, 30)).toBeGreaterThan(3 * workFactor(even).variance(26, 30));
  });
});

describe('spells of standing', () => {
  it('are a twentieth of the time and a week long before anything is known', () => {
    expect(standingSpells([], 1)).toEqual({ share: 0.05, days: 7 });
  });

  it('are counted with their lengths, worked by hand', () => {
    // Of the six weeks, all of today as far as weights go, two in a row had no hours: 14 of 42 days, one spell of 14 days.
    // Share (2 + 14) / (40 + 42) = 0.19512; length (2 × 7 + 14) / (2 + 1) = 9.333 days.
    const gaps = weeks(9, 9, 0, 0, 9, 9).map((gap) => ({ ...gap, age: 0 }));
    const { share, days } = standingSpells(gaps, 1);
    expect(share).toBeCloseTo(16 / 82, 9);
    expect(days).toBeCloseTo(28 / 3, 9);
  });

  it('are told from weeks that were only slow', () => {
    expect(standingSpells(weeks(3, 3, 3, 3), 1).share).toBeLessThan(0.05);
  });
});

describe('unevenness', () => {
  it('is what was expected before anything is known', () => {
    // Lasting: 1.5 × 0.3.
    const { dispersion, lasting } = unevenness([], 1, 1);
    expect(dispersion).toBe(1.5);
    expect(lasting).toBeCloseTo(0.45, 9);
  });

  it('is learned from the squares of what came otherwise, worked by hand', () => {
    // One week of 9 h where 6 were expected: (9 − 6)² / 6 = 1.5; (4 × 1.5 + 1.5) / 5 = 1.5. One of 12: 6² / 6 = 6; (6 + 6) / 5 = 2.4.
    expect(unevenness(weeks(9), 1, 1).dispersion).toBeCloseTo(1.5, 9);
    expect(unevenness(weeks(12), 1, 1).dispersion).toBeCloseTo(2.4, 9);
  });

  it('lasts where good weeks follow good ones, and not where they take turns', () => {
    const runs = weeks(9, 9, 9, 9, 3, 3, 3, 3, 9, 9, 9, 9, 3, 3, 3, 3);
    const turns = weeks(9, 3, 9, 3, 9, 3, 9, 3, 9, 3, 9, 3, 9, 3, 9, 3);
    expect(unevenness(runs, 1, 1).lasting).toBeGreaterThan(0.6);
    expect(unevenness(turns, 1, 1).lasting).toBe(0);
  });
});

describe('the persistence of what lasts', () => {
  it('is that of one day within its memory, and of its memory beyond it', () => {
    expect(persistence(1, 1000)).toBeCloseTo(1, 2);
    expect(persistence(1e6, 15) / 1e6).toBeCloseTo(30, 2);
  });

  it('is the sum over all pairs of days, counted', () => {
    // Small steps in place of the integral, with the correlation exp(−|distance| / 15).
    const [steps, days] = [600, 30];
    let sum = 0;
    for (let a = 0; a < steps; a += 1) {
      for (let b = 0; b < steps; b += 1) sum += Math.exp((-Math.abs(a - b) * days) / steps / 15);
    }
    expect(persistence(days, 15)).toBeCloseTo(sum * (days / steps) ** 2, 0);
  });
});

describe('the range of hours', () => {
  const fixed = (mean: number, ofMean: number, ofSquare: number) => ({
    mean,
    variance: (planned: number) => ofMean * mean * planned + ofSquare * planned ** 2,
  });

  it.each([
    [POINT_10, 0.1],
    [POINT_90, 0.9],
    [POINT_99, 0.99],
  ])('at the normal point %d is near the exact gamma quantile', (z, share) => {
    // Reference: the gamma quantile function of @stdlib, with the same mean and variance.
    const factor = fixed(1.2, 2, 0.05);
    for (const planned of [4, 8, 16, 32, 64, 200]) {
      const mean = 1.2 * planned;
      const variance = factor.variance(planned);
      const exact = gammaQuantile(share, mean ** 2 / variance, mean / variance);
      expect(Math.abs(hoursQuantile(factor, planned, planned, z) / exact - 1)).toBeLessThan(0.03);
    }
  });

  it('grows with the days ahead and keeps its order, whatever was read', () => {
    const anyWeeks = fc.array(fc.double({ min: 0, max: 30, noNaN: true }), { maxLength: 40 });
    const anyDays = fc.integer({ min: 1, max: 200 });
    fc.assert(
      fc.property(anyWeeks, anyDays, anyDays, (hours, days, more) => {
        const factor = workFactor(knownOf(weeks(...hours)));
        const at = (ahead: number, z: number) => hoursQuantile(factor, ahead * 0.9, ahead, z);
        expect(at(days, POINT_10)).toBeLessThanOrEqual(at(days, POINT_90));
        expect(at(days + more, POINT_10)).toBeGreaterThanOrEqual(at(days, POINT_10) - 1e-9);
        expect(at(days + more, POINT_90)).toBeGreaterThanOrEqual(at(days, POINT_90) - 1e-9);
      }),
      { seed: 12 },
    );
  });
});
