import { fetchWords } from '@yugator/contracts';
import type {
  ArticleDto,
  CountSheetDto,
  LedgerPageDto,
  ShedsDto,
  StockActDto,
  VisitDto,
} from '@yugator/contracts';
import { faultsOf, fitActs } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { ready, signOff } = jobActs(() => yard);
const { article, filter, fit, register, say } = fitActs(() => yard);

const act = (id: string, fields: Partial<StockActDto>) =>
  yard.ask<ArticleDto & Refused>('POST', `/api/articles/${id}/movements`, { body: fields });
const read = async (id: string) =>
  (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body.find((each) => each.id === id);
const count = (body: Partial<CountSheetDto>) => yard.ask<Refused>('POST', '/api/counts', { body });
const settle = (shed: string) => yard.ask<Refused>('POST', '/api/stock-sheds/settled', { body: { shed } });
const sheds = async () => (await yard.ask<ShedsDto>('GET', '/api/stock-sheds')).body.sheds;

/** A second shed, beside that of the machines of the test crew. */
async function secondShed(): Promise<string> {
  const { body } = await yard.ask<{ shed: string }[]>('GET', '/api/machines');
  await register('B-1', { shed: 'Boat house' });
  return body[0]?.shed ?? '';
}

describe('a site with one shed', () => {
  it('is not asked in which', async () => {
    expect(await sheds()).toEqual([]);
    const filter = await article({ name: 'Filter' });
    const { body } = await act(filter, { kind: 'received', quantity: 5 });
    expect(body.sheds).toEqual([{ shed: null, quantity: 5 }]);
    await signOff(await ready(), { draws: [{ articleId: filter, quantity: 7 }] });
    // What was drawn beyond the stock does not make a shed of the one there is.
    expect((await read(filter))?.sheds).toEqual([{ shed: null, quantity: -2 }]);
    expect(await sheds()).toEqual([]);
  });
});

describe('a site with two sheds', () => {
  it('says of all that lay there before in which it lies', async () => {
    const filter = await article({ name: 'Filter' });
    const plug = await article({ name: 'Plug' });
    await act(filter, { kind: 'received', quantity: 5 });
    const home = await secondShed();
    expect(await sheds()).toEqual(['Boat house', home].sort());
    expect((await settle('Barn')).status).toBe(422);
    expect((await settle(home)).status).toBe(204);
    expect((await read(filter))?.sheds).toEqual([{ shed: home, quantity: 5 }]);
    expect((await read(filter))?.lots).toEqual([{ left: 5, leftMinor: 2500, container: null }]);
    expect((await read(plug))?.movements).toEqual([]);
    // Said once: there is nothing more to say.
    await settle('Boat house');
    expect((await read(filter))?.movements).toHaveLength(3);
  });

  it('takes stock from one to the other, and nothing of its worth changes', async () => {
    const home = await secondShed();
    const filter = await article({ name: 'Filter', priceMinor: 700 });
    await act(filter, { kind: 'received', quantity: 5, shed: home });
    const { body } = await act(filter, { kind: 'moved', quantity: 2, shed: home, toShed: 'Boat house' });
    expect([body.onHand, body.sheds, body.lots]).toEqual([
      5,
      [
        { shed: 'Boat house', quantity: 2 },
        { shed: home, quantity: 3 },
      ],
      [{ left: 5, leftMinor: 3500, container: null }],
    ]);
    const { body: ledger } = await yard.ask<LedgerPageDto>('GET', '/api/ledger');
    const moved = ledger.lines.filter(({ kind }) => kind === 'moved');
    expect(moved.map(({ quantity, valueMinor, shed }) => [quantity, valueMinor, shed]).sort()).toEqual(
      [
        [-2, 0, home],
        [2, 0, 'Boat house'],
      ].sort(),
    );
  });

  it.each([
    ['more than lies there', { quantity: 3, shed: 'Boat house', toShed: '' }, ['/quantity', 'moreThanThere']],
    ['to nowhere', { quantity: 1, shed: 'Boat house' }, ['/toShed', 'notSaid']],
    ['to where it is', { quantity: 1, shed: 'Boat house', toShed: 'Boat house' }, ['/toShed', 'itself']],
    ['to a shed that is none', { quantity: 1, shed: 'Boat house', toShed: 'Barn' }, ['/toShed', 'unknown']],
    ['nothing', { quantity: 0, shed: 'Boat house' }, ['/quantity', 'nothing']],
  ] as const)('does not take %s', async (_what, fields, wrong) => {
    const home = await secondShed();
    const filter = await article({ name: 'Filter' });
    await act(filter, { kind: 'received', quantity: 2, shed: 'Boat house' });
    await act(filter, { kind: 'received', quantity: 9, shed: home });
    const toShed = 'toShed' in fields ? fields.toShed || home : undefined;
    const { status, body } = await act(filter, { kind: 'moved', ...fields, toShed: toShed ?? null });
    expect([status, faultsOf(body)]).toEqual([422, [[`#${wrong[0]}`, wrong[1]]]]);
    expect((await read(filter))?.movements).toHaveLength(2);
  });

  it('takes what a job uses where its machine stands first, gives it back there, and tells it as one draw', async () => {
    const home = await secondShed();
    const oil = await article({ name: 'Oil', kind: 'fluid', unit: 'litre', priceMinor: 500 });
    await act(oil, { kind: 'received', quantity: 1.5, shed: home });
    await act(oil, { kind: 'received', quantity: 4, shed: 'Boat house', priceMinor: 600 });
    const { body: job } = await signOff(await ready(), { draws: [{ articleId: oil, quantity: 2 }] });
    expect((await read(oil))?.sheds).toEqual([{ shed: 'Boat house', quantity: 3.5 }]);
    // By hand: 1.5 L at £5 and half a litre at £6.
    expect(job.record?.draws).toEqual([{ name: 'Oil', unit: 'litre', quantity: 2, costMinor: 1050 }]);
    await yard.ask('POST', `/api/records/${job.id}/void`, { body: { reason: 'Wrong machine' } });
    expect((await read(oil))?.sheds).toEqual([
      { shed: 'Boat house', quantity: 4 },
      { shed: home, quantity: 1.5 },
    ]);
  });

  it('tells a mechanic in which shed the parts of a job are fetched', async () => {
    const home = await secondShed();
    const element = await filter('Element');
    await say(yard.crew.machine, [fit('engineOilFilter', element)]);
    await act(element, { kind: 'received', quantity: 2, shed: 'Boat house' });
    expect(fetchWords(await ready(), 'metric')).toEqual(['1 × Element, from Boat house']);
    await act(element, { kind: 'received', quantity: 1, shed: home });
    const { body: visit } = await yard.ask<VisitDto>('GET', `/api/machines/${yard.crew.machine}/visit`);
    expect(fetchWords(visit, 'metric')).toContain(`1 × Element, from ${home}`);
  });

  it('counts one shed, against what the book says is there', async () => {
    const home = await secondShed();
    const filter = await article({ name: 'Filter' });
    await act(filter, { kind: 'received', quantity: 2, shed: 'Boat house' });
    await act(filter, { kind: 'received', quantity: 9, shed: home });
    const lines = (counted: number, booked: number) => [{ articleId: filter, counted, booked }];
    const wrong = await count({ shed: 'Boat house', lines: lines(3, 11) });
    expect([wrong.status, faultsOf(wrong.body)]).toEqual([422, [['#/lines/0/counted', 'moved']]]);
    expect(faultsOf((await count({ shed: 'Barn', lines: lines(3, 0) })).body)).toEqual([
      ['#/shed', 'unknown'],
    ]);
    // Who knows of no sheds is told to say in which, not that everything moved.
    expect(faultsOf((await count({ lines: lines(3, 11) })).body)).toEqual([['#/shed', 'notSaid']]);
    expect(faultsOf((await act(filter, { kind: 'received', quantity: 1 })).body)).toEqual([
      ['#/shed', 'notSaid'],
    ]);
    expect((await count({ shed: 'Boat house', lines: lines(3, 2) })).status).toBe(201);
    expect((await act(filter, { kind: 'counted', quantity: 8, shed: home })).body.sheds).toEqual([
      { shed: 'Boat house', quantity: 3 },
      { shed: home, quantity: 8 },
    ]);
    expect((await read(filter))?.onHand).toBe(11);
  });

  it('is for the crew lead to settle', async () => {
    const home = await secondShed();
    for (const as of ['mechanic', 'operator', 'viewer'] as const)
      expect((await yard.ask('POST', '/api/stock-sheds/settled', { body: { shed: home }, as })).status).toBe(
        403,
      );
  });
});
