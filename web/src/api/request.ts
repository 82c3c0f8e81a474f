import type { ProblemDto } from '@yugator/contracts';
import { ApiProblem, Unreachable } from './problem.js';

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

interface Options {
  readonly body?: unknown;
  readonly idempotencyKey?: string;
  readonly signal?: AbortSignal;
}

async function send(
  method: Method,
  path: string,
  { body, idempotencyKey, signal }: Options,
): Promise<Response> {
  try {
    return await fetch(`/api${path}`, {
      method,
      headers: {
        accept: 'application/json',
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...(idempotencyKey ? { 'idempotency-key': idempotencyKey } : {}),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      ...(signal ? { signal } : {}),
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new Unreachable(error);
  }
}

async function problemOf(response: Response): Promise<ProblemDto> {
  const isProblem = response.headers.get('content-type')?.includes('application/problem+json');
  if (isProblem) return response.json();
  const detail = `The server answered ${response.status}. Try again in a moment.`;
  return { type: 'about:blank', title: 'Not accepted', status: response.status, detail };
}

/** Asks the API. Throws an {@link ApiProblem} where it refuses and {@link Unreachable} where it does not answer. */
export async function request<T>(method: Method, path: string, options: Options = {}): Promise<T> {
  const response = await send(method, path, options);
  if (!response.ok) throw new ApiProblem(await problemOf(response));
  // What answers nothing is asked for as nothing.
  if (response.status === 204) return undefined as T;
  return response.json();
}

export function get<T>(path: string, signal?: AbortSignal): Promise<T> {
  return request<T>('GET', path, signal ? { signal } : {});
}
