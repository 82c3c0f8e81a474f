import { visitMinutesOf } from '@yugator/core';
import type { PlannerMachine } from '@yugator/core';

/** Minutes of a card: set-up, what is shared once, and its items. */
export function cardMinutes(machine: PlannerMachine | undefined, itemIds: readonly string[]): number {
  if (!machine) return 0;
  const places = machine.items.flatMap(({ id }, place) => (itemIds.includes(id) ? [place] : []));
  return Math.round(visitMinutesOf(machine, places));
}
