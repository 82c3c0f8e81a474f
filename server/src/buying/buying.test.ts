import type {
  ArticleDto,
  BuyingFactsDto,
  CreateOrderDto,
  MachineDetailDto,
  OrderDto,
  PartsUsedDto,
  SeasonsDto,
  SupplierDto,
  UpdateSupplierDto,
} from '@yugator/contracts';
import { faultsOf, fitActs } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { ready, signOff } = jobActs(() => yard);
const { article, filter: filterOf, fit, say } = fitActs(() => yard);

const PLAIN = { leadDays: 3, carriageMinor: 650, freeFromMinor: 15_000, note: '' };
const supplier = (name: string, over: object = {}) =>
  yard.ask<SupplierDto & Refused>('POST', '/api/suppliers', { body: { name, ...PLAIN, ...over } });
const sells = (of: SupplierDto, offers: UpdateSupplierDto['offers'], over: Partial<UpdateSupplierDto> = {}) =>
  yard.ask<SupplierDto & Refused>('PUT', `/api/suppliers/${of.id}`, {
    body: { name: of.name, ...PLAIN, isRetired: false, version: of.version, offers, ...over },
  });
const offer = (articleId: string, pack: number, priceMinor: number, leadDays: number | null = null) => ({
  articleId,
  number: '',
  pack,
  priceMinor,
  leadDays,
});
const order = (supplierId: string, lines: CreateOrderDto['lines'], over: Partial<CreateOrderDto> = {}) =>
  yard.ask<OrderDto & Refused>('POST', '/api/orders', {
    body: { supplierId, lines, carriageMinor: 650, expectedOn: '2027-05-20', note: '', ...over },
  });
const arrive = (of: OrderDto, lines: { line: number; packs: number }[], version = of.version) =>
  yard.ask<OrderDto & Refused>('POST', `/api/orders/${of.id}/arrivals`, { body: { lines, version } });
const facts = async (weeks = 26) =>
  (await yard.ask<BuyingFactsDto>('GET', `/api/buying?weeks=${weeks}`)).body;
const read = async (id: string) =>
  (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body.find((each) => each.id === id);

describe('suppliers', () => {
  it('say what they sell, in what packs; who saw an older one is told', async () => {
    const oil = await article({ name: 'Oil', kind: 'fluid', unit: 'litre' });
    const made = await supplier('Larch Supplies');
    expect(made.status).toBe(201);
    const offers = [offer(oil, 20, 9800), offer(oil, 5, 2600, 9)];
    const { status, body } = await sells(made.body, offers);
    expect([status, body.version]).toEqual([200, 2]);
    expect(body.offers).toMatchObject([
      { name: 'Oil', unit: 'litre', pack: 5, priceMinor: 2600, leadDays: 9 },
      { pack: 20, priceMinor: 9800, leadDays: null },
    ]);
    expect((await sells(made.body, [])).status).toBe(409);
    expect((await sells(body, [], { isRetired: true })).body).toMatchObject({ isRetired: true, offers: [] });
  });

  it('are refused a name twice, half a piece, and what is not on the shelf', async () => {
    const plug = await article({ name: 'Plug' });
    const { body } = await supplier('Larch Supplies');
    const again = await supplier('Larch Supplies');
    expect([again.status, faultsOf(again.body)]).toEqual([422, [['#/name', 'taken']]]);
    const other = await supplier('Elm Parts');
    const refused = await sells(other.body, [offer(plug, 1.5, 300), offer(yard.crew.machine, 1, 300)], {
      name: body.name,
    });
    expect([refused.status, faultsOf(refused.body)]).toEqual([
      422,
      [
        ['#/name', 'taken'],
        ['#/offers/0/pack', 'notWhole'],
        ['#/offers/1/articleId', 'unknown'],
      ],
    ]);
  });
});

describe('an order', () => {
  const line = (articleId: string, packs: number, pack = 1, priceMinor = 700) => ({
    articleId,
    number: 'L-1',
    pack,
    packs,
    priceMinor,
  });

  it('arrives in parts: each is on the shelf at what was paid, in its containers, and the last closes it', async () => {
    const filter = await article({ name: 'Filter' });
    const oil = await article({ name: 'Oil', kind: 'fluid', unit: 'litre' });
    const { body: from } = await supplier('Larch Supplies');
    const { status, body } = await order(from.id, [line(filter, 4), line(oil, 3, 5, 2600)]);
    expect([status, body.isOpen, body.supplier]).toEqual([201, true, 'Larch Supplies']);
    const half = await arrive(body, [
      { line: 0, packs: 4 },
      { line: 1, packs: 1 },
    ]);
    expect(half.body.lines.map(({ arrived, packs }) => [arrived, packs])).toEqual([
      [4, 4],
      [1, 3],
    ]);
    expect(half.body.isOpen).toBe(true);
    expect(await read(filter)).toMatchObject({ onHand: 4, priceMinor: 700 });
    expect((await read(oil))?.lots).toEqual([{ left: 5, leftMinor: 2600, container: 5 }]);
    expect((await facts()).articles.find(({ id }) => id === oil)?.arrivals).toEqual([
      { on: '2027-05-20', quantity: 10 },
    ]);
    const rest = await arrive(half.body, [{ line: 1, packs: 2 }]);
    expect(rest.body.isOpen).toBe(false);
    expect(await read(oil)).toMatchObject({ onHand: 15, priceMinor: 520 });
    expect((await arrive(rest.body, [{ line: 1, packs: 1 }])).status).toBe(409);
  });

  it('takes no more than was ordered, and nothing is booked of what is refused', async () => {
    const filter = await article({ name: 'Filter' });
    const { body: from } = await supplier('Larch Supplies');
    const { body } = await order(from.id, [line(filter, 2), line(yard.crew.kit, 1)]);
    const refused = await arrive(body, [
      { line: 1, packs: 1 },
      { line: 0, packs: 3 },
      { line: 7, packs: 1 },
    ]);
    expect([refused.status, faultsOf(refused.body)]).toEqual([
      422,
      [
        ['#/lines/1/packs', 'moreThanOrdered'],
        ['#/lines/2/line', 'unknown'],
      ],
    ]);
    expect((await read(yard.crew.kit))?.onHand).toBe(5);
  });

  it('that arrives twice at once is booked once, and the other is told', async () => {
    const filter = await article({ name: 'Filter' });
    const { body: from } = await supplier('Larch Supplies');
    const { body } = await order(from.id, [line(filter, 2)]);
    const lines = [{ line: 0, packs: 2 }];
    const answers = await Promise.all([arrive(body, lines), arrive(body, lines)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409]);
    expect((await read(filter))?.onHand).toBe(2);
  });

  it('comes on another day, or its rest does not come', async () => {
    const filter = await article({ name: 'Filter' });
    const { body: from } = await supplier('Larch Supplies');
    const { body } = await order(from.id, [line(filter, 2)]);
    const put = (of: OrderDto, over: object) =>
      yard.ask<OrderDto>('PUT', `/api/orders/${of.id}`, {
        body: { expectedOn: '2027-06-02', note: 'Late', isClosed: false, version: of.version, ...over },
      });
    const late = await put(body, {});
    expect(late.body).toMatchObject({ expectedOn: '2027-06-02', note: 'Late', isOpen: true });
    expect((await put(late.body, { isClosed: true })).body.isOpen).toBe(false);
    expect((await facts()).articles.find(({ id }) => id === filter)?.arrivals).toEqual([]);
  });

  it.each([
    ['a day that is past', { expectedOn: '2027-05-12' }, '/expectedOn'],
    ['nothing', { lines: [] }, '/lines'],
    ['an unknown supplier', { supplierId: '00000000-0000-7000-8000-000000000009' }, '/supplierId'],
  ])('is not written down for %s', async (_what, over, pointer) => {
    const { body: from } = await supplier('Larch Supplies');
    const { status, body } = await order(from.id, [line(yard.crew.kit, 1)], over);
    expect([status, body.errors?.[0]?.pointer]).toEqual([422, `#${pointer}`]);
  });
});

describe('what is coming', () => {
  it('takes what fits the machine, the original first, and else what the lines of its book name', async () => {
    const filter = await filterOf('Filter');
    const other = await filterOf('Other filter');
    const fits = [
      fit('engineOilFilter', other, { standing: 'equal' }),
      fit('engineOilFilter', filter, { standing: 'original' }),
    ];
    expect((await say(yard.crew.machine, fits)).status).toBe(200);
    const { today, works } = await facts(52);
    expect(today).toBe('2027-05-13');
    const own = works.filter(({ machineId }) => machineId === yard.crew.machine);
    expect(own.length).toBeGreaterThan(0);
    for (const { articles, expectedOn } of own) {
      expect(articles.map(({ articleId }) => articleId)).toEqual([filter, other]);
      expect(expectedOn >= today).toBe(true);
    }
    const others = works.filter(({ machineId }) => machineId === yard.crew.otherMachine);
    expect(others.flatMap(({ articles }) => articles.map(({ articleId }) => articleId))).toContain(
      yard.crew.kit,
    );
  });

  it('comes on the day that is planned for it, and later times as they are expected', async () => {
    const filter = await filterOf('Filter');
    await say(yard.crew.machine, [fit('engineOilFilter', filter)]);
    const times = async () =>
      (await facts(52)).works
        .filter(({ machineId }) => machineId === yard.crew.machine)
        .map(({ earlyOn, expectedOn, lateOn }) => [earlyOn, expectedOn, lateOn]);
    const before = await times();
    const card = {
      machineId: yard.crew.machine,
      on: '2027-05-18',
      itemIds: [yard.crew.oil],
      isLocked: false,
    };
    const published = await yard.ask('PUT', '/api/season-plan', { body: { cards: [card], version: 1 } });
    expect(published.status).toBe(200);
    const [first, ...later] = await times();
    expect(first).toEqual(['2027-05-18', '2027-05-18', '2027-05-18']);
    expect(later).toEqual(before.slice(1).filter(([, on]) => String(on) > '2027-05-18'));
    // Once it is done, the day no longer counts.
    await signOff(await ready());
    expect((await times())[0]).not.toEqual(first);
  });

  it('is read by who buys alone, 4 to 52 weeks ahead', async () => {
    expect((await yard.ask('GET', '/api/buying?weeks=3')).status).toBe(422);
    expect((await yard.ask('GET', '/api/buying', { as: 'operator' })).status).toBe(403);
  });
});

describe('the parts that a machine takes and took', () => {
  it('are told by year with the hours run, kits and what they left, and by what is coming', async () => {
    const plug = await article({ name: 'Plug', priceMinor: 380 });
    const filter = await filterOf('Filter');
    const kit = (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body.find(
      ({ id }) => id === yard.crew.kit,
    );
    const held = await yard.ask('PUT', `/api/articles/${yard.crew.kit}`, {
      body: {
        name: kit?.name,
        leastOnHand: kit?.leastOnHand,
        priceMinor: kit?.priceMinor,
        version: kit?.version,
        contents: [{ articleId: plug, quantity: 2 }],
      },
    });
    expect(held.status).toBe(200);
    await say(yard.crew.machine, [fit('engineOilFilter', filter)]);
    const draws = [{ articleId: yard.crew.kit, quantity: 1, left: [{ articleId: plug, quantity: 1 }] }];
    const job = await ready();
    expect((await signOff(job, { draws, shown: 61.5 })).status).toBe(201);
    const { body } = await yard.ask<PartsUsedDto>('GET', `/api/machines/${yard.crew.machine}/parts-used`, {
      as: 'viewer',
    });
    const [year] = body.years;
    expect(year).toMatchObject({ year: 2027, costMinor: 1445 });
    expect(year?.lines).toMatchObject([
      { name: 'Oil change kit', kind: 'kit', drawn: 1, left: 0, costMinor: 2890 },
      { name: 'Plug', kind: 'part', drawn: 0, left: 1, costMinor: -1445 },
    ]);
    expect(year?.hours).toBeGreaterThan(0);
    // It takes part in no season yet.
    expect(body.seasons).toEqual([]);
    const mowing = { name: 'Mowing', years: [{ year: 2027, firstDay: '2027-03-24', lastDay: '2027-10-24' }] };
    const { body: kept } = await yard.ask<SeasonsDto>('PUT', '/api/seasons', {
      body: { seasons: [mowing], version: 1 },
    });
    const { body: machine } = await yard.ask<MachineDetailDto>('GET', `/api/machines/${yard.crew.machine}`);
    await yard.ask('PUT', `/api/machines/${yard.crew.machine}/seasons`, {
      body: {
        participation: [{ seasonId: kept.seasons[0]?.id, hoursPerWeek: 7 }],
        version: machine.version,
      },
    });
    const { body: now } = await yard.ask<PartsUsedDto>(
      'GET',
      `/api/machines/${yard.crew.machine}/parts-used`,
    );
    expect(now.seasons).toMatchObject([{ season: 'Mowing', year: 2027, isBefore: false, costMinor: 1445 }]);
    expect(body.takes).toMatchObject([{ name: 'Filter', unit: 'piece' }]);
    // A record that is voided counts no more.
    await yard.ask('POST', `/api/records/${job.id}/void`, { body: { reason: 'Another machine' } });
    const after = await yard.ask<PartsUsedDto>('GET', `/api/machines/${yard.crew.machine}/parts-used`);
    expect(after.body.years).toEqual([]);
  });
});
