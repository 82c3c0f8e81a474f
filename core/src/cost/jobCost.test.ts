import fc from 'fast-check';
import { jobCost } from './jobCost.js';

describe('what a job cost', () => {
  const kit = { costMinor: 2890 };
  // 1.99 L at 6.45.
  const oil = { costMinor: 1284 };

  it('is parts and fluids at what they cost, and labour at the rate of the crew', () => {
    // 28.90 + 12.84 = 41.74; 95 min at 32.00 an hour = 50.67.
    expect(jobCost([kit, oil], 95, 3200)).toEqual({ parts: 4174, labour: 5067, total: 9241 });
  });

  it('says nothing of labour without a rate, and nothing is not nothing at all', () => {
    expect(jobCost([kit], 95, null)).toEqual({ parts: 2890, labour: null, total: 2890 });
    expect(jobCost([kit], 95, 0)).toEqual({ parts: 2890, labour: 0, total: 2890 });
    expect(jobCost([], 0, 3200)).toEqual({ parts: 0, labour: 0, total: 0 });
  });

  it('is a whole number of minor units, the sum of its lines, and never less for more work', () => {
    const draw = fc.record({ costMinor: fc.integer({ min: -100_000, max: 100_000 }) });
    const minutes = fc.nat({ max: 6000 });
    fc.assert(
      fc.property(fc.array(draw), minutes, minutes, fc.nat({ max: 20_000 }), (draws, a, b, rate) => {
        const { parts, labour, total } = jobCost(draws, Math.max(a, b), rate);
        expect([parts, labour, total].every(Number.isInteger)).toBe(true);
        expect(parts).toBe(draws.reduce((sum, each) => sum + jobCost([each], 0, null).parts, 0));
        expect(total).toBe(parts + (labour ?? 0));
        expect(labour).toBeGreaterThanOrEqual(jobCost(draws, Math.min(a, b), rate).labour ?? 0);
      }),
      { seed: 9, numRuns: 300 },
    );
  });
});
