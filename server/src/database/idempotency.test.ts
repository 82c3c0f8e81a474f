import type { ArticleDto, ProblemDto } from '@yugator/contracts';
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

describe('a POST with an Idempotency-Key', () => {
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
