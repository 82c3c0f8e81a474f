import type { KnownLink, LinkTarget, ListFault } from '@yugator/core';
import type { ReadyLine } from './openList.js';

/** The new lines with which an owner would have more than `most` links. */
export function tooManyFaults<L>(
  lines: readonly ReadyLine<L, LinkTarget>[],
  known: readonly KnownLink<L>[],
  most: number,
  detail: string,
): ListFault[] {
  const counts = new Map<string, number>();
  const add = (id: string) => {
    const count = (counts.get(id) ?? 0) + 1;
    counts.set(id, count);
    return count;
  };
  for (const { ownerId } of known) add(ownerId);
  return lines.flatMap(({ does, target, line }) =>
    does === 'new' && add(target.ownerId) > most ? [{ line, heading: '', detail }] : [],
  );
}
