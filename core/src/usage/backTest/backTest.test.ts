import { backTest } from './backTest.js';

describe('due dates 30 days ahead on simulated years', () => {
  const result = backTest(60);

  it('are off by at most half of what a line through the last two readings is, and less than one through 90 days', () => {
    expect(result.forecasts).toBeGreaterThan(4000);
    expect(result.medianError).toBeLessThanOrEqual(result.medianErrorLastTwoReadings / 2);
    expect(result.medianError).toBeLessThan(result.medianErrorLast90Days);
  });

  it('lie between the early and the late date in 75 to 88 % of cases', () => {
    expect(result.coverage).toBeGreaterThanOrEqual(0.75);
    expect(result.coverage).toBeLessThanOrEqual(0.88);
  });
});
