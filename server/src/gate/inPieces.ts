import { Injectable } from '@nestjs/common';
import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import type { FastifyReply } from 'fastify';
import { switchMap } from 'rxjs';
import type { Observable } from 'rxjs';
import { breather } from '../queue/breather.js';

/** A list of more entries is written piece by piece. */
const LONG = 50;

function isLong(value: unknown): value is readonly unknown[] {
  return Array.isArray(value) && value.length > LONG;
}

function hasLong(value: unknown): value is Readonly<Record<string, unknown>> {
  if (typeof value !== 'object' || value === null) return false;
  return Object.getPrototypeOf(value) === Object.prototype && Object.values(value).some(isLong);
}

async function listText(list: readonly unknown[], breathe: () => Promise<void>): Promise<string> {
  const pieces: string[] = [];
  for (const entry of list) {
    pieces.push(JSON.stringify(entry) ?? 'null');
    await breathe();
  }
  return `[${pieces.join()}]`;
}

/** The same as JSON.stringify, with room for others between the entries of long lists. */
async function text(value: readonly unknown[] | Readonly<Record<string, unknown>>): Promise<string> {
  const breathe = breather();
  if (isLong(value)) return listText(value, breathe);
  const fields: string[] = [];
  for (const [name, field] of Object.entries(value)) {
    const written = isLong(field) ? await listText(field, breathe) : JSON.stringify(field);
    if (written !== undefined) fields.push(`${JSON.stringify(name)}:${written}`);
  }
  return `{${fields.join()}}`;
}

/** Long answers are turned into JSON a few entries at a time, so that a fleet of thousands holds nobody up. */
@Injectable()
export class InPieces implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    return next.handle().pipe(
      switchMap(async (answer: unknown) => {
        if (!isLong(answer) && !hasLong(answer)) return answer;
        const json = await text(answer);
        context.switchToHttp().getResponse<FastifyReply>().type('application/json; charset=utf-8');
        return json;
      }),
    );
  }
}
