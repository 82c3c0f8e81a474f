import type { ArgumentsHost } from '@nestjs/common';
import { HttpException } from '@nestjs/common';
import { Problem } from './problem.js';
import { ProblemFilter } from './problem.filter.js';

/** What the client gets for an error. */
function answerTo(error: unknown): { status: number; title: string; detail: string } {
  let body = '';
  const reply = {
    sent: false,
    raw: { headersSent: false },
    status: () => reply,
    headers: () => reply,
    send: (text: string) => (body = text),
  };
  const host = { switchToHttp: () => ({ getResponse: () => reply }) } as unknown as ArgumentsHost;
  const filter = new ProblemFilter();
  filter['logger'].localInstance.error = () => undefined;
  filter.catch(error, host);
  return JSON.parse(body) as ReturnType<typeof answerTo>;
}

describe('what went wrong', () => {
  it.each([
    [
      'a full table',
      Object.assign(new Error('x'), { parent: Object.assign(new Error('y'), { errno: 1114 }) }),
    ],
    ['a full disk', Object.assign(new Error('x'), { errno: 1021 })],
    ['no space for a file', new Error('Error writing file (Errcode: 28 "No space left on device")')],
  ])('as %s says so, and that nothing was saved', (_what, error) => {
    expect(answerTo(error)).toMatchObject({
      status: 507,
      detail: expect.stringContaining('Nothing was saved'),
    });
  });

  it('unexpectedly tells the client nothing of the inside', () => {
    const answer = answerTo(new Error('password=secret at /inner/file.ts'));
    expect(answer.status).toBe(500);
    expect(JSON.stringify(answer)).not.toMatch(/secret|inner/);
  });

  it('as a refusal keeps its status and its words', () => {
    expect(answerTo(new Problem(409, 'Changed meanwhile', 'Look again.'))).toMatchObject({
      status: 409,
      detail: 'Look again.',
    });
    expect(answerTo(new HttpException('entity.too.large', 413))).toMatchObject({
      status: 413,
      detail: expect.stringContaining('Send less'),
    });
  });
});
