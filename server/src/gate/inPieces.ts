import { Readable } from 'node:stream';
import { Injectable } from '@nestjs/common';
import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { switchMap } from 'rxjs';
import type { Observable } from 'rxjs';
import { breather } from '../queue/breather.js';
import { EntityTag, hasTag } from './entityTag.js';

/** A list of more entries is written piece by piece. */
const LONG = 50;
const PIECE_CHARACTERS = 32 * 1024;

type Whole = readonly unknown[] | Readonly<Record<string, unknown>>;

function isLong(value: unknown): value is readonly unknown[] {
  return Array.isArray(value) && value.length > LONG;
}

function hasLong(value: unknown): value is Readonly<Record<string, unknown>> {
  if (typeof value !== 'object' || value === null) return false;
  return Object.getPrototypeOf(value) === Object.prototype && Object.values(value).some(isLong);
}

function* listTexts(list: readonly unknown[]): Generator<string> {
  yield '[';
  for (const [index, entry] of list.entries()) yield `${index ? ',' : ''}${JSON.stringify(entry) ?? 'null'}`;
  yield ']';
}

/** The same as JSON.stringify, entry by entry of long lists. */
function* texts(value: Whole): Generator<string> {
  if (isLong(value)) {
    yield* listTexts(value);
    return;
  }
  const fields = Object.entries(value).filter(([, field]) => field !== undefined);
  yield '{';
  for (const [index, [name, field]] of fields.entries()) {
    yield `${index ? ',' : ''}${JSON.stringify(name)}:`;
    if (isLong(field)) yield* listTexts(field);
    else yield JSON.stringify(field);
  }
  yield '}';
}

/** Pieces of a size that sends well, and the tag of them all. */
async function pieces(value: Whole): Promise<{ buffers: Buffer[]; tag: string }> {
  const breathe = breather();
  const tag = new EntityTag();
  const buffers: Buffer[] = [];
  let text = '';
  const keep = () => {
    const buffer = Buffer.from(text);
    tag.add(buffer);
    buffers.push(buffer);
    text = '';
  };
  for (const piece of texts(value)) {
    text += piece;
    if (text.length > PIECE_CHARACTERS) keep();
    await breathe();
  }
  keep();
  return { buffers, tag: tag.end() };
}

/** Long answers are turned into JSON a few entries at a time, so that a fleet of thousands holds nobody up. */
@Injectable()
export class InPieces implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    return next.handle().pipe(
      switchMap(async (answer: unknown) => {
        if (!isLong(answer) && !hasLong(answer)) return answer;
        const { buffers, tag } = await pieces(answer);
        const request = context.switchToHttp().getRequest<FastifyRequest>();
        const reply = context.switchToHttp().getResponse<FastifyReply>();
        if (request.method === 'GET') reply.header('etag', tag);
        if (request.method === 'GET' && hasTag(request.headers['if-none-match'], tag)) {
          reply.code(304);
          return undefined;
        }
        reply.type('application/json; charset=utf-8');
        return Readable.from(buffers);
      }),
    );
  }
}
