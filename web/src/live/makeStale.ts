import type { QueryClient } from '@tanstack/react-query';
import type { Subject } from '@yugator/contracts';

/** Every query says what it shows: it goes stale when one of these changes. */
export interface LiveMeta extends Record<string, unknown> {
  readonly subjects: readonly Subject[];
}

declare module '@tanstack/react-query' {
  interface Register {
    queryMeta: LiveMeta;
  }
}

/** Has every query that shows one of `subjects` ask again. */
export function makeStale(client: QueryClient, subjects: readonly Subject[]): Promise<void> {
  return client.invalidateQueries({
    predicate: (query) => query.meta?.subjects.some((subject) => subjects.includes(subject)) ?? false,
  });
}
