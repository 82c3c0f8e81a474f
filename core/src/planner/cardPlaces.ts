import type { PlannerItem } from './instance.js';

/** Places in the plan of the work of a card, in order; what is no longer planned has gone from it. */
export function placesOf(itemIds: readonly string[], items: readonly Pick<PlannerItem, 'id'>[]): number[] {
  const chosen = new Set(itemIds);
  return items.flatMap(({ id }, place) => (chosen.has(id) ? [place] : []));
}
