import { judgeRange } from '../check/range.js';
import { shownRange } from '../units/quantity.js';
import type { Dimension } from '../units/units.js';
import { defineMeasurement, field } from './define.js';

/** One figure between two. */
export interface RangeMeasurement {
  readonly kind: 'range';
  readonly label: string;
  readonly dimension: Dimension;
  readonly low: number;
  readonly high: number;
}

export const range = defineMeasurement<RangeMeasurement>({
  fields: ({ label, dimension }) => [field('value', label, dimension)],
  judge: (limits, { value }) => (value === undefined ? null : judgeRange(value, limits).kind === 'within'),
  wanted: (limits, units) => shownRange(limits, limits.dimension, units),
});
