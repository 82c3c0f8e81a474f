import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import type { Query } from '@tanstack/react-query';
import type { PersistedClient, PersistQueryClientProviderProps } from '@tanstack/react-query-persist-client';
import { clear, createStore, del, get, set } from 'idb-keyval';

/** Days for which what was last seen can be looked at without signal. */
const DAYS = 14;
export const KEPT_MS = DAYS * 86_400_000;

/** What stands in it has this form; of another it is not read. */
const FORM = '6';

const NOT_KEPT: ReadonlySet<unknown> = new Set(['sessions', 'audit', 'welcome', 'visits']);

/**
 * Whether what a query showed is kept: not where people are signed in, nor who did what; and no visit is opened by what was due yesterday.
 * What could not be asked for again stays as it was seen.
 */
export function isKept({ state, queryKey }: Pick<Query, 'state' | 'queryKey'>): boolean {
  return state.data !== undefined && !NOT_KEPT.has(queryKey[0]);
}

/** What is kept, without the failures to ask for it again. */
export function asSeen(kept: PersistedClient): PersistedClient {
  const queries = kept.clientState.queries.map((query) => ({
    ...query,
    state: { ...query.state, status: 'success' as const, error: null, fetchStatus: 'idle' as const },
  }));
  return { ...kept, clientState: { ...kept.clientState, queries } };
}

const hasStore = typeof indexedDB !== 'undefined';
const store = hasStore ? createStore('yugator', 'seen') : undefined;

const persister = createAsyncStoragePersister({
  key: 'last-seen',
  // A page that is left at once has shown nothing that anybody read.
  throttleTime: 500,
  serialize: (kept) => JSON.stringify(asSeen(kept)),
  storage: store
    ? {
        getItem: (key) => get<string>(key, store).then((value) => value ?? null),
        setItem: (key, value) => set(key, value, store),
        removeItem: (key) => del(key, store),
      }
    : undefined,
});

/** What the screens showed last is kept on the device, and shown again where there is no signal. */
export const LAST_SEEN: PersistQueryClientProviderProps['persistOptions'] = {
  persister,
  maxAge: KEPT_MS,
  buster: FORM,
  dehydrateOptions: { shouldDehydrateQuery: isKept },
};

/** Forgets it all: somebody signed out, and the next person sees nothing of theirs. */
export async function forgetLastSeen(): Promise<void> {
  if (store) await clear(store);
}
