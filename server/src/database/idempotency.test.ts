import type { ArticleDto, BookDto, JobDto, ProblemDto } from '@yugator/contracts';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

const receive = <T = ArticleDto>(quantity: number, key: string) =>
  yard.ask<T>('POST', `/api/articles/${yard.crew.kit}/movements`, {
    key,
    body: { kind: 'received', quantity },
  });
const kits = async () => (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body[0]?.onHand;

describe('a write with an Idempotency-Key', () => {
  it('takes effect once, and its repetition gets the same answer', async () => {
    const first = await receive(2, 'key-of-two-kits');
    const again = await receive(2, 'key-of-two-kits');
    expect(first.status).toBe(201);
    expect([again.status, again.body]).toEqual([first.status, first.body]);
    expect(await kits()).toBe(7);
  });

  it('takes effect once even when repeated at the same moment', async () => {
    const answers = await Promise.all([1, 2, 3, 4, 5].map(() => receive(1, 'five-at-a-time')));
    expect(answers.map(({ status }) => status)).toEqual([201, 201, 201, 201, 201]);
    expect(new Set(answers.map(({ body }) => JSON.stringify(body))).size).toBe(1);
    expect(await kits()).toBe(8);
  });

  it('is refused with another body under the same key', async () => {
    const other = await receive<ProblemDto>(3, 'key-of-two-kits');
    expect(other.status).toBe(422);
    expect(other.body.detail).toContain('new key');
    expect(await kits()).toBe(8);
  });

  it('that was refused may be put right under the same key', async () => {
    expect((await receive(0, 'first-nothing')).status).toBe(422);
    expect((await receive(1, 'first-nothing')).status).toBe(201);
    expect(await kits()).toBe(9);
  });

  it('may be a PUT or a DELETE: a repeated tick is no conflict, and what is gone may be taken away again', async () => {
    const job = await yard.ask<JobDto>('POST', '/api/jobs', {
      body: { machineId: yard.crew.machine, itemIds: [yard.crew.oil] },
    });
    const tick = (key?: string) =>
      yard.ask<JobDto>('PUT', `/api/jobs/${job.body.id}/steps/visit.walkRound`, {
        ...(key ? { key } : {}),
        body: { isDone: true, isAcknowledged: true, found: null, version: 0 },
      });
    const first = await tick('tick-once-only');
    const again = await tick('tick-once-only');
    expect([first.status, again.status]).toEqual([200, 200]);
    expect(again.body).toEqual(first.body);
    // Another write of the same is one too late.
    expect((await tick('tick-once-more')).status).toBe(409);
    const book = { name: 'Short-lived', machineClass: 'zeroTurn', meter: 'engine', items: [] };
    const { body: made } = await yard.ask<BookDto>('POST', '/api/books', { body: book });
    const drop = async (key: string) => (await yard.ask('DELETE', `/api/books/${made.id}`, { key })).status;
    expect([await drop('drop-once-only'), await drop('drop-once-only')]).toEqual([204, 204]);
    expect(await drop('drop-once-more')).toBe(404);
  });

  it('keeps nothing from which a password could be guessed', async () => {
    const body = (password: string) => ({ name: 'Guess', role: 'viewer', password });
    const made = await yard.ask('POST', '/api/people', {
      key: 'with-a-password',
      body: body('a long sentence'),
    });
    expect(made.status).toBe(201);
    const again = await yard.ask('POST', '/api/people', {
      key: 'with-a-password',
      body: body('another sentence'),
    });
    expect([again.status, again.body]).toEqual([201, made.body]);
  });

  it('belongs to the person: the same key of another is another', async () => {
    const asMechanic = await yard.ask('POST', `/api/articles/${yard.crew.kit}/movements`, {
      as: 'mechanic',
      key: 'key-of-two-kits',
      body: { kind: 'counted', quantity: 5 },
    });
    expect(asMechanic.status).toBe(201);
    expect(await kits()).toBe(5);
  });

  it('needs a sensible key', async () => {
    expect((await receive(1, 'short')).status).toBe(400);
  });
});
