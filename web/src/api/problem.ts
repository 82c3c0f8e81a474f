import type { FieldFaultDto, ProblemDto } from '@yugator/contracts';

/** What the server refused, with its reasons. */
export class ApiProblem extends Error {
  override readonly name = 'ApiProblem';

  constructor(readonly problem: ProblemDto) {
    super(problem.detail);
  }

  get status(): number {
    return this.problem.status;
  }

  get faults(): readonly FieldFaultDto[] {
    return this.problem.errors ?? [];
  }
}

/** The server could not be reached; whether it got the request is unknown. */
export class Unreachable extends Error {
  override readonly name = 'Unreachable';

  constructor(cause?: unknown) {
    super('Yugator cannot be reached. What you typed is still here; try again when the connection is back.', {
      cause,
    });
  }
}

/** It could neither be sent nor kept on the device. */
export class NotKept extends Error {
  override readonly name = 'NotKept';

  constructor(cause: unknown) {
    super(
      'Yugator cannot be reached, and this device has no room to keep it or does not let Yugator keep anything. What you typed is still here: leave this page open, or make room, and try again.',
      { cause },
    );
  }
}

/** What to tell the person about an error, in one sentence. */
export function sentenceOf(error: unknown): string {
  return error instanceof ApiProblem || error instanceof Unreachable || error instanceof NotKept
    ? error.message
    : 'Something went wrong on this page. Reload it and try again.';
}
