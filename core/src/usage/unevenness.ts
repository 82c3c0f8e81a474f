import { weightOf } from './evidence.js';
import type { Gap } from './evidence.js';
import { HABIT_HALF_LIFE_DAYS, stoodShare } from './standingSpells.js';

/** How unevenly a machine runs while it works. */
export interface Unevenness {
  /** variance over mean of the hours of a gap, in hours */
  readonly dispersion: number;
  /** the part of it that hangs together from week to week (weather, the state of the grass), from 0 up to 1 */
  readonly lasting: number;
}

/** What is expected before anything is known, and as how many gaps that opinion counts. */
const PRIOR_DISPERSION = 1.5;
const PRIOR_GAPS = 4;
const PRIOR_LASTING = 0.3;
const PRIOR_PAIRS = 8;
/** An expected count below this blows one odd hour up to any size. */
const LEAST_EXPECTED = 0.5;
/** One odd pair of weeks does not make a habit. */
const LEAST_PRODUCT = -2;
const MOST_PRODUCT = 4;
/** Two gaps are about seven working days apart, within which part of what lasts is forgotten. */
const FORGOTTEN = 1.5;
const MOST_LASTING = 0.9;

/** The unevenness of a machine that runs `whileWorking` hours for each planned when it works, and `mean` over all, by its `gaps`. */
export function unevenness(gaps: readonly Gap[], mean: number, whileWorking: number): Unevenness {
  let squares = PRIOR_GAPS * PRIOR_DISPERSION;
  let counted = PRIOR_GAPS;
  let products = PRIOR_PAIRS * PRIOR_LASTING;
  let pairs = PRIOR_PAIRS;
  let before: number | null = null;
  for (const gap of gaps) {
    const weight = weightOf(gap.age, HABIT_HALF_LIFE_DAYS);
    const share = stoodShare(gap, mean);
    if (share > 0.5) {
      before = null;
      continue;
    }
    const expected = Math.max(LEAST_EXPECTED, whileWorking * gap.planned);
    const residual = (gap.hours - expected) / Math.sqrt(expected);
    squares += weight * (1 - share) * residual ** 2;
    counted += weight * (1 - share);
    if (before !== null) {
      const product = (before * residual * counted) / squares;
      products += weight * Math.min(MOST_PRODUCT, Math.max(LEAST_PRODUCT, product));
      pairs += weight;
    }
    before = residual;
  }
  const lasting = Math.min(MOST_LASTING, Math.max(0, (FORGOTTEN * products) / pairs));
  return { dispersion: squares / counted, lasting };
}
