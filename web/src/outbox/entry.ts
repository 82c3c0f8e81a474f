import type { ProblemDto, Subject } from '@yugator/contracts';
import type { Write } from '../api/write.js';

/** What was typed, as its owner knows it again. */
export interface Typed {
  /** "T-02: hours" */
  readonly title: string;
  /** "1 196.7 h", a line each */
  readonly lines: readonly string[];
}

/** Why the server did not take it. */
export type Refusal = Pick<ProblemDto, 'status' | 'detail' | 'errors'>;

/** A write that could not be sent, as it waits on the device. */
export interface Entry extends Write {
  /** its Idempotency-Key: that of its first attempt */
  readonly key: string;
  /** its place in the order of typing */
  readonly place: number;
  readonly personId: string;
  /** when it was typed, in milliseconds since 1970 by the device's clock */
  readonly at: number;
  readonly typed: Typed;
  /** what it changes */
  readonly subjects: readonly Subject[];
  /** null while it waits to be sent */
  readonly refused: Refusal | null;
}
