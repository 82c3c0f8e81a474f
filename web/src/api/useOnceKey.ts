import { useCallback, useRef } from 'react';
import { NotKept, Unreachable } from './problem.js';
import { newKey } from './write.js';
import type { Write } from './write.js';

type Send = <T>(write: Write, send: (key: string) => Promise<T>) => Promise<T>;

/** Sends writes under keys: the same write once more, while its answer is outstanding or lost, goes out under the same key. */
export function useOnceKey(): Send {
  const pending = useRef<{ readonly text: string; readonly key: string } | null>(null);
  return useCallback(async (write, send) => {
    const text = JSON.stringify([write.method, write.path, write.body ?? null]);
    if (pending.current?.text !== text) pending.current = { text, key: newKey() };
    try {
      const answer = await send(pending.current.key);
      pending.current = null;
      return answer;
    } catch (error) {
      if (!(error instanceof Unreachable || error instanceof NotKept)) pending.current = null;
      throw error;
    }
  }, []);
}
