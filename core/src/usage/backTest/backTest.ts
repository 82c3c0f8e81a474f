import { dayNumber } from '../../calendar/civilDate.js';
import { forecastUsage } from '../forecastUsage.js';
import { observedRate } from '../observedRate.js';
import type { UsagePoint } from '../usageModel.js';
import { simulatedMachine } from './simulatedMachine.js';
import type { SimulatedMachine } from './simulatedMachine.js';

/** How forecasts of due dates about 30 days ahead did. Errors in days. */
export interface BackTest {
  readonly machines: number;
  readonly forecasts: number;
  readonly medianError: number;
  readonly medianErrorLastTwoReadings: number;
  readonly medianErrorLast90Days: number;
  /** share of true days within the early and the late date */
  readonly coverage: number;
  /** median width from the early to the late date */
  readonly medianWidth: number;
}

/** The due date looked for lies this far ahead. */
const AHEAD_DAYS = 30;
/** Some weeks of readings come first. */
const FIRST_AS_OF = 90;
const NEVER = Infinity;

interface Outcome {
  readonly error: number;
  readonly errorLastTwo: number;
  readonly errorLast90: number;
  readonly isCovered: boolean;
  readonly width: number;
}

/** The day on which a straight line of `rate` hours a day from `last` reaches `life`. */
function lineReaches(last: UsagePoint, rate: number, life: number): number {
  return rate > 0 ? last.day + Math.ceil((life - last.life) / rate) : NEVER;
}

/** One forecast of the hours that the machine will have in 30 days; null where it does not run towards that day. */
function outcome(machine: SimulatedMachine, index: number): Outcome | null {
  const asOf = machine.firstDay + index;
  const target = machine.life[index + AHEAD_DAYS];
  if (target === undefined) return null;
  const truth = machine.firstDay + machine.life.findIndex((life) => life >= target);
  if (truth - asOf < AHEAD_DAYS - 3) return null;
  const points = machine.readings.filter(({ day }) => day <= asOf);
  const [before, last] = [points.at(-2), points.at(-1)];
  if (!before || !last || target <= last.life) return null;
  const { expectedOn, earlyOn, lateOn } = forecastUsage(points, machine.plan, asOf).dateReached(target);
  const dayOf = (date: typeof expectedOn) => (date === null ? NEVER : dayNumber(date));
  const lastTwo = lineReaches(last, (last.life - before.life) / (last.day - before.day), target);
  return {
    error: Math.abs(dayOf(expectedOn) - truth),
    errorLastTwo: Math.abs(lastTwo - truth),
    errorLast90: Math.abs(lineReaches(last, observedRate(points, asOf) ?? 0, target) - truth),
    isCovered: dayOf(earlyOn) <= truth && truth <= dayOf(lateOn),
    width: dayOf(lateOn) - dayOf(earlyOn),
  };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  const upper = sorted[middle] ?? NaN;
  return sorted.length % 2 ? upper : ((sorted[middle - 1] ?? NaN) + upper) / 2;
}

/** Forecasts every week of `machines` simulated machines (the seeds after `after`) and compares with what came. */
export function backTest(
  machines: number,
  simulated: (seed: number) => SimulatedMachine = simulatedMachine,
  after = 0,
): BackTest {
  const outcomes: Outcome[] = [];
  for (let seed = after + 1; seed <= after + machines; seed += 1) {
    const machine = simulated(seed);
    for (let index = FIRST_AS_OF; index < machine.life.length; index += 7) {
      const found = outcome(machine, index);
      if (found) outcomes.push(found);
    }
  }
  return {
    machines,
    forecasts: outcomes.length,
    medianError: median(outcomes.map(({ error }) => error)),
    medianErrorLastTwoReadings: median(outcomes.map(({ errorLastTwo }) => errorLastTwo)),
    medianErrorLast90Days: median(outcomes.map(({ errorLast90 }) => errorLast90)),
    coverage: outcomes.filter(({ isCovered }) => isCovered).length / outcomes.length,
    medianWidth: median(outcomes.map(({ width }) => width)),
  };
}
