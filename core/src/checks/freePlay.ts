import { judgeRange } from './range.js';
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

/** Pedals are taken as equal within this (common practice; the book's figure wins). */
const EQUAL_WITHIN_MM = 3;

/** Judges the free play of a pair of pedals, mm. */
export function judgeFreePlay(left: number, right: number, range: Tolerance): FreePlayVerdict {
  const sides = { left: judgeRange(left, range), right: judgeRange(right, range) };
  const difference = Math.abs(left - right);
  const isUneven = difference > EQUAL_WITHIN_MM;
  const isGood = !isUneven && sides.left.kind === 'within' && sides.right.kind === 'within';
  return { ...sides, difference, isUneven, isGood };
}
