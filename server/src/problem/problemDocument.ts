import type { ProblemDto } from '@yugator/contracts';
import type { Problem } from './problem.js';

export const PROBLEM_JSON = 'application/problem+json';

/** The document that the client gets (RFC 9457). */
export function problemDocument({ title, status, detail, faults, more }: Problem): string {
  const body: ProblemDto = { type: 'about:blank', title, status, detail };
  if (faults.length) body.errors = [...faults];
  if (more.current) body.current = more.current;
  return JSON.stringify(body);
}

/** The headers that go with it. */
export function problemHeaders({ more }: Problem): Record<string, string> {
  const headers: Record<string, string> = { 'content-type': PROBLEM_JSON, 'cache-control': 'no-store' };
  if (more.retryAfter !== undefined) headers['retry-after'] = String(more.retryAfter);
  if (more.endsConnection) headers['connection'] = 'close';
  return headers;
}
