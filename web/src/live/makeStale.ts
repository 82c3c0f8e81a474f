import type { Query, QueryClient } from '@tanstack/react-query';
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

function shows(subjects: readonly Subject[]): { predicate: (query: Query) => boolean } {
  return {
    predicate: ({ meta }) => meta?.subjects.some((subject) => subjects.includes(subject)) ?? false,
  };
}

/** Has every query that shows one of `subjects` ask again. */
export function makeStale(client: QueryClient, subjects: readonly Subject[]): Promise<void> {
  return client.invalidateQueries(shows(subjects));
}

/** The same after a write of one's own. The feed mostly told of it before the answer came: what asks again already is waited for, not asked twice. */
export function seeOwnChange(client: QueryClient, subjects: readonly Subject[]): Promise<void> {
  return client.invalidateQueries(shows(subjects), { cancelRefetch: false });
}
