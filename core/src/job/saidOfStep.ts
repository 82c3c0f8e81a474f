import type { FoundFields } from '../procedure/finding.js';

/** Something that somebody said, with the moment in which they typed it (milliseconds since 1970): it may arrive much later. */
export interface SaidBy {
  /** the person's id */
  readonly by: string;
  readonly at: number;
}

/** What somebody measured or saw at a step; null where they took it back. */
export interface StepMeasured extends SaidBy {
  readonly found: FoundFields | null;
}

/**
 * Whether what was said stands over what was said before. What one person says arrives in the order of typing, and its age is too coarse
 * to tell more; of two people the later stands, whichever arrives first, and of one moment that of the larger id.
 */
export function standsOver(said: SaidBy, before: SaidBy): boolean {
  if (said.by === before.by) return true;
  return said.at === before.at ? said.by > before.by : said.at > before.at;
}

/**
 * What several people measured at one step without having seen each other's, the one that stands first. Of each person the last to arrive counts.
 * In whatever order several people's arrive, it comes to the same.
 */
export function withMeasured<T extends StepMeasured>(before: readonly T[], said: T): T[] {
  const others = before.filter(({ by }) => by !== said.by);
  return [...others, said].sort((a, b) => (standsOver(a, b) ? -1 : 1));
}

function isSame(a: FoundFields, b: FoundFields | null): boolean {
  const names = Object.keys(a);
  return (
    b !== null && names.length === Object.keys(b).length && names.every((name) => Object.is(a[name], b[name]))
  );
}

/** What others measured beside what stands, where it was something else. */
export function measuredBeside<T extends StepMeasured>(measured: readonly T[]): T[] {
  const [standing, ...others] = measured;
  return others.filter(({ found }) => found !== null && !isSame(found, standing?.found ?? null));
}
