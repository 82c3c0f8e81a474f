import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile';
import fc from 'fast-check';
import { hoursQuantile, POINT_10, POINT_90, POINT_99, workFactor } from './workFactor.js';

describe('the work factor', () => {
  it('is 1 before anything is known', () => {
    expect(workFactor([])).toEqual({ mean: 1, variance: 1 / 6, dispersion: 2.5 });
  });

  it('is the posterior mean of a gamma prior, worked by hand', () => {
    // One gap of 12 h where 8 were planned. First mean (6 + 12/2.5) / (6 + 8/2.5) = 10.8 / 9.2 = 1.1739; expected 9.3913 h;
    // residual (12 − 9.3913)² / 9.3913 = 0.72464; φ = (4 × 2.5 + 0.72464) / 5 = 2.14493;
    // shape 6 + 12/2.14493 = 11.5946, rate 6 + 8/2.14493 = 9.7297: mean 1.19167, variance 11.5946 / 9.7297² = 0.12248.
    const { mean, variance, dispersion } = workFactor([{ hours: 12, planned: 8, weight: 1 }]);
    expect(dispersion).toBeCloseTo(2.14493, 4);
    expect(mean).toBeCloseTo(1.19167, 4);
    expect(variance).toBeCloseTo(0.12248, 4);
  });

  it('comes to what the machine really does, the more it is seen', () => {
    const seen = (weeks: number) =>
      workFactor(Array.from({ length: weeks }, () => ({ hours: 9, planned: 6, weight: 1 })));
    expect(seen(2).mean).toBeLessThan(seen(10).mean);
    expect(seen(60).mean).toBeCloseTo(1.5, 1);
    expect(seen(60).variance).toBeLessThan(seen(2).variance);
  });
});

describe('the range of hours', () => {
  it.each([POINT_10, POINT_90, POINT_99])('at the normal point %d is near the exact gamma quantile', (z) => {
    // Reference: the gamma quantile function of @stdlib, with the same mean and variance.
    const share =
      new Map([
        [POINT_10, 0.1],
        [POINT_90, 0.9],
        [POINT_99, 0.99],
      ]).get(z) ?? NaN;
    const factor = { mean: 1.2, variance: 0.05, dispersion: 2 };
    for (const planned of [4, 8, 16, 32, 64, 200]) {
      const mean = 1.2 * planned;
      const variance = 2 * mean + 0.05 * planned ** 2;
      const exact = gammaQuantile(share, mean ** 2 / variance, mean / variance);
      expect(Math.abs(hoursQuantile(factor, planned, z) / exact - 1)).toBeLessThan(0.03);
    }
  });

  it('grows with the hours planned, and keeps its order', () => {
    const anyFactor = fc.record({
      mean: fc.double({ min: 0.2, max: 4, noNaN: true }),
      variance: fc.double({ min: 0.001, max: 0.3, noNaN: true }),
      dispersion: fc.double({ min: 0.5, max: 10, noNaN: true }),
    });
    const anyHours = fc.double({ min: 0, max: 500, noNaN: true });
    fc.assert(
      fc.property(anyFactor, anyHours, anyHours, (factor, planned, more) => {
        const [low, high] = [
          hoursQuantile(factor, planned, POINT_10),
          hoursQuantile(factor, planned, POINT_90),
        ];
        expect(low).toBeLessThanOrEqual(high);
        expect(hoursQuantile(factor, planned + more, POINT_10)).toBeGreaterThanOrEqual(low - 1e-9);
        expect(hoursQuantile(factor, planned + more, POINT_90)).toBeGreaterThanOrEqual(high - 1e-9);
      }),
      { seed: 12 },
    );
  });
});
