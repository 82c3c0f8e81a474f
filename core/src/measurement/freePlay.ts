import { judgeFreePlay } from '../check/freePlay.js';
import type { FreePlayRange } from '../check/freePlay.js';
import { shownRange, shownValue } from '../units/quantity.js';
import { defineMeasurement, field } from './define.js';
import type { LimitsFrom } from './define.js';

/** How far a pair of pedals gives. */
export interface FreePlayMeasurement extends FreePlayRange, LimitsFrom {
  readonly kind: 'freePlay';
  readonly label: string;
}

export const freePlay = defineMeasurement<FreePlayMeasurement>({
  fields: () => [field('left', 'Left', 'length'), field('right', 'Right', 'length')],
  judge: (range, { left, right }) =>
    left === undefined || right === undefined ? null : judgeFreePlay(left, right, range).isGood,
  wanted: (range, units) =>
    `${shownRange(range, 'length', units)}, both sides within ${shownValue(range.equalWithin, 'length', units)}`,
});
