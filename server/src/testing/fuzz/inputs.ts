import type { OpenAPIObject } from '@nestjs/swagger';
import { ROLES } from '@yugator/contracts';
import type { Role } from '@yugator/contracts';
import type { Random } from '../../demo/random.js';
import { FromSchema } from './fromSchema.js';
import type { Known } from './fromSchema.js';
import { hostileValue, pick, spoilt } from './hostile.js';

/** A request that somebody hostile, or a broken program, may send. */
export interface FuzzInput {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  readonly url: string;
  readonly as: Role | null;
  readonly contentType: string;
  /** as it is sent; undefined for none */
  readonly payload: string | undefined;
  readonly idempotencyKey: string | undefined;
}

interface Operation {
  readonly method: FuzzInput['method'];
  readonly path: string;
  readonly body: object | null;
  readonly query: readonly string[];
}

/** Hashing would take all the time; a few are enough, and the door has probes of its own. */
const SLOW = new Set(['/api/session', '/api/first-crew-lead', '/api/session/password', '/api/people']);
const SLOW_SHARE = 0.1;
/** A feed never ends. */
const ENDLESS = '/api/live';
/** Whoever asks most may do most. */
const AS: readonly (Role | null)[] = ['crewLead', 'crewLead', 'crewLead', ...ROLES, null];

interface OpenApiOperation {
  readonly parameters?: readonly { name: string; in: string }[];
  readonly requestBody?: { content?: { 'application/json'?: { schema?: object } } };
}

function operationsOf(document: OpenAPIObject): Operation[] {
  return Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods as Record<string, OpenApiOperation>).map(([method, operation]) => ({
      method: method.toUpperCase() as FuzzInput['method'],
      path,
      body: operation.requestBody?.content?.['application/json']?.schema ?? null,
      query: (operation.parameters ?? []).filter((each) => each.in === 'query').map(({ name }) => name),
    })),
  );
}

function asQuery(names: readonly string[], random: Random): string {
  const chosen = names.filter(() => random.chance(0.5));
  const parts = chosen.map((name) => `${name}=${encodeURIComponent(String(inText(hostileValue(random))))}`);
  return parts.length ? `?${parts.join('&')}` : '';
}

/** Half a surrogate pair has no place in an address at all. */
function inText(value: unknown): string {
  const text = typeof value === 'string' ? value : (JSON.stringify(value) ?? '');
  return text.replace(/\p{Surrogate}/gu, '?').slice(0, 300);
}

/** JSON with the odd figures that JSON.stringify would not write. */
function asJson(body: unknown, random: Random): string {
  const text = JSON.stringify(body) ?? 'null';
  if (random.chance(0.03)) return text.slice(0, Math.floor(random.next() * text.length));
  if (random.chance(0.02)) return text.replace(/\d+/, '1e400');
  return text;
}

/** Requests without end, the same for the same seed: what the document describes, with one to three places of it spoilt. */
export function* fuzzInputs(document: OpenAPIObject, known: Known, random: Random): Generator<FuzzInput> {
  const operations = operationsOf(document).filter(({ path }) => path !== ENDLESS);
  const made = new FromSchema(document, known, random);
  for (;;) {
    const operation = pick(operations, random);
    if (SLOW.has(operation.path) && operation.method !== 'GET' && !random.chance(SLOW_SHARE)) continue;
    const path = operation.path.replaceAll(/\{(\w+)\}/g, () =>
      random.chance(0.85) ? pick(known.ids, random) : encodeURIComponent(inText(hostileValue(random))),
    );
    let body: unknown = operation.body ? made.value(operation.body) : undefined;
    for (let times = Math.floor(random.between(0, 4)); body !== undefined && times > 0; times -= 1)
      body = spoilt(body, random);
    const isOdd = random.chance(0.02);
    yield {
      method: operation.method,
      url: `${path}${asQuery(operation.query, random)}`,
      as: pick(AS, random),
      contentType: isOdd
        ? pick(['text/plain', 'application/x-www-form-urlencoded', 'x'], random)
        : 'application/json',
      payload: body === undefined ? undefined : asJson(body, random),
      idempotencyKey: random.chance(0.1)
        ? pick(['key-12345678', 'short', 'x'.repeat(120), 'kéy-12345678'], random)
        : undefined,
    };
  }
}
