import type { FieldFaultDto } from '@yugator/contracts';
import { Problem } from '../problem/problem.js';
import { problemOf } from '../problem/problem.filter.js';

/** A refusal as it crosses between threads. */
export interface SentProblem {
  readonly status: number;
  readonly title: string;
  readonly detail: string;
  readonly faults: readonly FieldFaultDto[];
  readonly retryAfter: number | null;
  /** how the shared thing stands now */
  readonly current: object | null;
}

/** What a worker was refused, to be sent; throws again what is no refusal. */
export function sentProblem(error: unknown): SentProblem {
  const problem = problemOf(error);
  if (!problem) throw error;
  const { status, title, detail, faults, more } = problem;
  return {
    status,
    title,
    detail,
    faults,
    retryAfter: more.retryAfter ?? null,
    current: more.current ?? null,
  };
}

/** The refusal that a worker sent. */
export function problemSent({ status, title, detail, faults, retryAfter, current }: SentProblem): Problem {
  const more: ConstructorParameters<typeof Problem>[4] = {};
  if (retryAfter !== null) Object.assign(more, { retryAfter });
  if (current !== null) Object.assign(more, { current });
  return new Problem(status, title, detail, faults, more);
}
