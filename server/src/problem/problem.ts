import type { FieldFaultDto } from '@yugator/contracts';

/** A refusal that goes to the client as problem details (RFC 9457). */
export class Problem extends Error {
  override readonly name = 'Problem';

  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly faults: readonly FieldFaultDto[] = [],
    readonly current?: object,
  ) {
    super(`${title}: ${detail}`);
  }
}

/** 422: fields at fault, each with its own sentence. */
export function fieldProblem(...faults: FieldFaultDto[]): Problem {
  return new Problem(
    422,
    'Something needs correcting',
    faults.map((fault) => fault.detail).join(' '),
    faults,
  );
}

/** One field at fault; `pointer` without the leading `#`. */
export function fault(pointer: string, code: string, detail: string): FieldFaultDto {
  return { pointer: `#${pointer}`, code, detail };
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
    current,
  );
}
