import { addDays } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';

/** What became of a card: it is still to come, its work was done, or its day is past and it was not. */
export type CardState = 'planned' | 'done' | 'missed';

/** Work done so many days before its card is the work of that card. */
const DONE_BEFORE = 7;

/** A visit of a machine that was signed off. */
export interface VisitDone {
  readonly on: CivilDate;
  /** that were done */
  readonly itemIds: readonly string[];
}

/** What became of a card of a machine, by its visits: it is done once anything of its work was done, from a week before its day on. */
export function cardState(
  card: { readonly on: CivilDate; readonly itemIds: readonly string[] },
  visits: readonly VisitDone[],
  today: CivilDate,
): CardState {
  const from = addDays(card.on, -DONE_BEFORE);
  const isDone = visits.some(
    ({ on, itemIds }) => on >= from && itemIds.some((id) => card.itemIds.includes(id)),
  );
  if (isDone) return 'done';
  return card.on < today ? 'missed' : 'planned';
}
