import { useMemo, useSyncExternalStore } from 'react';
import { useSession } from '../session/useSession.js';
import type { Entry } from './entry.js';
import { outbox } from './outbox.js';

/** What the person signed in typed and is not with the server yet, in the order of typing. */
export function useOutbox(): readonly Entry[] {
  const { id } = useSession().person;
  const entries = useSyncExternalStore(outbox.subscribe, outbox.snapshot);
  return useMemo(() => entries.filter(({ personId }) => personId === id), [entries, id]);
}
