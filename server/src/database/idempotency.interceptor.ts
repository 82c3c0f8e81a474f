import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import { from, lastValueFrom } from 'rxjs';
import type { Observable } from 'rxjs';
import { UniqueConstraintError } from 'sequelize';
import { Clock } from '../clock/clock.js';
import { Problem } from '../problem/problem.js';
import type { CallerRequest } from '../session/caller.js';
import { IdempotentRequest } from './idempotentRequest.model.js';
import { UnitOfWork } from './unitOfWork.js';

const KEY = /^[\x21-\x7e]{8,100}$/;

function keyOf(request: CallerRequest): string | null {
  const key = request.headers['idempotency-key'];
  if (key === undefined) return null;
  if (typeof key === 'string' && KEY.test(key)) return key;
  throw new Problem(
    400,
    'Not accepted',
    'Idempotency-Key must be 8 to 100 visible ASCII characters, such as a UUID.',
  );
}

function hashOf(request: CallerRequest): string {
  return createHash('sha256')
    .update(JSON.stringify([request.method, request.url, request.body ?? null]))
    .digest('hex');
}

/**
 * Makes a POST that carries an Idempotency-Key take effect once: the key, the effect and the answer are committed together.
 * The same key and request get the same answer again; the same key with another request is refused (422).
 */
@Injectable()
export class IdempotencyInterceptor implements NestInterceptor {
  constructor(
    private readonly work: UnitOfWork,
    private readonly clock: Clock,
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const request = context.switchToHttp().getRequest<CallerRequest>();
    if (request.method !== 'POST' || !request.caller) return next.handle();
    const key = keyOf(request);
    if (key === null) return next.handle();
    const row = { personId: request.caller.id, idempotencyKey: key, requestHash: hashOf(request) };
    return from(this.once(row, () => lastValueFrom(next.handle(), { defaultValue: null })));
  }

  private async once(
    row: { personId: string; idempotencyKey: string; requestHash: string },
    handle: () => Promise<unknown>,
  ): Promise<unknown> {
    try {
      return await this.work.run(async () => {
        const kept = await IdempotentRequest.create({
          ...row,
          answer: null,
          createdAt: new Date(this.clock.now()),
        });
        const answer = await handle();
        await kept.update({ answer: JSON.stringify(answer ?? null) });
        return answer;
      });
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
      return this.answerBefore(row, error);
    }
  }

  private async answerBefore(
    row: { personId: string; idempotencyKey: string; requestHash: string },
    error: Error,
  ): Promise<unknown> {
    const { personId, idempotencyKey } = row;
    const before = await IdempotentRequest.findOne({ where: { personId, idempotencyKey } });
    if (!before) throw error;
    if (before.requestHash !== row.requestHash) {
      throw new Problem(
        422,
        'Idempotency-Key used before',
        'This Idempotency-Key belongs to another request. Use a new key for a new request.',
      );
    }
    return JSON.parse(before.answer ?? 'null');
  }
}
