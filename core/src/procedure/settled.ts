import type { SheetStep } from './compose.js';

/** The items of a sheet of which every step of work is done; an item without any is settled by a person alone. */
export function settledItems(steps: readonly SheetStep[], doneKeys: ReadonlySet<string>): Set<string> {
  const open = new Set<string>();
  const worked = new Set<string>();
  for (const { key, kind, itemIds } of steps) {
    if (kind !== 'work') continue;
    for (const id of itemIds) (doneKeys.has(key) ? worked : open).add(id);
  }
  return new Set([...worked].filter((id) => !open.has(id)));
}

/** What ticks change: items that are done by them now, and items that were and are no longer. */
export interface SettledChange {
  readonly done: readonly string[];
  readonly takenBack: readonly string[];
}

/** What it changes that the ticks of a sheet were `before` and are `after`. */
export function settledChange(
  steps: readonly SheetStep[],
  before: ReadonlySet<string>,
  after: ReadonlySet<string>,
): SettledChange {
  const was = settledItems(steps, before);
  const is = settledItems(steps, after);
  return {
    done: [...is].filter((id) => !was.has(id)),
    takenBack: [...was].filter((id) => !is.has(id)),
  };
}
