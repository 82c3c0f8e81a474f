import { request } from '../api/request.js';
import type { Write } from '../api/write.js';
import type { Entry } from './entry.js';

/** A weak signal is given so long to answer, and more for what it has to carry. */
const LEAST_MS = 15_000;
/** Some 40 kB in a second. */
const CHARACTERS_PER_MS = 40;

/** Milliseconds after which a write is taken for not sent. */
export function patienceFor({ body }: Write): number {
  return LEAST_MS + JSON.stringify(body ?? null).length / CHARACTERS_PER_MS;
}

/** Sends what waited, as of when and by whom it was typed. */
export function sendEntry({ method, path, body, key, at, personId }: Entry): Promise<unknown> {
  const patience = patienceFor({ method, path, body });
  return request(method, path, { body, patience, idempotencyKey: key, typed: { at, by: personId } });
}
