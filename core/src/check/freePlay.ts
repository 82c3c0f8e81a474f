import { judgeRange, ROUNDING } from './range.js';
import type { RangeVerdict, Tolerance } from './range.js';

export interface FreePlayVerdict {
  readonly left: RangeVerdict;
  readonly right: RangeVerdict;
  /** mm between the two sides */
  readonly difference: number;
  /** unequal pedals pull to one side */
  readonly isUneven: boolean;
  readonly isGood: boolean;
}

/** The free play of a pair of pedals, mm. */
export interface FreePlayRange extends Tolerance {
  /** most between left and right */
  readonly equalWithin: number;
}

/** Pedals are taken as equal within this, where the machine's card says nothing (common practice). */
export const USUAL_EQUAL_WITHIN = 3;

/** Judges the free play of a pair of pedals, mm. */
export function judgeFreePlay(left: number, right: number, range: FreePlayRange): FreePlayVerdict {
  const sides = { left: judgeRange(left, range), right: judgeRange(right, range) };
  const difference = Math.abs(left - right);
  const isUneven = difference > range.equalWithin + ROUNDING;
  const isGood = !isUneven && sides.left.kind === 'within' && sides.right.kind === 'within';
  return { ...sides, difference, isUneven, isGood };
}
