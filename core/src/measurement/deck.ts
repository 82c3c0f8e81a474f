import { judgeDeck } from '../check/deckLevel.js';
import type { DeckLimits } from '../check/deckLevel.js';
import { shownRange, shownValue } from '../units/quantity.js';
import { defineMeasurement, field } from './define.js';
import type { LimitsFrom } from './define.js';

/** How a cutting deck hangs. */
export interface DeckMeasurement extends DeckLimits, LimitsFrom {
  readonly kind: 'deck';
  readonly label: string;
}

export const deck = defineMeasurement<DeckMeasurement>({
  fields: () => [
    field('left', 'Left', 'length'),
    field('right', 'Right', 'length'),
    field('front', 'Front', 'length'),
    field('rear', 'Rear', 'length'),
  ],
  judge(limits, { left, right, front, rear }) {
    if (left === undefined || right === undefined || front === undefined || rear === undefined) return null;
    const verdict = judgeDeck({ left, right, front, rear }, limits);
    return verdict.isLevelSideways && verdict.isRaked;
  },
  wanted: (limits, units) =>
    `sides within ${shownValue(limits.sidewaysWithin, 'length', units)}, front ${shownRange(limits, 'length', units)} lower`,
});
