import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { UseMutationResult } from '@tanstack/react-query';
import type { Subject } from '@yugator/contracts';
import { Unreachable } from '../api/problem.js';
import { request } from '../api/request.js';
import { useOnceKey } from '../api/useOnceKey.js';
import type { Write } from '../api/write.js';
import { seeOwnChange } from '../live/makeStale.js';
import { useSession } from '../session/useSession.js';
import type { Typed } from './entry.js';
import { outbox } from './outbox.js';
import { patienceFor } from './sendEntry.js';

/** A write, and how its owner knows it again if it has to wait. */
export interface KeptWrite extends Write {
  readonly typed: Typed;
}

/** What the server answered; null where it could not be reached and the write waits on the device. */
export type Kept<T> = T | null;

/** A mutation that takes effect once, now or later: where the server cannot be reached the write waits in the outbox, behind what waits there. */
export function useKept<T, V>(
  write: (value: V) => KeptWrite,
  subjects: readonly Subject[],
  onDone?: (answer: Kept<T>) => void,
): UseMutationResult<Kept<T>, Error, V> {
  const client = useQueryClient();
  const { id: personId } = useSession().person;
  const once = useOnceKey();
  return useMutation<Kept<T>, Error, V>({
    networkMode: 'always',
    mutationFn: (value) => {
      const { method, path, body, typed } = write(value);
      return once({ method, path, body }, async (key) => {
        const wait = async () => {
          await outbox.add({ key, personId, at: Date.now(), method, path, body, typed, subjects });
          return null;
        };
        // Nothing overtakes what was typed before it.
        if (outbox.of(personId).some(({ refused }) => refused === null)) return wait();
        try {
          const patience = patienceFor({ method, path, body });
          return await request<T>(method, path, { body, patience, idempotencyKey: key });
        } catch (error) {
          if (error instanceof Unreachable) return wait();
          throw error;
        }
      });
    },
    onSuccess: (answer) => onDone?.(answer),
    // What waits has changed nothing yet, and asking anew would only keep the form waiting.
    onSettled: (answer) => (answer === null ? undefined : seeOwnChange(client, subjects)),
  });
}
