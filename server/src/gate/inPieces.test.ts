import type { CallHandler, ExecutionContext } from '@nestjs/common';
import { text as textOf } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import { lastValueFrom, of } from 'rxjs';
import { InPieces } from './inPieces.js';

interface Sent {
  readonly body: unknown;
  readonly headers: Record<string, string>;
  readonly status: number;
}

async function sent(answer: unknown, known?: string): Promise<Sent> {
  const headers: Record<string, string> = {};
  let status = 200;
  const reply = {
    header: (name: string, value: string) => (headers[name] = value),
    type: (value: string) => (headers['content-type'] = value),
    code: (value: number) => (status = value),
  };
  const request = { method: 'GET', headers: known ? { 'if-none-match': known } : {} };
  const context = { switchToHttp: () => ({ getRequest: () => request, getResponse: () => reply }) };
  const handled = new InPieces().intercept(
    context as unknown as ExecutionContext,
    { handle: () => of(answer) } as CallHandler,
  );
  const body: unknown = await lastValueFrom(handled);
  return { headers, status, body: body instanceof Readable ? await textOf(body) : body };
}

const LONG = Array.from({ length: 3_000 }, (_, index) => ({
  index,
  name: `Machine "${index}" ü`,
  lines: [null, 1.5],
}));

describe('a long answer', () => {
  it.each([
    ['a list', LONG],
    ['a list within', { today: '2027-05-13', machines: LONG, more: 0, nothing: null, left: undefined }],
    ['a list of odd things', [...LONG, undefined, null, 'x', 7]],
  ])('that is %s is written as JSON.stringify writes it', async (_what, answer) => {
    const { body } = await sent(answer);
    expect(body).toBe(JSON.stringify(answer));
  });

  it('carries a tag, and is not sent again to whoever has it', async () => {
    const { headers } = await sent(LONG);
    const again = await sent(LONG, `W/"other", ${headers['etag']}`);
    expect([again.status, again.body]).toEqual([304, undefined]);
    expect((await sent([...LONG, 1], headers['etag'])).status).toBe(200);
  });

  it('that is short, or no list, goes on as it is', async () => {
    for (const answer of [{ a: 1 }, [1, 2], 'text', null]) expect((await sent(answer)).body).toBe(answer);
  });
});
