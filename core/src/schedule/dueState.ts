/** How an item stands, strongest first. */
export const DUE_STATES = ['overdue', 'noRecord', 'ripe', 'coming', 'fine', 'resting'] as const;

/**
 * - `overdue`: strictly past its due point
 * - `noRecord`: nothing says when it was last done; treated as due
 * - `ripe`: within its window before the due point, or exactly at it
 * - `coming`: expected within 30 days
 * - `fine`: later than that
 * - `resting`: counts hours only, on a machine that is laid up
 */
export type DueState = (typeof DUE_STATES)[number];

const RANK = new Map(DUE_STATES.map((state, rank) => [state, rank]));

const BITES: ReadonlySet<DueState> = new Set(['overdue', 'noRecord', 'ripe']);

/** Whether something waits to be done: it is due, on no record, or ripe. */
export function bites(state: DueState): boolean {
  return BITES.has(state);
}

/** Orders states strongest first. */
export function compareStates(a: DueState, b: DueState): number {
  return (RANK.get(a) ?? 0) - (RANK.get(b) ?? 0);
}
