import { daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { Arrival } from '../shelf/demand.js';

/**
 * Days until so much of an article is here: 0 where it lies there, and where nobody ordered enough, for then it can be bought by any day.
 */
export function daysUntilHere(
  quantity: number,
  onHand: number,
  arrivals: readonly Arrival[],
  today: CivilDate,
): number {
  let there = Math.max(0, onHand);
  if (there >= quantity) return 0;
  for (const { on, quantity: more } of [...arrivals].sort((a, b) => a.on.localeCompare(b.on))) {
    there += more;
    if (there >= quantity) return Math.max(0, daysBetween(today, on));
  }
  return 0;
}

/** What lies there of articles, with what unopened kits hold of them. */
export function withKitContents(
  onHand: ReadonlyMap<string, number>,
  kits: ReadonlyMap<string, readonly { readonly articleId: string; readonly quantity: number }[]>,
): ReadonlyMap<string, number> {
  const all = new Map(onHand);
  for (const [kitId, contents] of kits) {
    const kitsHere = Math.max(0, onHand.get(kitId) ?? 0);
    for (const { articleId, quantity } of contents)
      all.set(articleId, (all.get(articleId) ?? 0) + kitsHere * quantity);
  }
  return all;
}
