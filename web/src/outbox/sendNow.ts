import type { QueryClient } from '@tanstack/react-query';
import { makeStale } from '../live/makeStale.js';
import { outbox } from './outbox.js';
import { takeAnswer } from './takeAnswer.js';

/** Sends what waits of a person, and shows what came of it. */
export function sendNow(client: QueryClient, personId: string): Promise<void> {
  return outbox.sendAll(personId, async (entry, answer) => {
    await takeAnswer(client, entry, answer);
    void makeStale(client, entry.subjects);
  });
}
