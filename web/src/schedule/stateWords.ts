import type { DueState } from '@yugator/core';

export const STATE_WORDS: Record<DueState, string> = {
  overdue: 'Overdue',
  noRecord: 'No record',
  ripe: 'Ripe',
  coming: 'Coming',
  fine: 'Fine',
  resting: 'Resting',
};

/** The colour of a state, second to its shape and word. */
export const STATE_COLOUR: Record<DueState, string> = {
  overdue: 'var(--late)',
  noRecord: 'var(--none)',
  ripe: 'var(--ripe)',
  coming: 'var(--coming)',
  fine: 'var(--fine)',
  resting: 'var(--soft)',
};
