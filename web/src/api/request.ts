import type { ProblemDto } from '@yugator/contracts';
import { TYPED_AGO, TYPED_BY } from '@yugator/contracts';
import { ApiProblem, Unreachable } from './problem.js';

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

interface Options {
  readonly body?: unknown;
  readonly idempotencyKey?: string;
  readonly signal?: AbortSignal;
  /** when it was typed and by whom, where it could not be sent then */
  readonly typed?: { readonly at: number; readonly by: string };
  /** milliseconds after which no answer is none; left out, it is waited for as long as the browser does */
  readonly patience?: number;
}

/** A proxy stands there without its server. */
const NOBODY_BEHIND: ReadonlySet<number> = new Set([502, 503, 504]);

function headersOf({ body, idempotencyKey, typed }: Options): Record<string, string> {
  const headers: Record<string, string> = { accept: 'application/json' };
  if (body !== undefined) headers['content-type'] = 'application/json';
  if (idempotencyKey) headers['idempotency-key'] = idempotencyKey;
  if (typed) {
    headers[TYPED_AGO] = String(Math.max(0, Math.floor((Date.now() - typed.at) / 1000)));
    headers[TYPED_BY] = typed.by;
  }
  return headers;
}

/** The moment at which `signal` or patience ends it; null where neither can. */
function endOf({ signal, patience }: Options): AbortSignal | null {
  if (patience === undefined) return signal ?? null;
  const late = AbortSignal.timeout(patience);
  return signal ? AbortSignal.any([signal, late]) : late;
}

async function send(method: Method, path: string, options: Options): Promise<Response> {
  const end = endOf(options);
  try {
    return await fetch(`/api${path}`, {
      method,
      headers: headersOf(options),
      ...(options.body === undefined ? {} : { body: JSON.stringify(options.body) }),
      ...(end ? { signal: end } : {}),
    });
  } catch (error) {
    if (options.signal?.aborted) throw error;
    throw new Unreachable(error);
  }
}

function isA(kind: string, response: Response): boolean {
  return response.headers.get('content-type')?.includes(kind) ?? false;
}

async function problemOf(response: Response): Promise<ProblemDto> {
  if (isA('application/problem+json', response)) return response.json();
  if (NOBODY_BEHIND.has(response.status)) throw new Unreachable();
  const detail = `The server answered ${response.status}. Try again in a moment.`;
  return { type: 'about:blank', title: 'Not accepted', status: response.status, detail };
}

/** Asks the API. Throws an {@link ApiProblem} where it refuses and {@link Unreachable} where it does not answer. */
export async function request<T>(method: Method, path: string, options: Options = {}): Promise<T> {
  const response = await send(method, path, options);
  if (!response.ok) throw new ApiProblem(await problemOf(response));
  // What answers nothing is asked for as nothing.
  if (response.status === 204) return undefined as T;
  // A guest network answers everything with a page of its own.
  if (!isA('json', response)) throw new Unreachable();
  return response.json();
}

export function get<T>(path: string, signal?: AbortSignal): Promise<T> {
  return request<T>('GET', path, signal ? { signal } : {});
}
