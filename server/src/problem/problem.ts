import { MOST_FAULTS } from '@yugator/contracts';
export { fault } from '@yugator/contracts';
import type { FieldFaultDto } from '@yugator/contracts';

interface ProblemMore {
  /** how the shared thing stands now */
  readonly current?: object;
  /** seconds after which it is worth another try */
  readonly retryAfter?: number;
  /** the connection ends with the answer, because the rest of the request is not read */
  readonly endsConnection?: boolean;
}

/** A refusal that goes to the client as problem details (RFC 9457). */
export class Problem extends Error {
  override readonly name = 'Problem';

  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly faults: readonly FieldFaultDto[] = [],
    readonly more: ProblemMore = {},
  ) {
    super(`${title}: ${detail}`);
  }
}

/** 422: fields at fault, each with its own sentence; of very many, the first twenty. */
export function fieldProblem(...all: FieldFaultDto[]): Problem {
  const faults = all.slice(0, MOST_FAULTS);
  return new Problem(
    422,
    'Something needs correcting',
    faults.map((fault) => fault.detail).join(' '),
    faults,
  );
}

export function notFound(what: string): Problem {
  return new Problem(
    404,
    'Not found',
    `There is no such ${what}. It may have been removed; go back and look again.`,
  );
}

/** 409: the shared thing has moved on; `current` is how it stands now. */
export function stale(what: string, current: object): Problem {
  return new Problem(
    409,
    'Changed meanwhile',
    `Somebody else changed this ${what} meanwhile. Look at how it stands now and try again.`,
    [],
    { current },
  );
}

/** 503: it works, but not now. `seconds` until another try is worth it. */
export function busy(title: string, detail: string, seconds: number): Problem {
  return new Problem(503, title, detail, [], { retryAfter: seconds });
}
