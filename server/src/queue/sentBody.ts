import { checkBody } from '@yugator/contracts';
import { fieldProblem, Problem } from '../problem/problem.js';

/** A body as it came, read in a thread of its own. Throws a {@link Problem}; `noJson` says what to do where it is none. */
export function sentBody<T extends object>(dto: new () => T, bytes: Uint8Array, noJson: string): T {
  let body: unknown;
  try {
    body = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw new Problem(400, 'Not understood', noJson);
  }
  const checked = checkBody(dto, body);
  if (checked.faults) throw fieldProblem(...checked.faults);
  return checked.value;
}
