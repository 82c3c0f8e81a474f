import { createStore, del, entries, set } from 'idb-keyval';
import type { Entry } from './entry.js';

/** Where the outbox lies on the device. */
export interface OutboxStore {
  all(): Promise<Entry[]>;
  put(entry: Entry): Promise<void>;
  drop(key: string): Promise<void>;
}

/** In IndexedDB, one record each, so that a tab that is killed leaves every other whole. */
export function deviceStore(): OutboxStore {
  const store = createStore('yugator-outbox', 'entries');
  return {
    all: async () =>
      (await entries<string, Entry>(store)).map(([, entry]) => entry).sort((a, b) => a.place - b.place),
    put: (entry) => set(entry.key, entry, store),
    drop: (key) => del(key, store),
  };
}
