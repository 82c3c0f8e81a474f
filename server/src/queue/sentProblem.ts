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

/** How a worker answers that it was refused something. */
export interface Refused {
  readonly kind: 'refused';
  readonly problem: SentProblem;
}

function isRefused(answer: { readonly kind: string }): answer is Refused {
  return answer.kind === 'refused';
}

/** What a worker answers, unless it was refused: throws that as the {@link Problem} that it is. */
export function unlessRefused<A extends { readonly kind: string }>(answer: A | Refused): Exclude<A, Refused> {
  if (isRefused(answer)) throw problemSent(answer.problem);
  return answer as Exclude<A, Refused>;
}

/** The refusal that a worker sent. */
function problemSent({ status, title, detail, faults, retryAfter, current }: SentProblem): Problem {
  const more: ConstructorParameters<typeof Problem>[4] = {};
  if (retryAfter !== null) Object.assign(more, { retryAfter });
  if (current !== null) Object.assign(more, { current });
  return new Problem(status, title, detail, faults, more);
}
