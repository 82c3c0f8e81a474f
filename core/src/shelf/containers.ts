import { roundQuantity } from './ledger.js';

/** A lot that came in containers (or packs) of one size, and what is left of it. */
export interface ContainedLot {
  readonly left: number;
  /** what one container holds; null of what came in loose */
  readonly container: number | null;
}

/** Containers of one size. */
export interface Containers {
  readonly size: number;
  /** of these, nothing was drawn yet */
  readonly full: number;
  /** what is left in those that are open */
  readonly open: readonly number[];
}

/** How many containers a quantity fills to the last drop; null where it does not. A quart is kept to the millilitre: each may be one off. */
function wholeContainers(quantity: number, container: number): number | null {
  const count = Math.round(quantity / container);
  return Math.abs(quantity - count * container) <= 0.001 * count + 1e-9 ? count : null;
}

/**
 * The containers that lie on the shelf, by size, in the order in which they came in. What is drawn comes out of the open one first, so
 * that of each lot one is open at most.
 */
export function containersOf(lots: readonly ContainedLot[]): Containers[] {
  const bySize = new Map<number, { full: number; open: number[] }>();
  for (const { left, container } of lots) {
    if (container === null || left <= 0) continue;
    const full = wholeContainers(left, container) ?? Math.floor(left / container);
    const rest = wholeContainers(left, container) === null ? roundQuantity(left - full * container) : 0;
    const before = bySize.get(container) ?? { full: 0, open: [] };
    bySize.set(container, {
      full: before.full + full,
      open: rest > 0 ? [...before.open, rest] : before.open,
    });
  }
  return [...bySize].map(([size, counted]) => ({ size, ...counted }));
}

/** Whether so much can have come in, in containers of a size. */
export function fillsContainers(quantity: number, container: number): boolean {
  return (wholeContainers(quantity, container) ?? 0) >= 1;
}
