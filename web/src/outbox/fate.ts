import { ApiProblem, Unreachable } from '../api/problem.js';
import type { Refusal } from './entry.js';

/** What becomes of a write after an attempt to send it failed: it waits, with all behind it, or goes back to its owner. */
export type Fate = { readonly kind: 'later' } | { readonly kind: 'refused'; readonly refusal: Refusal };

/** Answers that speak of the moment and not of the write: sign in first (401), another person is signed in (412), too many at once, a full disk. */
const OF_THE_MOMENT: ReadonlySet<number> = new Set([401, 408, 412, 425, 429]);

export function fateOf(error: unknown): Fate {
  if (error instanceof Unreachable) return { kind: 'later' };
  if (!(error instanceof ApiProblem)) throw error;
  if (OF_THE_MOMENT.has(error.status) || error.status >= 500) return { kind: 'later' };
  const { status, detail, errors } = error.problem;
  return { kind: 'refused', refusal: errors ? { status, detail, errors } : { status, detail } };
}
