import { judgeTyres } from '../check/tyres.js';
import { shownRange, shownValue } from '../units/quantity.js';
import { defineMeasurement, field } from './define.js';

/** The pressures of a pair of tyres. */
export interface TyresMeasurement {
  readonly kind: 'tyres';
  readonly label: string;
  readonly low: number;
  readonly high: number;
  readonly sidewallMaximum: number;
}

export const tyres = defineMeasurement<TyresMeasurement>({
  fields: () => [field('left', 'Left', 'pressure'), field('right', 'Right', 'pressure')],
  judge: (spec, { left, right }) =>
    left === undefined || right === undefined ? null : judgeTyres(left, right, spec).length === 0,
  wanted: (spec, units) =>
    `${shownRange(spec, 'pressure', units)}, both alike, never above ${shownValue(spec.sidewallMaximum, 'pressure', units)}`,
});
