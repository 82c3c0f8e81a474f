// Prints how well due dates are forecast on simulated years, calm and rough: the figures of docs/forecast.md.
import { backTest } from '../core/dist/usage/backTest/backTest.js';
import { ROUGH_YEARS, roughMachine } from '../core/dist/usage/backTest/roughMachine.js';
import { simulatedMachine } from '../core/dist/usage/backTest/simulatedMachine.js';

const MACHINES = 400;
/** Other machines than those that the priors were set on. */
const AFTER = 100_000;
const years = [
  ['calm years', simulatedMachine],
  ...Object.entries(ROUGH_YEARS).map(([name, rough]) => [name, (seed) => roughMachine(seed, rough)]),
];
const days = (value) => String(value).padStart(6);
console.log(`Due dates 30 days ahead, ${MACHINES} machines of each kind over three simulated years.`);
console.log('Median error in days of Yugator, of a line through two readings, of one through 90 days;');
console.log('true day within the early and the late date; median width between them in days:');
for (const [name, simulated] of years) {
  const result = backTest(MACHINES, simulated, AFTER);
  const { medianError, medianErrorLastTwoReadings, medianErrorLast90Days, coverage, medianWidth } = result;
  console.log(
    `  ${name.padEnd(30)}${days(medianError)}${days(medianErrorLastTwoReadings)}${days(medianErrorLast90Days)}` +
      `  ${(100 * coverage).toFixed(1)} %${days(medianWidth)}   (${result.forecasts} forecasts, ratio ${(medianError / medianErrorLastTwoReadings).toFixed(2)})`,
  );
}
