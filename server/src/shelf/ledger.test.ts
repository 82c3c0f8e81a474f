import type { ArticleDto, JobDto, LedgerPageDto, ShelfMonthDto, StockActDto } from '@yugator/contracts';
import { stockOnHand } from '@yugator/core';
import { faultsOf, fitActs } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';
import { TakeRow } from '../models/shelf.model.js';

const yard = yardOfFile('Europe/London');
const { open, ready, signOff, tick } = jobActs(() => yard);
const { article } = fitActs(() => yard);

const act = (id: string, fields: Partial<StockActDto>) =>
  yard.ask<ArticleDto & Refused>('POST', `/api/articles/${id}/movements`, { body: fields });
const read = async (id: string) =>
  (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body.find((each) => each.id === id);
const months = async () => (await yard.ask<ShelfMonthDto[]>('GET', '/api/ledger/months')).body;
const fluid = () => article({ name: 'Oil', kind: 'fluid', unit: 'litre', priceMinor: 500 });
const sum = (figures: readonly number[]) => figures.reduce((all, figure) => all + figure, 0);

describe('what comes in', () => {
  it('comes in containers at the price that was paid, and goes out first in first out', async () => {
    const oil = await fluid();
    expect((await act(oil, { kind: 'received', quantity: 20, container: 5 })).body.lots).toEqual([
      { left: 20, leftMinor: 10_000, container: 5 },
    ]);
    const dearer = await act(oil, { kind: 'received', quantity: 10, container: 5, priceMinor: 600 });
    // What was paid last is what the next is thought to cost.
    expect(dearer.body).toMatchObject({ priceMinor: 600, version: 2, onHand: 30 });
    // By hand: 20 L at £5 and 2 L at £6.
    const { body } = await signOff(await ready(), { draws: [{ articleId: oil, quantity: 22 }] });
    expect(body.record?.draws).toEqual([{ name: 'Oil', unit: 'litre', quantity: 22, costMinor: 11_200 }]);
    expect((await read(oil))?.lots).toEqual([{ left: 8, leftMinor: 4800, container: 5 }]);
  });

  it.each([
    [
      'what does not fill its containers',
      { kind: 'received', quantity: 12, container: 5 },
      ['/container', 'notWhole'],
    ],
    ['nothing', { kind: 'received', quantity: 0 }, ['/quantity', 'nothing']],
    ['half a piece', { kind: 'received', quantity: 1.5 }, ['/quantity', 'notWhole']],
    ['a count with a price', { kind: 'counted', quantity: 1, priceMinor: 3 }, ['/kind', 'notReceived']],
    [
      'more thrown away than is there',
      { kind: 'scrapped', quantity: 3, note: 'Rusty' },
      ['/quantity', 'moreThanThere'],
    ],
    ['thrown away for no reason', { kind: 'scrapped', quantity: 1 }, ['/note', 'notSaid']],
    ['lent to nobody', { kind: 'lent', quantity: 1, note: ' ' }, ['/note', 'notSaid']],
    ['nothing brought back', { kind: 'returned', quantity: 0 }, ['/quantity', 'nothing']],
  ] as const)('is not booked where it is %s', async (_what, fields, [pointer, code]) => {
    const filter = await article({ name: 'Filter' });
    await act(filter, { kind: 'received', quantity: 2 });
    const { status, body } = await act(filter, fields);
    expect([status, faultsOf(body)]).toEqual([422, [[`#${pointer}`, code]]]);
    expect((await read(filter))?.movements).toHaveLength(1);
  });
});

describe('what goes away', () => {
  it('is thrown away, lent and brought back with who and why', async () => {
    const filter = await article({ name: 'Filter', priceMinor: 700 });
    await act(filter, { kind: 'received', quantity: 5 });
    await act(filter, { kind: 'scrapped', quantity: 1, note: 'Crushed' });
    await act(filter, { kind: 'lent', quantity: 2, note: 'South shed' });
    const { body } = await act(filter, { kind: 'returned', quantity: 1 });
    expect(body.onHand).toBe(3);
    const kinds = body.movements.map(({ kind, quantity, valueMinor, note }) => [
      kind,
      quantity,
      valueMinor,
      note,
    ]);
    expect(kinds.sort()).toEqual(
      [
        ['received', 5, 3500, ''],
        ['scrapped', -1, -700, 'Crushed'],
        ['lent', -2, -1400, 'South shed'],
        ['returned', 1, 700, ''],
      ].sort(),
    );
  });

  it('by a job is kept where it is more than is there, asks for a count, and is covered by what comes in', async () => {
    const plug = await article({ name: 'Plug', priceMinor: 300 });
    await act(plug, { kind: 'received', quantity: 1 });
    const { status, body } = await signOff(await ready(), {
      draws: [{ articleId: plug, quantity: 3, onHand: 1 }],
    });
    expect([status, body.record?.partsCostMinor]).toEqual([201, 900]);
    expect(await read(plug)).toMatchObject({ onHand: -2, state: 'beyond', lots: [] });
    const after = await act(plug, { kind: 'received', quantity: 5, priceMinor: 400 });
    expect(after.body).toMatchObject({ onHand: 3, lots: [{ left: 3, leftMinor: 1200 }] });
    // The record of the job stands; the month says that its two plugs cost a pound more each.
    const record = await yard.ask<JobDto>('GET', `/api/jobs/${body.id}`);
    expect(record.body.record?.partsCostMinor).toBe(900);
    expect((await months()).at(-1)).toMatchObject({ used: -900, priced: -200 });
  });
});

describe('what went out beyond the stock', () => {
  it('is covered little by little, loses nothing of what it took before, and gives all of it back', async () => {
    const plug = await article({ name: 'Plug', priceMinor: 300 });
    await act(plug, { kind: 'received', quantity: 1 });
    const { body } = await signOff(await ready(), { draws: [{ articleId: plug, quantity: 4 }] });
    for (const priceMinor of [310, 320]) await act(plug, { kind: 'received', quantity: 1, priceMinor });
    const takes = async () =>
      (await TakeRow.findAll({ order: ['n'] })).map(({ quantity, costMinor, lotMinor, lotId }) => [
        quantity,
        costMinor,
        lotMinor,
        lotId !== null,
      ]);
    expect(await takes()).toEqual([
      [1, 300, 300, true],
      [1, 300, 310, true],
      [1, 300, 320, true],
      [1, 300, 0, false],
    ]);
    expect(await read(plug)).toMatchObject({ onHand: -1, lots: [] });
    await yard.ask('POST', `/api/records/${body.id}/void`, { body: { reason: 'Another machine' } });
    expect(await takes()).toEqual([]);
    expect((await read(plug))?.lots.map(({ left, leftMinor }) => [left, leftMinor])).toEqual([
      [1, 300],
      [1, 310],
      [1, 320],
    ]);
  });
});

describe('two who draw the last of it', () => {
  it('one gets it, and the other is told, may draw all the same, and the shelf asks for a count', async () => {
    const last = await article({ name: 'Last filter', priceMinor: 700 });
    await act(last, { kind: 'received', quantity: 1 });
    const other = (await open([yard.crew.oil], yard.crew.otherMachine)).body;
    const jobs = [await ready(), (await tick(other)).body];
    const draws = [{ articleId: last, quantity: 1, onHand: 1 }];
    const answers = await Promise.all(
      jobs.map((job) => signOff<JobDto & Refused>(job, { draws, shown: 70 })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 422]);
    const told = answers.findIndex(({ status }) => status === 422);
    const faults = answers.filter((_each, at) => at === told).map(({ body }) => faultsOf(body));
    expect(faults).toEqual([[['#/draws/0/quantity', 'drawnMeanwhile']]]);
    expect(await read(last)).toMatchObject({ onHand: 0 });
    const again = jobs[told];
    expect(again).toBeDefined();
    if (!again) return;
    const seen = [{ articleId: last, quantity: 1, onHand: 0 }];
    expect((await signOff(again, { draws: seen, shown: 70 })).status).toBe(201);
    expect(await read(last)).toMatchObject({ onHand: -1, state: 'beyond' });
  });
});

describe('a voided record', () => {
  it('gives each lot back exactly what it took, though others drew since', async () => {
    const oil = await fluid();
    await act(oil, { kind: 'received', quantity: 3, priceMinor: 500 });
    await act(oil, { kind: 'received', quantity: 5, priceMinor: 700 });
    const first = await signOff(await ready(), { draws: [{ articleId: oil, quantity: 2.5 }], shown: 70 });
    const second = await signOff(await ready(), { draws: [{ articleId: oil, quantity: 2 }], shown: 70 });
    expect(second.body.record?.partsCostMinor).toBe(250 + 1050);
    await yard.ask('POST', `/api/records/${first.body.id}/void`, { body: { reason: 'Another machine' } });
    expect((await read(oil))?.lots).toEqual([
      { left: 2.5, leftMinor: 1250, container: null },
      { left: 3.5, leftMinor: 2450, container: null },
    ]);
    const record = await yard.ask<JobDto>('GET', `/api/jobs/${second.body.id}`);
    expect(record.body.record?.partsCostMinor).toBe(1300);
  });
});

describe('the months of the shelf', () => {
  it('end with what lies there, after everything that may happen to it', async () => {
    const oil = await fluid();
    const plug = await article({ name: 'Plug', priceMinor: 333 });
    await act(oil, { kind: 'received', quantity: 7.3, priceMinor: 517 });
    await act(plug, { kind: 'counted', quantity: 3 });
    const draws = [
      { articleId: oil, quantity: 9.1 },
      { articleId: plug, quantity: 5 },
      { articleId: yard.crew.kit, quantity: 2 },
    ];
    const { body } = await signOff(await ready(), { draws, shown: 70 });
    await act(oil, { kind: 'received', quantity: 3.7, priceMinor: 611 });
    await act(plug, { kind: 'received', quantity: 11, priceMinor: 299 });
    await act(oil, { kind: 'scrapped', quantity: 0.4, note: 'Spilt' });
    const worth = async () =>
      sum(
        (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body.flatMap(({ lots }) =>
          lots.map(({ leftMinor }) => leftMinor),
        ),
      );
    expect((await months()).at(-1)?.closing).toBe(await worth());
    await yard.ask('POST', `/api/records/${body.id}/void`, { body: { reason: 'Another machine' } });
    expect((await months()).at(-1)?.closing).toBe(await worth());
    for (const each of (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body)
      expect(each.onHand).toBe(
        stockOnHand({ lots: each.lots.map((lot, at) => ({ ...lot, id: String(at) })), takes: [] }),
      );
    // What went out of a voided record is in no lot's book any more.
    expect(await TakeRow.count({ where: { quantity: 9.1 } })).toBe(0);
  });

  it('are for who does jobs, as is the whole ledger, latest first', async () => {
    const { body } = await yard.ask<LedgerPageDto>('GET', '/api/ledger');
    expect(body.total).toBe(1);
    expect(body.lines).toMatchObject([{ article: 'Oil change kit', quantity: 5, valueMinor: 14_450 }]);
    for (const path of ['/api/ledger', '/api/ledger/months'])
      expect((await yard.ask('GET', path, { as: 'operator' })).status).toBe(403);
  });
});
