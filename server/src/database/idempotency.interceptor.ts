import { Injectable } from '@nestjs/common';
import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import { from, lastValueFrom } from 'rxjs';
import type { Observable } from 'rxjs';
import { rulesOf } from '../session/allow.js';
import type { CallerRequest } from '../session/caller.js';
import { Once, onceKey } from './once.js';

const WRITES: ReadonlySet<string> = new Set(['POST', 'PUT', 'DELETE']);

/** Makes a write that carries an Idempotency-Key take effect once. A route that works in a thread of its own does so there. */
@Injectable()
export class IdempotencyInterceptor implements NestInterceptor {
  constructor(private readonly once: Once) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const request = context.switchToHttp().getRequest<CallerRequest>();
    if (!WRITES.has(request.method) || rulesOf(context.getHandler()).isRaw) return next.handle();
    const key = onceKey(request);
    if (key === null) return next.handle();
    return from(this.once.run(key, () => lastValueFrom(next.handle(), { defaultValue: null })));
  }
}
