import type { QueryClient } from '@tanstack/react-query';
import type { JobMove } from '@yugator/contracts';
import { jobQueries } from '../job/jobQueries.js';

/** The answer to one's own tick mostly comes a moment after the feed told of it. */
const ANSWER_MS = 300;

/** Has the page of an open job that moved on ask again, unless it has come as far meanwhile. */
export function seeJobMove(client: QueryClient, { id, version }: JobMove): void {
  const { queryKey } = jobQueries.one(id);
  setTimeout(() => {
    const known = client.getQueryData(queryKey);
    if ((known?.version ?? 0) < version) void client.invalidateQueries({ queryKey });
  }, ANSWER_MS);
}
