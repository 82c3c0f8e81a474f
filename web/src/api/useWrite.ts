import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { UseMutationResult } from '@tanstack/react-query';
import type { Subject } from '@yugator/contracts';
import { seeOwnChange } from '../live/makeStale.js';
import { request } from './request.js';
import { useOnceKey } from './useOnceKey.js';
import type { Write } from './write.js';

/**
 * A mutation that takes effect once. While an answer is outstanding or lost, the same write goes out under the same
 * Idempotency-Key; what it changes (`subjects`) is made stale here at once and elsewhere by the live feed. `onDone` runs even
 * where the feed has meanwhile taken away the component that wrote.
 */
export function useWrite<T, V>(
  write: (value: V) => Write,
  subjects: readonly Subject[],
  onDone?: (answer: T) => unknown,
): UseMutationResult<T, Error, V> {
  const client = useQueryClient();
  const once = useOnceKey();
  return useMutation<T, Error, V>({
    networkMode: 'always',
    mutationFn: async (value) => {
      const one = write(value);
      return once(one, (idempotencyKey) =>
        request<T>(one.method, one.path, { body: one.body, idempotencyKey }),
      );
    },
    onSuccess: (answer) => onDone?.(answer),
    onSettled: () => seeOwnChange(client, subjects),
  });
}
