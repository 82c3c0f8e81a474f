import type { ArticleDto, JobDto, ProblemDto, RecordDto, UpdateArticleDto } from '@yugator/contracts';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();
const { ready, signOff } = jobActs(() => yard);

type Answer = ArticleDto & Omit<ProblemDto, 'status'>;
const articles = async () => (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body;
const byId = async (id: string) => (await articles()).find((article) => article.id === id);

async function part(name: string, priceMinor: number, unit: 'piece' | 'litre' = 'piece'): Promise<string> {
  const body = { name, kind: unit === 'litre' ? 'fluid' : 'part', unit, leastOnHand: 0, priceMinor };
  return (await yard.ask<ArticleDto>('POST', '/api/articles', { body })).body.id;
}

/** Says what the kit of the yard holds, or something else of it. */
async function change(over: Partial<UpdateArticleDto>) {
  const kit = await byId(yard.crew.kit);
  const { name, leastOnHand, priceMinor, version } = kit ?? {};
  const body = { name, leastOnHand, priceMinor, version, contents: [], ...over };
  return yard.ask<Answer>('PUT', `/api/articles/${yard.crew.kit}`, { as: 'mechanic', body });
}

/** A kit of £24.90 with a filter, 1.9 L of oil and two plugs: £27.66 loose. */
async function filledKit() {
  const filter = await part('Filter', 790);
  const oil = await part('Oil', 640, 'litre');
  const plug = await part('Plug', 380);
  const contents = [
    { articleId: filter, quantity: 1 },
    { articleId: oil, quantity: 1.9 },
    { articleId: plug, quantity: 2 },
  ];
  expect((await change({ priceMinor: 2490, contents })).status).toBe(200);
  return { filter, oil, plug };
}

describe('an article', () => {
  it('is changed, and a kit says what it holds', async () => {
    const { filter, oil, plug } = await filledKit();
    expect(await byId(yard.crew.kit)).toMatchObject({
      priceMinor: 2490,
      version: 2,
      contents: [
        { articleId: filter, name: 'Filter', unit: 'piece', quantity: 1, priceMinor: 790 },
        { articleId: oil, name: 'Oil', unit: 'litre', quantity: 1.9, priceMinor: 640 },
        { articleId: plug, name: 'Plug', unit: 'piece', quantity: 2, priceMinor: 380 },
      ],
    });
    expect((await change({ contents: [], name: 'Yearly kit' })).body).toMatchObject({
      name: 'Yearly kit',
      contents: [],
      version: 3,
    });
  });

  it('is not written over by who saw an older one', async () => {
    await change({ priceMinor: 100 });
    const { status, body } = await change({ priceMinor: 200, version: 1 });
    expect([status, body.title]).toEqual([409, 'Changed meanwhile']);
    expect((await byId(yard.crew.kit))?.priceMinor).toBe(100);
  });

  it('is changed by mechanics and the crew lead alone', async () => {
    const body = { name: 'Mine', leastOnHand: 0, priceMinor: 0, contents: [], version: 1 };
    const { status } = await yard.ask('PUT', `/api/articles/${yard.crew.kit}`, { as: 'operator', body });
    expect(status).toBe(403);
  });

  it('holds parts and fluids, each once, whole pieces, and no kit; a part holds nothing', async () => {
    const filter = await part('Filter', 790);
    const pointers = async (contents: UpdateArticleDto['contents'], over = {}) =>
      (await change({ contents, ...over })).body.errors?.map(({ pointer, code }) => [pointer, code]);
    expect(await pointers([{ articleId: yard.crew.kit, quantity: 1 }])).toEqual([
      ['#/contents/0/articleId', 'kitInKit'],
    ]);
    expect(await pointers([{ articleId: filter, quantity: 1.5 }])).toEqual([
      ['#/contents/0/quantity', 'notWhole'],
    ]);
    expect(await pointers([{ articleId: yard.crew.machine, quantity: 1 }])).toEqual([
      ['#/contents/0/articleId', 'unknown'],
    ]);
    const twice = [1, 2].map((quantity) => ({ articleId: filter, quantity }));
    expect((await change({ contents: twice })).status).toBe(422);
    expect(await pointers([], { name: 'Filter' })).toEqual([['#/name', 'taken']]);
    const body = { name: 'Filter', leastOnHand: 0, priceMinor: 0, version: 1 };
    const contents = [{ articleId: yard.crew.kit, quantity: 1 }];
    const none = await yard.ask<Answer>('PUT', `/api/articles/${filter}`, { body: { ...body, contents } });
    expect(none.body.errors?.[0]).toMatchObject({ pointer: '#/contents', code: 'noKit' });
    expect((await byId(yard.crew.kit))?.contents).toEqual([]);
  });
});

describe('a kit that a job opens', () => {
  it('leaves what was not used on the shelf, at its share of the kit, and the job costs so much less', async () => {
    const { plug, oil } = await filledKit();
    const draws = [
      {
        articleId: yard.crew.kit,
        quantity: 1,
        left: [
          { articleId: plug, quantity: 2 },
          { articleId: oil, quantity: 0.2 },
        ],
      },
    ];
    const { status, body } = await signOff(await ready(), { draws });
    expect(status).toBe(201);
    const record: RecordDto | null = body.record;
    // It came in at £28.90. 2890 × 760 / 2766 = 794 for two plugs; 1271 for 1.9 L of oil, 0.2 of it 134.
    expect(record?.draws).toMatchObject([{ quantity: 1, costMinor: 2890 }]);
    expect(record?.left).toEqual([
      { name: 'Plug', unit: 'piece', quantity: 2, costMinor: 794 },
      { name: 'Oil', unit: 'litre', quantity: 0.2, costMinor: 134 },
    ]);
    expect(record?.partsCostMinor).toBe(2890 - 794 - 134);
    expect((await byId(yard.crew.kit))?.onHand).toBe(4);
    expect(await byId(plug)).toMatchObject({
      onHand: 2,
      movements: [{ kind: 'left', quantity: 2, machineTag: 'T-1' }],
    });
    expect((await byId(oil))?.onHand).toBe(0.2);
  });

  it('is whole again when its record is voided, with all that it left', async () => {
    const { plug } = await filledKit();
    const left = [{ articleId: plug, quantity: 1 }];
    const draws = [{ articleId: yard.crew.kit, quantity: 2, left }];
    const { body } = await signOff(await ready(), { draws });
    expect((await byId(plug))?.onHand).toBe(1);
    const voided = await yard.ask<JobDto>('POST', `/api/records/${body.id}/void`, {
      body: { reason: 'The other machine' },
    });
    expect(voided.status).toBe(201);
    expect([(await byId(plug))?.onHand, (await byId(yard.crew.kit))?.onHand]).toEqual([0, 5]);
  });

  it.each([
    ['more than it held', 1, 'plug', 3, '#/draws/0/left/0/quantity'],
    ['what it does not hold', 1, 'machine', 1, '#/draws/0/left/0/articleId'],
    ['half a piece', 1, 'plug', 0.5, '#/draws/0/left/0/quantity'],
    ['of half a kit', 0.5, 'plug', 1, '#/draws/0/quantity'],
    ['nothing of something', 1, 'plug', 0, '#/draws/0/left/0/quantity'],
  ])('does not leave %s: nothing is written', async (_what, quantity, which, count, pointer) => {
    const { plug } = await filledKit();
    const articleId = which === 'plug' ? plug : yard.crew.machine;
    const draws = [{ articleId: yard.crew.kit, quantity, left: [{ articleId, quantity: count }] }];
    const job = await ready();
    const refused = await signOff<Omit<ProblemDto, 'status'>>(job, { draws });
    expect([refused.status, refused.body.errors?.[0]?.pointer]).toEqual([422, pointer]);
    expect((await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`)).body.state).toBe('open');
    expect((await byId(yard.crew.kit))?.onHand).toBe(5);
  });

  it('without contents is drawn as before, a part of it too', async () => {
    const { status } = await signOff(await ready(), { draws: [{ articleId: yard.crew.kit, quantity: 0.5 }] });
    expect(status).toBe(201);
    expect((await byId(yard.crew.kit))?.onHand).toBe(4.5);
  });
});
