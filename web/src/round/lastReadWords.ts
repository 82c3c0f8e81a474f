import { hoursWords } from '../words/figures.js';

/** What the meter showed last and should show by now, beside a field that stays empty: it is read, not taken over. */
export function lastReadWords({
  lastShown,
  expectedShown,
}: {
  /** null where it was never read */
  readonly lastShown: number | null;
  /** null while nothing is known of its use */
  readonly expectedShown: number | null;
}): string | undefined {
  if (lastShown === null) return undefined;
  const last = `Last read: ${hoursWords(lastShown)} h`;
  return expectedShown === null ? last : `${last}; about ${hoursWords(expectedShown)} h expected now`;
}
