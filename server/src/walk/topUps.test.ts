import { instantOf } from '@yugator/core';
import { emptySpecCard } from '@yugator/contracts';
import type {
  ArticleDto,
  MachineDetailDto,
  ProblemDto,
  RecordKeptDto,
  RecordPageDto,
  TodayDto,
  TopUpsDto,
  WalkDto,
} from '@yugator/contracts';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

type Answer = RecordKeptDto & Omit<ProblemDto, 'status'>;
type Doer = 'operator' | 'mechanic' | 'viewer' | 'crewLead';
const machine = () => `/api/machines/${yard.crew.machine}`;
const OIL = { component: 'engineOil', litres: 0.2, grade: '10W-30' };
const pour = (over: object = {}, as: Doer = 'operator') =>
  yard.ask<Answer>('POST', `${machine()}/top-ups`, { as, body: { ...OIL, ...over } });
const topUps = async () => (await yard.ask<TopUpsDto>('GET', `${machine()}/top-ups`)).body;

async function card(topUpPer100h: number | null = null): Promise<void> {
  const { body } = await yard.ask<MachineDetailDto>('GET', machine());
  const line = {
    component: 'engineOil',
    fluid: '',
    litresWithFilter: 2,
    litresWithoutFilter: 1.8,
    topUpPer100h,
    grades: [{ grade: '10W-30', category: 'API SJ', fromCelsius: null, toCelsius: null }],
  };
  const spec = { ...emptySpecCard(), fluids: [line] };
  const put = await yard.ask('PUT', `${machine()}/spec`, { body: { spec, version: body.version } });
  expect(put.status).toBe(200);
}

async function shelfOil(): Promise<ArticleDto> {
  const fields = { name: 'Oil 10W-30', kind: 'fluid', unit: 'litre', leastOnHand: 1, priceMinor: 600 };
  const { body } = await yard.ask<ArticleDto>('POST', '/api/articles', { body: fields });
  await yard.ask('POST', `/api/articles/${body.id}/movements`, {
    body: { kind: 'received', quantity: 5, note: '' },
  });
  return body;
}

describe('a top-up', () => {
  it('is kept with what was poured, its figure, and drawn from the shelf', async () => {
    await card();
    const article = await shelfOil();
    expect((await pour({ shown: 61, articleId: article.id })).status).toBe(201);
    expect((await topUps()).topUps).toMatchObject([
      { component: 'engineOil', on: '2027-05-13', life: 61, litres: 0.2, grade: '10W-30', by: 'operator' },
    ]);
    const { body: articles } = await yard.ask<ArticleDto[]>('GET', '/api/articles');
    expect(articles.find(({ id }) => id === article.id)?.onHand).toBeCloseTo(4.8, 9);
    const { body: page } = await yard.ask<RecordPageDto>('GET', '/api/records?kinds=all');
    expect(page.records[0]).toMatchObject({
      topUps: [{ component: 'engineOil', litres: 0.2, grade: '10W-30' }],
      draws: [{ name: 'Oil 10W-30', quantity: 0.2 }],
    });
  });

  it('whose record is voided no longer counts, and goes back on the shelf', async () => {
    const article = await shelfOil();
    const { body } = await pour({ articleId: article.id });
    await yard.ask('POST', `/api/records/${body.jobId}/void`, { body: { reason: 'Other machine' } });
    expect((await topUps()).topUps).toEqual([]);
    const { body: articles } = await yard.ask<ArticleDto[]>('GET', '/api/articles');
    expect(articles.find(({ id }) => id === article.id)?.onHand).toBe(5);
  });

  it('of another grade than the card names is stopped; the crew lead alone goes on, with a reason that stays', async () => {
    await card();
    const codes = async (over: object, as: Doer) =>
      (await pour(over, as)).body.errors?.map(({ pointer, code }) => `${pointer} ${code}`);
    expect(await codes({ grade: '15W-40' }, 'mechanic')).toEqual(['#/grade notOfCard']);
    expect(await codes({ grade: '15W-40', reason: 'Nothing else here' }, 'mechanic')).toEqual([
      '#/grade notOfCard',
    ]);
    expect(await codes({ grade: '15W-40' }, 'crewLead')).toEqual(['#/reason needed']);
    expect((await pour({ grade: '15W-40', reason: 'Nothing else here' }, 'crewLead')).status).toBe(201);
    expect((await topUps()).topUps).toMatchObject([{ grade: '15W-40', reason: 'Nothing else here' }]);
  });

  it('of what the machine has not, or out of what is no fluid, is refused by its field', async () => {
    const pointers = async (over: object) => (await pour(over)).body.errors?.map(({ pointer }) => pointer);
    expect(await pointers({ component: 'coolant' })).toEqual(['#/component']);
    expect(await pointers({ component: 'fuel' })).toEqual(['#/component']);
    expect(await pointers({ articleId: yard.crew.kit })).toEqual(['#/articleId']);
    expect(await pointers({ litres: 0 })).toEqual(['#/litres']);
    expect(await pointers({ litres: 101 })).toEqual(['#/litres']);
    expect(await pointers({ shown: 20 })).toEqual(['#/shown']);
    expect((await pour({}, 'viewer')).status).toBe(403);
    expect((await topUps()).topUps).toEqual([]);
  });
});

describe('a machine that drinks', () => {
  it('is named on Today with what it takes and may take', async () => {
    await card(0.5);
    const today = async () => (await yard.ask<TodayDto>('GET', '/api/today')).body.thirsty;
    for (const shown of [60, 65]) {
      expect((await pour({ shown, litres: 0.1 })).status).toBe(201);
      yard.clock.set(instantOf(yard.clock.now() + 86_400_000));
    }
    expect(await today()).toEqual([]);
    expect((await pour({ shown: 70, litres: 0.1 })).status).toBe(201);
    // 0.2 L in the 10 h from 60 to 70: 2 L per 100 h, of which the card allows 0.5.
    expect(await today()).toMatchObject([
      { tag: 'T-1', component: 'engineOil', thirst: 'moreThanCard', allowed: 0.5, usual: null },
    ]);
    expect((await today())[0]?.latest).toBeCloseTo(2, 9);
    expect((await topUps()).consumption).toMatchObject([
      { component: 'engineOil', spans: [{ hours: 5 }, { hours: 5 }] },
    ]);
  });
});

describe('a walk round', () => {
  it('takes what was filled up and put right along, and says what of the standing look was well', async () => {
    await card();
    const { body: walk } = await yard.ask<WalkDto>('GET', `${machine()}/walk`);
    expect(walk.fluids[0]).toMatchObject({ component: 'engineOil', grades: [{ grade: '10W-30' }] });
    const body = {
      shown: 61,
      itemIds: [],
      notWell: [],
      putRight: [{ look: 'tyres', words: 'Pumped up' }],
      toppedUp: [OIL],
    };
    expect((await yard.ask('POST', `${machine()}/walk`, { as: 'operator', body })).status).toBe(201);
    const { body: page } = await yard.ask<RecordPageDto>('GET', '/api/records?kinds=all');
    expect(page.records[0]).toMatchObject({
      putRight: [{ name: 'Tyres full and whole', words: 'Pumped up' }],
      topUps: [{ litres: 0.2 }],
    });
    expect(page.records[0]?.wellLooks).toContain('No drips beneath');
    expect(page.records[0]?.wellLooks).not.toContain('Tyres full and whole');
    const wrong = { ...body, toppedUp: [{ ...OIL, grade: '5W-20' }] };
    const refused = await yard.ask<ProblemDto>('POST', `${machine()}/walk`, { as: 'operator', body: wrong });
    expect(refused.body.errors?.map(({ pointer }) => pointer)).toEqual(['#/toppedUp/0/grade']);
    const twice = { ...body, toppedUp: [OIL, OIL] };
    expect((await yard.ask('POST', `${machine()}/walk`, { as: 'operator', body: twice })).status).toBe(422);
  });
});
