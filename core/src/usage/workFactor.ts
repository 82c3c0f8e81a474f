import type { Gap } from './evidence.js';

/**
 * What is known of a machine's work factor θ, the hours it runs for each hour planned, and of how unevenly it runs.
 * Hours over planned hours E have the mean θE and the variance φθE; θ has a gamma distribution.
 */
export interface WorkFactor {
  readonly mean: number;
  readonly variance: number;
  /** φ: variance over mean of the hours at a given θ, in hours */
  readonly dispersion: number;
}

/** Shape of the gamma prior of θ with mean 1: a standard deviation of 0.4. */
const PRIOR_SHAPE = 6;
/** φ before anything is known, in hours, and how many gaps that opinion counts as. */
const PRIOR_DISPERSION = 2.5;
const PRIOR_GAPS = 4;
/** An expected count below this blows one odd hour up to any size. */
const LEAST_EXPECTED = 0.5;

/**
 * The posterior of θ: Gamma(a, a) before, and each gap adds weight · hours / φ to the shape and weight · planned / φ to the rate,
 * as if hours came in lots of φ. φ is the weighted Pearson dispersion of the gaps, drawn towards its prior.
 */
export function workFactor(gaps: readonly Gap[]): WorkFactor {
  let hours = 0;
  let planned = 0;
  let weights = 0;
  for (const gap of gaps) {
    hours += gap.weight * gap.hours;
    planned += gap.weight * gap.planned;
    weights += gap.weight;
  }
  const firstMean = (PRIOR_SHAPE + hours / PRIOR_DISPERSION) / (PRIOR_SHAPE + planned / PRIOR_DISPERSION);
  let squares = PRIOR_GAPS * PRIOR_DISPERSION;
  for (const gap of gaps) {
    const expected = Math.max(LEAST_EXPECTED, firstMean * gap.planned);
    squares += (gap.weight * (gap.hours - expected) ** 2) / expected;
  }
  const dispersion = squares / (PRIOR_GAPS + weights);
  const shape = PRIOR_SHAPE + hours / dispersion;
  const rate = PRIOR_SHAPE + planned / dispersion;
  return { mean: shape / rate, variance: shape / rate ** 2, dispersion };
}

/** Less than this is nothing, and its square is lost. */
const LEAST_HOURS = 1e-6;

/** Standard normal quantiles. */
export const POINT_10 = -1.2815515655446004;
export const POINT_90 = 1.2815515655446004;
export const POINT_99 = 2.3263478740408408;

/**
 * The quantile at the standard normal point `z` of the hours run over `planned` hours: a gamma distribution with the mean and
 * variance of the prediction, by Wilson and Hilferty's cube-root approximation (1931).
 */
export function hoursQuantile(factor: WorkFactor, planned: number, z: number): number {
  const mean = factor.mean * planned;
  if (mean < LEAST_HOURS) return 0;
  const variance = factor.dispersion * mean + factor.variance * planned * planned;
  const shape = (mean * mean) / variance;
  const root = 1 - 1 / (9 * shape) + z / (3 * Math.sqrt(shape));
  return root <= 0 ? 0 : mean * root * root * root;
}
