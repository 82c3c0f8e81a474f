import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { UseMutationResult } from '@tanstack/react-query';
import type { Subject } from '@yugator/contracts';
import { useRef } from 'react';
import { makeStale } from '../live/makeStale.js';
import { Unreachable } from './problem.js';
import { request } from './request.js';

/** A write to the API: where it goes and what it says. */
export interface Write {
  readonly method: 'POST' | 'PUT' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
}

/** A key under which a write takes effect once. */
export function newKey(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('');
}

/**
 * A mutation that takes effect once. While an answer is outstanding or lost, the same write goes out under the same
 * Idempotency-Key; what it changes (`subjects`) is made stale here at once and elsewhere by the live feed. `onDone` runs even
 * where the feed has meanwhile taken away the component that wrote.
 */
export function useWrite<T, V>(
  write: (value: V) => Write,
  subjects: readonly Subject[],
  onDone?: (answer: T) => void,
): UseMutationResult<T, Error, V> {
  const client = useQueryClient();
  const pending = useRef<{ readonly text: string; readonly key: string } | null>(null);
  return useMutation<T, Error, V>({
    networkMode: 'always',
    mutationFn: async (value) => {
      const { method, path, body } = write(value);
      const text = JSON.stringify([method, path, body ?? null]);
      if (pending.current?.text !== text) pending.current = { text, key: newKey() };
      try {
        const answer = await request<T>(method, path, { body, idempotencyKey: pending.current.key });
        pending.current = null;
        return answer;
      } catch (error) {
        if (!(error instanceof Unreachable)) pending.current = null;
        throw error;
      }
    },
    onSuccess: (answer) => onDone?.(answer),
    onSettled: () => makeStale(client, subjects),
  });
}
