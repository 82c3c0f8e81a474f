import type { ArticleDto, JobDto, ProblemDto, RecordPageDto } from '@yugator/contracts';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

const kit = async () => (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body[0];
const act = (kind: string, quantity: unknown, note?: string) =>
  yard.ask<ArticleDto & ProblemDto>('POST', `/api/articles/${yard.crew.kit}/movements`, {
    as: 'mechanic',
    body: { kind, quantity, ...(note ? { note } : {}) },
  });

describe('the shelf', () => {
  it('tells what came and went, latest first, with who and for which machine', async () => {
    await act('received', 3, 'From the spring order');
    yard.clock.set((yard.clock.now() + 60_000) as ReturnType<typeof yard.clock.now>);
    const opened = await yard.ask<JobDto>('POST', '/api/jobs', {
      body: { machineId: yard.crew.machine, itemIds: [yard.crew.oil] },
    });
    const item = opened.body.items[0];
    const ticked = await yard.ask<JobDto>('PUT', `/api/jobs/${opened.body.id}/items/${item?.itemId}`, {
      body: { outcome: 'done', version: item?.version },
    });
    const signed = await yard.ask('POST', `/api/jobs/${opened.body.id}/sign-off`, {
      body: {
        doneOn: '2027-05-13',
        shown: 61,
        doneById: yard.crew.people.mechanic,
        minutes: 20,
        draws: [{ articleId: yard.crew.kit, quantity: 2 }],
        version: ticked.body.version,
      },
    });
    expect(signed.status).toBe(201);
    // 5 at first, 3 came in, 2 were used: 6.
    const article = await kit();
    expect(article).toMatchObject({ onHand: 6, state: 'enough' });
    expect(
      article?.movements.map(({ kind, quantity, by, machineTag, note }) => [
        kind,
        quantity,
        by,
        machineTag,
        note,
      ]),
    ).toEqual([
      ['drawn', -2, 'crewLead', 'T-1', ''],
      ['received', 3, 'mechanic', null, 'From the spring order'],
      ['received', 5, null, null, ''],
    ]);
  });

  it('is brought to a count, up or down, and then says how it stands', async () => {
    expect((await act('counted', 1)).body).toMatchObject({ onHand: 1, state: 'low' });
    expect((await act('counted', 0)).body).toMatchObject({ onHand: 0, state: 'out' });
    expect((await act('counted', 7)).body).toMatchObject({ onHand: 7, state: 'enough' });
  });

  it.each([
    ['nothing that came in', 'received', 0, '#/quantity'],
    ['less than nothing', 'counted', -1, '#/quantity'],
    ['a word', 'received', 'a few', '#/quantity'],
    ['finer than a millilitre', 'received', 0.0001, '#/quantity'],
    ['an act of its own', 'stolen', 1, '#/kind'],
  ])('refuses %s by its field and books nothing', async (_what, kind, quantity, pointer) => {
    const { status, body } = await act(kind, quantity);
    expect([status, body.errors?.[0]?.pointer]).toEqual([422, pointer]);
    expect((await kit())?.onHand).toBe(5);
  });

  it('takes a new article in once', async () => {
    const body = { name: 'Coolant', kind: 'fluid', unit: 'litre', leastOnHand: 5, priceMinor: 450 };
    const first = await yard.ask<ArticleDto>('POST', '/api/articles', { body });
    expect(first.body).toMatchObject({ name: 'Coolant', onHand: 0, state: 'out', movements: [] });
    const again = await yard.ask<ProblemDto>('POST', '/api/articles', { body });
    expect(again.body.errors?.[0]).toMatchObject({ pointer: '#/name', code: 'taken' });
  });
});

describe('the records', () => {
  it('are found by tag, item and note, wildcards taken literally, a page at a time', async () => {
    const find = async (query: string) =>
      (await yard.ask<RecordPageDto & ProblemDto>('GET', `/api/records${query}`)).body;
    expect(await find('')).toEqual({ total: 0, records: [] });
    for (const [machineId, shown, note] of [
      [yard.crew.machine, 61, 'Drain plug worn_out'],
      [yard.crew.otherMachine, 31, ''],
    ]) {
      const { body: job } = await yard.ask<JobDto>('POST', '/api/jobs', {
        body: { machineId, itemIds: [yard.crew.grease] },
      });
      const path = `/api/jobs/${job.id}`;
      const ticked = await yard.ask<JobDto>('PUT', `${path}/items/${yard.crew.grease}`, {
        body: { outcome: 'done', version: 1 },
      });
      const done = {
        doneOn: '2027-05-13',
        shown,
        doneById: yard.crew.people.mechanic,
        minutes: 20,
        draws: [],
        note,
      };
      await yard.ask('POST', `${path}/sign-off`, { body: { ...done, version: ticked.body.version } });
    }
    const tags = async (query: string) =>
      (await find(query)).records.map((record) => record.machine.tag).sort();
    expect(await tags('?search=T-2')).toEqual(['T-2']);
    expect(await tags('?search=grease')).toEqual(['T-1', 'T-2']);
    expect(await tags('?search=worn_out')).toEqual(['T-1']);
    expect(await tags('?search=worn%25')).toEqual([]);
    expect(await tags(`?machineId=${yard.crew.otherMachine}`)).toEqual(['T-2']);
    expect(await find('?page=2')).toEqual({ total: 2, records: [] });
    expect((await find('?page=none')).errors?.[0]?.pointer).toBe('#/page');
  });
});
