import type {
  ArticleDto,
  JobDto,
  MachineDto,
  ProblemDto,
  RecordPageDto,
  SignOffDto,
  TodayDto,
} from '@yugator/contracts';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeEach(async () => {
  yard = await testApp();
});
afterEach(() => yard.close());

const mechanic = { as: 'mechanic' } as const;
const open = async (itemIds: string[]) =>
  yard.ask<JobDto>('POST', '/api/jobs', { ...mechanic, body: { machineId: yard.crew.machine, itemIds } });
const tick = (job: JobDto, index = 0, ticked = true) => {
  const item = job.items[index];
  return yard.ask<JobDto>('PUT', `/api/jobs/${job.id}/items/${item?.itemId}`, {
    ...mechanic,
    body: { ticked, version: item?.version },
  });
};
const signOffBody = (job: JobDto, over: Partial<SignOffDto> = {}) => ({
  ...{ doneOn: '2027-05-13', shown: 61.5, doneById: yard.crew.people.mechanic, minutes: 35 },
  draws: job.proposed.map(({ articleId, quantity }) => ({ articleId, quantity })),
  version: job.version,
  ...over,
});
const signOff = <T = JobDto>(job: JobDto, over: Partial<SignOffDto> = {}) =>
  yard.ask<T>('POST', `/api/jobs/${job.id}/sign-off`, { ...mechanic, body: signOffBody(job, over) });
const oilLine = async () =>
  (await yard.ask<MachineDto>('GET', `/api/machines/${yard.crew.machine}`)).body.lines.find(
    (line) => line.itemId === yard.crew.oil,
  );
const kits = async () => (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body[0]?.onHand;
const ready = async () => (await tick((await open([yard.crew.oil, yard.crew.grease])).body)).body;

describe('a job', () => {
  it('goes from due to record: reading kept, stock drawn, next due computed afresh', async () => {
    // Came new at 0 h, every 50 h, 60.0 h now: 10 h over.
    expect(await oilLine()).toMatchObject({ state: 'overdue', limits: [{ at: 50, left: -10 }] });
    const job = await ready();
    expect(job.proposed).toMatchObject([{ articleId: yard.crew.kit, quantity: 1, onHand: 5 }]);
    const done = await signOff(job);
    expect(done.status).toBe(201);
    expect(done.body).toMatchObject({
      state: 'signedOff',
      record: { life: 61.5, partsCostMinor: 2890, minutes: 35 },
    });
    expect(done.body.record?.items).toEqual(['Engine oil and filter']);
    // Done at 61.5 h: due again at 111.5.
    expect(await oilLine()).toMatchObject({
      baseline: { kind: 'completion', life: 61.5 },
      limits: [{ at: 111.5 }],
    });
    expect(await kits()).toBe(4);
    const records = await yard.ask<RecordPageDto>('GET', '/api/records?search=oil');
    expect(records.body.total).toBe(1);
    expect((await yard.ask<RecordPageDto>('GET', '/api/records?search=100%25')).body.total).toBe(0);
  });

  it('voided restores exactly what was before: schedule, stock and life hours', async () => {
    const before = [await oilLine(), await kits(), (await yard.ask<TodayDto>('GET', '/api/today')).body];
    const done = await signOff(await ready());
    const voided = await yard.ask<JobDto>('POST', `/api/records/${done.body.id}/void`, {
      body: { reason: 'Wrong machine' },
    });
    expect(voided.body.record?.voided).toMatchObject({ by: 'crewLead', reason: 'Wrong machine' });
    expect([await oilLine(), await kits(), (await yard.ask<TodayDto>('GET', '/api/today')).body]).toEqual(
      before,
    );
  });

  it('is one at a time on a machine; the refusal leads to the open one', async () => {
    const first = await open([yard.crew.oil]);
    const second = await open([yard.crew.grease]);
    expect(second.status).toBe(409);
    expect(second.body).toMatchObject({ current: { id: first.body.id } });
  });

  it('signed by two at once becomes one record', async () => {
    const job = await ready();
    const answers = await Promise.all([signOff(job), signOff(job), signOff(job)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
    expect((await yard.ask<RecordPageDto>('GET', '/api/records')).body.total).toBe(1);
    expect(await kits()).toBe(4);
  });

  it('lets two people tick different items, but refuses a stale tick and a stale sign-off', async () => {
    const job = (await open([yard.crew.oil, yard.crew.grease])).body;
    expect((await tick(job, 0)).status).toBe(200);
    expect((await tick(job, 1)).status).toBe(200);
    const late = await tick(job, 0, false);
    expect(late.status).toBe(409);
    expect(late.body).toMatchObject({ current: { items: [{ ticked: true }, { ticked: true }] } });
    expect((await signOff(job)).status).toBe(409);
  });

  it.each([
    ['a day to come', { doneOn: '2027-05-14' }, '#/doneOn'],
    ['a day that does not exist', { doneOn: '2027-02-30' }, '#/doneOn'],
    ['hours below the last reading', { shown: 59 }, '#/shown'],
    ['somebody unknown', { doneById: 'nobody' }, '#/doneById'],
    ['an article not on the shelf', { draws: [{ articleId: 'none', quantity: 1 }] }, '#/draws/0/articleId'],
    ['half a minute', { minutes: 0.5 }, '#/minutes'],
  ])('refuses %s by its field and writes nothing', async (_what, over, pointer) => {
    const answer = await signOff<ProblemDto>(await ready(), over);
    expect(answer.status).toBe(422);
    expect(answer.body.errors?.map((fault) => fault.pointer)).toContain(pointer);
    expect((await yard.ask<RecordPageDto>('GET', '/api/records')).body.total).toBe(0);
    expect(await kits()).toBe(5);
    expect((await yard.ask<MachineDto>('GET', `/api/machines/${yard.crew.machine}`)).body.life).toBe(60);
  });

  it('with nothing ticked is not signed off; put away it leaves no record', async () => {
    const job = (await open([yard.crew.oil])).body;
    expect((await signOff(job)).status).toBe(422);
    expect(
      (await yard.ask('POST', `/api/jobs/${job.id}/drop`, { body: { version: job.version } })).status,
    ).toBe(204);
    expect((await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`)).body.state).toBe('dropped');
    expect((await open([yard.crew.oil])).status).toBe(201);
  });

  it('done days ago is dated and judged by its day', async () => {
    // Between 0 h on 1 May 2026 and 60 h on 10 May 2027, 55 h can be; 61 h cannot.
    const job = await ready();
    expect((await signOff(job, { doneOn: '2027-05-03', shown: 61 })).status).toBe(422);
    const done = await signOff(job, { doneOn: '2027-05-03', shown: 55 });
    expect(done.body.record).toMatchObject({ doneOn: '2027-05-03', life: 55 });
    expect(await oilLine()).toMatchObject({ limits: [{ at: 105, left: 45 }] });
  });
});
