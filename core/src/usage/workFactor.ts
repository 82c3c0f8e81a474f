import type { Evidence } from './evidence.js';
import { persistence } from './persistence.js';
import { standingSpells } from './standingSpells.js';
import { unevenness } from './unevenness.js';

/** What is known of a machine's work factor θ, the hours it runs for each hour planned, and of how unevenly it runs. */
export interface WorkFactor {
  readonly mean: number;
  /** variance of the hours run, in h², over `planned` hours that lie within so many working days */
  variance(planned: number, days: number): number;
}

/** The prior of θ has the mean 1 and counts as so many planned hours. */
const PRIOR_HOURS = 15;
/** Working days after which weather and the state of the grass are half forgotten and more (to 1/e). */
const WEATHER_DAYS = 15;
/** Working days of a usual gap between readings. */
const GAP_DAYS = 7;
/** How much of the variance of a mean over the weighted past is left in θ: set on simulated years (docs/forecast.md). */
const LEFT_IN_FACTOR = 0.3;

/** The mean of θ: the prior, and every hour run for every hour planned, weighted by age. */
function meanOf({ hours, planned }: Evidence): number {
  return (PRIOR_HOURS + hours) / (PRIOR_HOURS + planned);
}

/**
 * The work factor that follows from `known`. Its range is made of what a machine does: it stands for a spell now and then, it works
 * unevenly from week to week, some of which lasts (weather), and θ itself is known only so well. Each part is learned from the gaps
 * with a prior. `mean` is given where the plan was scaled to what the machine runs anyway.
 */
export function workFactor(known: Evidence, mean: number = meanOf(known)): WorkFactor {
  const spells = standingSpells(known.gaps, mean);
  const odds = spells.share / (1 - spells.share);
  const { dispersion, lasting } = unevenness(known.gaps, mean, mean / (1 - spells.share));
  const memory = spells.days * (1 - spells.share);
  const perGap = persistence(GAP_DAYS, WEATHER_DAYS) / GAP_DAYS;
  const inTheLongRun = dispersion * (1 - lasting + (lasting * 2 * WEATHER_DAYS) / perGap);
  return {
    mean,
    variance(planned, days) {
      const hours = mean * planned;
      const perDay = hours / days;
      const weeks = dispersion * hours * (1 - lasting);
      const weather =
        (dispersion * hours * lasting * (ofWeather[days] ?? persistence(days, WEATHER_DAYS))) / days / perGap;
      const standing = perDay * perDay * odds * persistence(days, memory);
      const perHour = inTheLongRun + perDay * odds * 2 * memory;
      const factor = (LEFT_IN_FACTOR * perHour * hours * hours) / (mean * (PRIOR_HOURS + known.planned));
      return weeks + weather + standing + factor;
    },
  };
}

/** The persistence of weather by whole days: that of ten years. */
const ofWeather = Float64Array.from({ length: 3700 }, (_, days) => persistence(days, WEATHER_DAYS));

/** Less than this is nothing, and its square is lost. */
const LEAST_HOURS = 1e-6;

/** Standard normal quantiles. */
export const POINT_10 = -1.2815515655446004;
export const POINT_90 = 1.2815515655446004;
export const POINT_99 = 2.3263478740408408;

/**
 * The quantile at the standard normal point `z` of the hours run over `planned` hours within `days` working days: a gamma
 * distribution with the mean and variance of the prediction, by Wilson and Hilferty's cube-root approximation (1931).
 */
export function hoursQuantile(factor: WorkFactor, planned: number, days: number, z: number): number {
  const mean = factor.mean * planned;
  if (mean < LEAST_HOURS || days <= 0) return 0;
  const shape = (mean * mean) / factor.variance(planned, days);
  const root = 1 - 1 / (9 * shape) + z / (3 * Math.sqrt(shape));
  return root <= 0 ? 0 : mean * root * root * root;
}
