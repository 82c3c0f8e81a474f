import { instantOf } from '@yugator/core';
import type { Instant } from '@yugator/core';

/** The port through which the server learns the time. */
export abstract class Clock {
  abstract now(): Instant;
}

export class SystemClock extends Clock {
  now(): Instant {
    return instantOf(Date.now());
  }
}

/** A clock that goes as the computer's does, so many milliseconds ahead of it. */
export class MovedClock extends Clock {
  constructor(private readonly aheadMs: number) {
    super();
  }

  now(): Instant {
    return instantOf(Date.now() + this.aheadMs);
  }
}

/** A clock that stands where it is set. */
export class SetClock extends Clock {
  constructor(private at: Instant) {
    super();
  }

  now(): Instant {
    return this.at;
  }

  set(at: Instant): void {
    this.at = at;
  }
}
