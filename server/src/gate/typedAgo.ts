import { MOST_DAYS_AGO, readTypedAgo, TYPED_AGO, TYPED_BY } from '@yugator/contracts';
import { Problem } from '../problem/problem.js';
import type { CallerRequest } from '../session/caller.js';

/**
 * Milliseconds since a write was typed, which waited for a signal; null where it comes at once. Refuses one that is older than its key is
 * known, and one that somebody else typed: another person signed in on the device meanwhile.
 */
export function typedAgoOf({ headers, caller }: CallerRequest): number | null {
  const [ago, by] = [headers[TYPED_AGO], headers[TYPED_BY]];
  if (by !== undefined && by !== caller?.id)
    throw new Problem(
      412,
      'Typed by somebody else',
      'Somebody else typed this and is no longer signed in here. They sign in again and send it themselves.',
    );
  if (ago === undefined) return null;
  const seconds = typeof ago === 'string' ? readTypedAgo(ago) : null;
  if (seconds === null)
    throw new Problem(
      400,
      'Too long ago',
      `What was typed more than ${MOST_DAYS_AGO} days ago is no longer taken by itself. Look whether it is still true and type it anew.`,
    );
  return seconds * 1000;
}
