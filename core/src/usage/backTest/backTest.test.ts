import { backTest } from './backTest.js';
import { ROUGH_YEARS, roughMachine } from './roughMachine.js';
import { simulatedMachine } from './simulatedMachine.js';
import type { SimulatedMachine } from './simulatedMachine.js';

const MACHINES = 50;
/** Other machines than those that the priors were set on (docs/forecast.md). */
const AFTER = 50_000;

type Years = readonly [name: string, simulated: (seed: number) => SimulatedMachine];
const YEARS: Years[] = [
  ['calm years', simulatedMachine],
  ...Object.entries(ROUGH_YEARS).map(([name, rough]): Years => [name, (seed) => roughMachine(seed, rough)]),
];

describe.each(YEARS)('due dates 30 days ahead: %s', (name, simulated) => {
  const result = backTest(MACHINES, simulated, AFTER);

  it('lie between the early and the late date in 77 to 85 of 100 cases', () => {
    expect(result.forecasts).toBeGreaterThan(3000);
    expect(result.coverage).toBeGreaterThanOrEqual(0.77);
    expect(result.coverage).toBeLessThanOrEqual(0.85);
  });

  it('are nearer than a line through the last two readings, and not further off than one through 90 days', () => {
    expect(result.medianError).toBeLessThanOrEqual(0.7 * result.medianErrorLastTwoReadings);
    if (name.startsWith('no plan')) {
      expect(result.medianError).toBeLessThanOrEqual(result.medianErrorLast90Days);
    } else expect(result.medianError).toBeLessThan(result.medianErrorLast90Days);
  });
});
