/** How an item stands, strongest first. */
export const DUE_STATES = ['overdue', 'noRecord', 'ripe', 'coming', 'fine'] as const;

/**
 * - `overdue`: strictly past its due point
 * - `noRecord`: nothing says when it was last done; treated as due
 * - `ripe`: within its window before the due point, or exactly at it
 * - `coming`: expected within 30 days
 * - `fine`: later than that
 */
export type DueState = (typeof DUE_STATES)[number];

/** Orders states strongest first. */
export function compareStates(a: DueState, b: DueState): number {
  return DUE_STATES.indexOf(a) - DUE_STATES.indexOf(b);
}
