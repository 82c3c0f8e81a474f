import { isBladeStraight } from '../check/deckLevel.js';
import { shownValue } from '../units/quantity.js';
import { defineMeasurement, field } from './define.js';
import type { LimitsFrom } from './define.js';

/** Whether a blade is straight: both tips at the same place. */
export interface BladeTipsMeasurement extends LimitsFrom {
  readonly kind: 'bladeTips';
  readonly label: string;
  readonly within: number;
}

export const bladeTips = defineMeasurement<BladeTipsMeasurement>({
  fields: () => [field('first', 'First tip', 'length'), field('second', 'Second tip', 'length')],
  judge: ({ within }, { first, second }) =>
    first === undefined || second === undefined ? null : isBladeStraight(first, second, within),
  wanted: ({ within }, units) => `within ${shownValue(within, 'length', units)} of each other`,
});
