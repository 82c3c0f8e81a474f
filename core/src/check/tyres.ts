import type { Tolerance } from './range.js';

export interface TyreSpec extends Tolerance {
  /** kPa, as the sidewall says */
  readonly sidewallMaximum: number;
}

/** What is wrong with a pair of tyres; empty where nothing is. */
export type TyreFault =
  /** let air out at once: it can burst */
  'aboveSidewall' | 'below' | 'above' | 'unequal';

/** Both tyres of an axle are taken as equal within this, 7 kPa: one psi, as finely as a gauge reads. */
const EQUAL_WITHIN_KPA = 7;

/** Limits are read off a card in whole kPa: a figure that reads like the limit is at it, though the limit was printed in psi. */
const READ_WITHIN_KPA = 0.5;

/** Judges the pressures of one axle, kPa. */
export function judgeTyres(left: number, right: number, spec: TyreSpec): TyreFault[] {
  const most = Math.max(left, right);
  const faults: TyreFault[] = [];
  if (most > spec.sidewallMaximum + READ_WITHIN_KPA) faults.push('aboveSidewall');
  else if (most > spec.high + READ_WITHIN_KPA) faults.push('above');
  if (Math.min(left, right) < spec.low - READ_WITHIN_KPA) faults.push('below');
  if (Math.abs(left - right) > EQUAL_WITHIN_KPA) faults.push('unequal');
  return faults;
}
