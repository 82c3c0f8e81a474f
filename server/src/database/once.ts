import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { UniqueConstraintError } from 'sequelize';
import { Clock } from '../clock/clock.js';
import { Problem } from '../problem/problem.js';
import type { CallerRequest } from '../session/caller.js';
import { IdempotentRequest } from '../models/idempotentRequest.model.js';
import { UnitOfWork } from './unitOfWork.js';

const KEY = /^[\x21-\x7e]{8,100}$/;

/** What tells a repetition of a write: who, under which key, and what it asked. */
export interface OnceKey {
  readonly personId: string;
  readonly idempotencyKey: string;
  readonly requestHash: string;
}

/** Passwords and codes are kept nowhere but as Argon2 has them: what tells two requests apart is the rest. */
const SECRET = /password|^(present|code|setUpCode)$/i;

function plain(name: string, value: unknown): unknown {
  return SECRET.test(name) ? undefined : value;
}

function hashOf({ method, url, body }: CallerRequest): string {
  const hash = createHash('sha256').update(JSON.stringify([method, url]));
  return hash.update(Buffer.isBuffer(body) ? body : JSON.stringify(body ?? null, plain)).digest('hex');
}

/** The key of a request of somebody who is signed in; null where it carries none. Throws a {@link Problem} for a key that is none. */
export function onceKey(request: CallerRequest): OnceKey | null {
  const idempotencyKey = request.headers['idempotency-key'];
  if (idempotencyKey === undefined || !request.caller) return null;
  if (typeof idempotencyKey === 'string' && KEY.test(idempotencyKey)) {
    return { personId: request.caller.id, idempotencyKey, requestHash: hashOf(request) };
  }
  throw new Problem(
    400,
    'Not accepted',
    'An Idempotency-Key has 8 to 100 visible ASCII characters, such as a UUID.',
  );
}

/**
 * Makes a write take effect once: the key, the effect and the answer are committed together. The same key and request get the
 * same answer again; the same key with another request is refused (422).
 */
@Injectable()
export class Once {
  constructor(
    private readonly work: UnitOfWork,
    private readonly clock: Clock,
  ) {}

  async run<T>(key: OnceKey, handle: () => Promise<T>): Promise<T> {
    let isNew = false;
    try {
      return await this.work.run(async () => {
        isNew = false;
        const kept = await IdempotentRequest.create({
          ...key,
          answer: null,
          createdAt: new Date(this.clock.now()),
        });
        isNew = true;
        const answer = await handle();
        await kept.update({ answer: JSON.stringify(answer ?? null) });
        return answer;
      });
    } catch (error) {
      if (isNew || !(error instanceof UniqueConstraintError)) throw error;
      // What was kept under this key is what `handle` answered.
      return (await this.answerBefore(key, error)) as T;
    }
  }

  private async answerBefore(
    { personId, idempotencyKey, requestHash }: OnceKey,
    error: Error,
  ): Promise<unknown> {
    const before = await IdempotentRequest.findOne({ where: { personId, idempotencyKey } });
    if (!before) throw error;
    if (before.requestHash !== requestHash) {
      throw new Problem(
        422,
        'Idempotency-Key used before',
        'This Idempotency-Key belongs to another request. Use a new key for a new request.',
      );
    }
    return JSON.parse(before.answer ?? 'null');
  }
}
