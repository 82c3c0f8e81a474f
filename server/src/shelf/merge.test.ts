import type { ArticleDto, SupplierDto } from '@yugator/contracts';
import { instant } from '@yugator/core';
import { Movement } from '../models/shelf.model.js';
import { faultsOf, fitActs } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { article, filter, oil, register, fit, say, fitsOf } = fitActs(() => yard);
const { ready, signOff } = jobActs(() => yard);

const all = async () => (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body;
const read = async (id: string) => (await all()).find((each) => each.id === id);
async function merge(
  id: string,
  intoId: string,
  over: object = {},
  as: 'crewLead' | 'mechanic' = 'crewLead',
) {
  const articles = await all();
  const version = (of: string) => articles.find((each) => each.id === of)?.version ?? 1;
  return yard.ask<ArticleDto & Refused>('POST', `/api/articles/${id}/merge`, {
    as,
    body: { intoId, version: version(id), intoVersion: version(intoId), ...over },
  });
}
const receive = (id: string, quantity: number, priceMinor: number) =>
  yard.ask('POST', `/api/articles/${id}/movements`, { body: { kind: 'received', quantity, priceMinor } });

describe('an article that was entered twice', () => {
  it('becomes one: stock in lots at what was paid, what was used, what fits, kits, offers and codes', async () => {
    const one = await filter('Black filter', {}, [{ maker: 'Verrick', number: 'VF 1', supersededBy: '' }]);
    const twin = await article({ name: 'Filter, black', number: 'F-9', barcode: '77', place: 'Bin 4' });
    await receive(twin, 3, 700);
    yard.clock.set(instant('2027-05-13T11:01:00Z'));
    await receive(one, 2, 800);
    const done = await signOff(await ready(), { draws: [{ articleId: twin, quantity: 1 }] });
    expect(done.status).toBe(201);
    const machine = await register('Z-1');
    await say(machine.id, [fit('engineOilFilter', twin)]);
    const kit = { name: 'Oil change kit', leastOnHand: 2, priceMinor: 2890, version: 1 };
    const contents = [
      { articleId: one, quantity: 1 },
      { articleId: twin, quantity: 2 },
    ];
    await yard.ask('PUT', `/api/articles/${yard.crew.kit}`, { body: { ...kit, contents } });
    const plain = { leadDays: 3, carriageMinor: 650, freeFromMinor: null, note: '' };
    const { body: larch } = await yard.ask<SupplierDto>('POST', '/api/suppliers', {
      body: { name: 'Larch', ...plain },
    });
    const offer = { number: '', pack: 1, leadDays: null };
    const offers = [
      { ...offer, articleId: one, priceMinor: 790 },
      { ...offer, articleId: twin, priceMinor: 810 },
      { ...offer, articleId: twin, pack: 10, priceMinor: 7000 },
    ];
    await yard.ask('PUT', `/api/suppliers/${larch.id}`, {
      body: { name: 'Larch', ...plain, isRetired: false, version: 1, offers },
    });

    const { status, body } = await merge(twin, one);
    expect(status).toBe(201);
    expect(body).toMatchObject({
      name: 'Black filter',
      number: 'F-9',
      barcode: '77',
      place: 'Bin 4',
      component: 'engineOilFilter',
      onHand: 4,
      // 2 of 3 at 7.00 and 2 at 8.00, the oldest first.
      lots: [
        { left: 2, leftMinor: 1400 },
        { left: 2, leftMinor: 1600 },
      ],
    });
    expect(await read(twin)).toBeUndefined();
    expect((await fitsOf(machine.id)).fits.map(({ articleId }) => articleId)).toEqual([one]);
    expect((await read(yard.crew.kit))?.contents).toMatchObject([{ articleId: one, quantity: 3 }]);
    const [now] = (await yard.ask<SupplierDto[]>('GET', '/api/suppliers')).body;
    expect(now?.offers.map(({ pack, priceMinor }) => [pack, priceMinor])).toEqual([
      [1, 790],
      [10, 7000],
    ]);
    const paid = await yard.ask('GET', `/api/ledger/prices/${one}`, { as: 'mechanic' });
    expect(paid.body).toEqual([
      { on: '2027-05-13', quantity: 2, priceMinor: 800, note: '' },
      { on: '2027-05-13', quantity: 3, priceMinor: 700, note: '' },
    ]);
    expect((await yard.ask('GET', `/api/ledger/prices/${one}`, { as: 'operator' })).status).toBe(403);
    // What was signed says what it said, and can still be taken back.
    const [drawn] = await Movement.findAll({ where: { kind: 'drawn' } });
    expect([drawn?.articleName, drawn?.articleId]).toEqual(['Filter, black', one]);
    await yard.ask('POST', `/api/records/${done.body.id}/void`, { body: { reason: 'Wrong machine' } });
    expect(await read(one)).toMatchObject({ onHand: 5, lots: [{ left: 3, leftMinor: 2100 }, { left: 2 }] });
    const audit = await yard.ask<{ entries: { act: string; subject: string }[] }>(
      'GET',
      '/api/audit?act=articlesMerged',
    );
    expect(audit.body.entries).toMatchObject([{ subject: 'Filter, black into Black filter' }]);
  });

  it('keeps its old number among the others, so that its label is still found', async () => {
    const one = await article({ name: 'Plug', number: 'P-1' });
    const twin = await article({ name: 'Plug, old', number: 'P-0' });
    expect((await merge(twin, one)).body).toMatchObject({
      number: 'P-1',
      makerNumbers: [{ maker: '', number: 'P-0', supersededBy: '' }],
    });
  });

  it('is not merged with itself, another kind, unit or component, while one is to be counted, by an older state, or by a mechanic', async () => {
    const one = await filter('Black filter');
    const [rag, plug] = [
      await article({ name: 'Rag' }),
      await article({ name: 'Plug', component: 'sparkPlugs' }),
    ];
    const can = await oil('Oil', '10W-30', 'API SN');
    const codeOf = async (id: string, into: string) => faultsOf((await merge(id, into)).body);
    expect(await codeOf(one, one)).toEqual([['#/intoId', 'itself']]);
    expect(await codeOf(one, can)).toEqual([['#/intoId', 'otherKind']]);
    expect(await codeOf(one, plug)).toEqual([['#/intoId', 'otherComponent']]);
    expect(await codeOf(one, yard.crew.machine)).toEqual([['#/intoId', 'unknown']]);
    expect((await merge(one, rag, {}, 'mechanic')).status).toBe(403);
    expect((await merge(one, rag, { version: 9 })).status).toBe(409);
    expect((await merge(one, rag, { intoVersion: 9 })).status).toBe(409);
    await signOff(await ready(), { draws: [{ articleId: rag, quantity: 1 }] });
    expect(await codeOf(one, rag)).toEqual([['#/intoId', 'uncounted']]);
    expect((await all()).map(({ name }) => name)).toContain('Black filter');
  });
});
