/** Figures that a machine is set to, in the SI unit of what is measured. */
export interface Tolerance {
  readonly low: number;
  readonly high: number;
}

/** Where a value lies, and by how much it is out. */
export interface RangeVerdict {
  readonly kind: 'within' | 'below' | 'above';
  /** beyond the nearer end of the range; 0 within */
  readonly by: number;
}

/** Differences that only arithmetic makes. */
export const ROUNDING = 1e-9;

/** Judges a measured value against its range. */
export function judgeRange(value: number, { low, high }: Tolerance): RangeVerdict {
  if (value < low - ROUNDING) return { kind: 'below', by: low - value };
  if (value > high + ROUNDING) return { kind: 'above', by: value - high };
  return { kind: 'within', by: 0 };
}
