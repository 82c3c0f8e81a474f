// Prints how well due dates are forecast on simulated years: the figures of docs/forecast.md.
import { backTest } from '../core/dist/usage/backTest/backTest.js';

const MACHINES = 400;
const result = backTest(MACHINES);
const days = (value) => `${value} days`;
const rows = [
  ['due dates forecast', result.forecasts],
  ['median error, Yugator', days(result.medianError)],
  ['median error, line through the last two readings', days(result.medianErrorLastTwoReadings)],
  ['median error, line through the last 90 days', days(result.medianErrorLast90Days)],
  ['true day within the early and late date', `${(100 * result.coverage).toFixed(1)} %`],
  ['median width from early to late', days(result.medianWidth)],
];
console.log(`Due dates 30 days ahead, ${MACHINES} machines over three simulated years:`);
for (const [what, figure] of rows) console.log(`  ${String(what).padEnd(50)}${figure}`);
