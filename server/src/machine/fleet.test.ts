import type { ArticleDto, MachineDto, ProblemDto, TodayDto } from '@yugator/contracts';
import { NOBODY } from '../testing/pictures.js';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

const fields = (over: object = {}) => ({
  tag: ' U-9 ',
  name: 'Cart',
  machineClass: 'utilityVehicle',
  make: '',
  model: '',
  fuel: 'diesel',
  shed: 'North shed',
  walkOrder: 5,
  inServiceOn: '2027-02-01',
  inServiceHours: 205,
  cameNew: false,
  bookIds: [yard.crew.book],
  ...over,
});
const register = (over: object = {}) =>
  yard.ask<MachineDto & Omit<ProblemDto, 'status'>>('POST', '/api/machines', { body: fields(over) });

describe('the fleet', () => {
  it('takes in a used machine: its meter starts where it came in, its items have no record', async () => {
    const { status, body } = await register();
    expect(status).toBe(201);
    expect(body).toMatchObject({ tag: 'U-9', life: 205, hoursPerWeek: null });
    expect(body.lines.map(({ state }) => state)).toEqual(['noRecord', 'noRecord']);
    const declared = await yard.ask<MachineDto>('POST', `/api/machines/${body.id}/declarations`, {
      body: { itemId: yard.crew.oil, doneOn: '2027-01-10', life: 190 },
    });
    // Declared at 190 h, every 50 h: due at 240, 35 h from now.
    expect(declared.body.lines.find((line) => line.itemId === yard.crew.oil)).toMatchObject({
      baseline: { kind: 'declared', on: '2027-01-10', life: 190 },
      limits: [{ at: 240, left: 35 }],
    });
  });

  it.each([
    ['a tag that is taken', { tag: 'T-1' }, '#/tag', 'taken'],
    ['a day to come', { tag: 'X', inServiceOn: '2027-06-01' }, '#/inServiceOn', 'future'],
    ['a day that does not exist', { tag: 'X', inServiceOn: '2027-02-29' }, '#/inServiceOn', 'isCivilDay'],
    ['a book that is gone', { tag: 'X', bookIds: [NOBODY] }, '#/bookIds', 'unknown'],
    ['a class of its own', { tag: 'X', machineClass: 'boat' }, '#/machineClass', 'isIn'],
    ['hours in words', { tag: 'X', inServiceHours: 'few' }, '#/inServiceHours', 'isDecimal'],
    ['no tag', { tag: '  ' }, '#/tag', 'isText'],
  ])('refuses %s by its field', async (_what, over, pointer, code) => {
    const { status, body } = await register(over);
    expect(status).toBe(422);
    expect(body.errors).toEqual([expect.objectContaining({ pointer, code })]);
  });

  it('refuses an edit based on an old version, and keeps the day of coming', async () => {
    const { body: machine } = await yard.ask<MachineDto>('GET', `/api/machines/${yard.crew.machine}`);
    const edit = (over: object) =>
      yard.ask<MachineDto & Omit<ProblemDto, 'status'>>('PUT', `/api/machines/${machine.id}`, {
        body: {
          ...fields({ tag: 'T-1', inServiceOn: machine.inServiceOn, inServiceHours: 0, cameNew: true }),
          version: 1,
          ...over,
        },
      });
    expect((await edit({ name: 'First' })).body).toMatchObject({ name: 'First', version: 2 });
    const late = await edit({ name: 'Second' });
    expect([late.status, late.body.current]).toEqual([409, expect.objectContaining({ name: 'First' })]);
    const moved = await edit({ version: 2, inServiceHours: 10 });
    expect(moved.body.errors?.[0]).toMatchObject({ code: 'fixed' });
  });

  it('tells what is not there', async () => {
    const { status, body, headers } = await yard.ask<ProblemDto>('GET', '/api/machines/none');
    expect([status, body.title]).toEqual([404, 'Not found']);
    expect(headers['content-type']).toContain('application/problem+json');
  });
});

describe('Today', () => {
  it('names the stale meters and what is short on the shelf', async () => {
    const { body: article } = await yard.ask<ArticleDto>('POST', '/api/articles', {
      body: { name: '10W-30 engine oil', kind: 'fluid', unit: 'litre', leastOnHand: 5, priceMinor: 640 },
    });
    const counted = await yard.ask<ArticleDto>('POST', `/api/articles/${article.id}/movements`, {
      as: 'mechanic',
      body: { kind: 'counted', quantity: 4.1 },
    });
    expect(counted.body).toMatchObject({ onHand: 4.1, state: 'low' });
    const { body } = await yard.ask<TodayDto>('GET', '/api/today', { as: 'viewer' });
    expect(body.short).toEqual([expect.objectContaining({ name: '10W-30 engine oil', onHand: 4.1 })]);
    // U-9 was last read on coming, 1 February: 101 days before 13 May.
    expect(body.stale).toEqual([expect.objectContaining({ tag: 'U-9', days: 101 })]);
  });
});
