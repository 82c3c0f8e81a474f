import { DEFAULT_RULES, sheetSteps } from '@yugator/core';
import type {
  ArticleDto,
  DefectDto,
  UsedOilDto,
  VisitDto,
  WorkshopDto,
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
const tick = (job: JobDto, index = 0, over: object = { outcome: 'done' }) => {
  const item = job.items[index];
  return yard.ask<JobDto>('PUT', `/api/jobs/${job.id}/items/${item?.itemId}`, {
    ...mechanic,
    body: { ...over, version: item?.version },
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
    const late = await tick(job, 0, { outcome: null });
    expect(late.status).toBe(409);
    expect(late.body).toMatchObject({ current: { items: [{ outcome: 'done' }, { outcome: 'done' }] } });
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

const decide = (job: JobDto, over: object) =>
  yard.ask<JobDto & Omit<ProblemDto, 'status'>>('PUT', `/api/jobs/${job.id}/items/${yard.crew.oil}`, {
    ...mechanic,
    body: { ...over, version: job.items.find(({ itemId }) => itemId === yard.crew.oil)?.version },
  });

describe('an outcome', () => {
  it('kept sets a point to look again and does not count as done; voided it is as before', async () => {
    const before = await oilLine();
    const job = (await open([yard.crew.oil])).body;
    const kept = await decide(job, { outcome: 'kept', untilLife: 75, note: 'Still clear' });
    const done = await signOff(kept.body);
    expect(done.body.record).toMatchObject({
      items: [],
      others: [{ name: 'Engine oil and filter', outcome: 'kept', note: 'Still clear' }],
    });
    // Looked at at 61.5 h and kept until 75: 13.5 left, where 50 h of the book had been over.
    expect(await oilLine()).toMatchObject({
      baseline: { kind: 'enteredService' },
      limits: [{ rule: { kind: 'kept' }, at: 75, left: 13.5 }],
    });
    await yard.ask('POST', `/api/records/${job.id}/void`, { body: { reason: 'Wrong machine' } });
    expect(await oilLine()).toEqual(before);
  });

  it.each([
    ['kept without a limit', { outcome: 'kept' }, '#/untilLife'],
    ['kept until hours that are past', { outcome: 'kept', untilLife: 60 }, '#/untilLife'],
    [
      'deferred to a day that is past',
      { outcome: 'deferred', untilOn: '2027-05-13', note: 'No filter' },
      '#/untilOn',
    ],
    ['deferred without a reason', { outcome: 'deferred', untilLife: 80 }, '#/note'],
    ['a defect without words', { outcome: 'defect', severity: 'soon' }, '#/note'],
    ['a defect that is not weighed', { outcome: 'defect', note: 'It leaks' }, '#/severity'],
    ['something else', { outcome: 'forgotten' }, '#/outcome'],
  ])('%s is refused by its field', async (_what, over, pointer) => {
    const refused = await decide((await open([yard.crew.oil])).body, over);
    expect(refused.status).toBe(422);
    expect(refused.body.errors?.map((fault) => fault.pointer)).toEqual([pointer]);
  });

  it('defect with which the machine is not to be used takes it out of service, and a later job mends it', async () => {
    const job = (await open([yard.crew.oil])).body;
    const found = await decide(job, { outcome: 'defect', note: 'Sump cracked', severity: 'stop' });
    await signOff(found.body);
    const machine = async () =>
      (await yard.ask<MachineDto>('GET', `/api/machines/${yard.crew.machine}`)).body;
    expect((await machine()).status).toBe('outOfService');
    const { body: defects } = await yard.ask<DefectDto[]>(
      'GET',
      `/api/machines/${yard.crew.machine}/defects`,
    );
    expect(defects).toMatchObject([
      { words: 'Sump cracked', severity: 'stop', itemName: 'Engine oil and filter' },
    ]);
    const mending = (await tick((await open([yard.crew.oil])).body)).body;
    expect(mending.defects).toHaveLength(1);
    const gone = await signOff<ProblemDto>(mending, { mendedDefectIds: ['none'] });
    expect(gone.body.errors?.[0]?.pointer).toBe('#/mendedDefectIds/0');
    const mended = await signOff(mending, { mendedDefectIds: [defects[0]?.id ?? ''] });
    expect(mended.status).toBe(201);
    expect((await yard.ask<DefectDto[]>('GET', '/api/defects')).body).toEqual([]);
    await yard.ask('POST', `/api/records/${mending.id}/void`, { body: { reason: 'Not mended after all' } });
    expect((await yard.ask<DefectDto[]>('GET', '/api/defects')).body).toHaveLength(1);
  });
});

const stepBody = (over: object = {}) => ({
  isDone: true,
  isAcknowledged: true,
  found: null,
  version: 0,
  ...over,
});
const doStep = (job: JobDto, key: string, over: object = {}) =>
  yard.ask<JobDto & Omit<ProblemDto, 'status'>>('PUT', `/api/jobs/${job.id}/steps/${key}`, {
    ...mechanic,
    body: stepBody(over),
  });

describe('a step', () => {
  it('keeps what was found and who did it, and finishes its item with the last', async () => {
    const job = (await open([yard.crew.oil])).body;
    const found = { sight: 'brown', litres: 1.7 };
    expect((await doStep(job, 'engineOil.dipstick', { found })).body.steps).toMatchObject([
      { key: 'engineOil.dipstick', isDone: true, found, by: 'mechanic', version: 1 },
    ]);
    const keys = sheetSteps(job.setUp)
      .filter(({ key, access }) => access === null && key.startsWith('engineOil.'))
      .map(({ key }) => key);
    expect(keys.length).toBeGreaterThan(4);
    let last = job;
    for (const key of keys.filter((each) => each !== 'engineOil.dipstick')) {
      expect(last.items[0]?.outcome ?? null).toBeNull();
      last = (await doStep(job, key)).body;
    }
    expect(last.items[0]?.outcome).toBe('done');
  });

  it('has its waiting time from the server, so that a reload does not forget it', async () => {
    const job = (await open([yard.crew.oil])).body;
    const started = await doStep(job, 'access.warm.open', { isDone: false, timer: 'start' });
    expect(started.body.steps[0]).toMatchObject({ isDone: false, startedAt: '2027-05-13T11:00:00.000Z' });
    const done = await doStep(job, 'access.warm.open', { version: 1 });
    expect(done.body.steps[0]?.startedAt).toBe('2027-05-13T11:00:00.000Z');
  });

  it('that can maim is not ticked off before its cautions were read', async () => {
    const blades = {
      ...{ name: 'Blades: sharpen', action: 'sharpen', component: 'blades', minutes: 20, renews: [] },
      ...{ reference: '', note: '', windowHours: null, windowDays: null },
      triggers: [{ kind: 'everyHours', hours: 25, meter: 'engine', grid: null }],
    };
    const path = `/api/machines/${yard.crew.machine}`;
    await yard.ask('PUT', `${path}/items`, { body: { items: [blades], version: 1 } });
    const own = (await yard.ask<MachineDto>('GET', path)).body.lines.find(
      ({ itemName }) => itemName === blades.name,
    );
    const job = (await open([own?.itemId ?? ''])).body;
    const refused = await doStep(job, 'blades.tips', { isAcknowledged: false });
    expect(refused.body.errors?.[0]).toMatchObject({ pointer: '#/isAcknowledged', code: 'notRead' });
    expect((await doStep(job, 'blades.tips')).status).toBe(200);
  });

  it('of two people at once is one: the second is told how it stands', async () => {
    const job = (await open([yard.crew.oil])).body;
    const answers = await Promise.all([doStep(job, 'engineOil.drain'), doStep(job, 'engineOil.drain')]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect((await doStep(job, 'engineOil.nothing')).status).toBe(404);
    expect((await doStep(job, 'engineOil.pour', { found: { far: Array(4) } })).status).toBe(422);
  });
});

describe('a visit', () => {
  it('proposes what is due, and says what it takes', async () => {
    const { body } = await yard.ask<VisitDto>('GET', `/api/machines/${yard.crew.machine}/visit`, mechanic);
    expect(body.proposals).toContainEqual({ itemId: yard.crew.oil, reason: { kind: 'due' } });
    expect(body.needs).toMatchObject([
      { itemId: yard.crew.oil, articleId: yard.crew.kit, quantity: 1, onHand: 5 },
    ]);
    expect(body.setUp.items.length).toBe(body.lines.length);
  });

  it('is put aside with what it waits for, and taken up by the next step', async () => {
    const job = (await open([yard.crew.oil])).body;
    const paused = await yard.ask<JobDto>('PUT', `/api/jobs/${job.id}/pause`, {
      body: { reason: 'Filter comes tomorrow', version: job.version },
    });
    expect(paused.body.pausedReason).toBe('Filter comes tomorrow');
    expect((await doStep(job, 'engineOil.drain')).body.pausedReason).toBeNull();
  });

  it('takes another item in while it is open', async () => {
    const job = (await open([yard.crew.oil])).body;
    const path = `/api/jobs/${job.id}/items/${yard.crew.grease}`;
    expect((await yard.ask<JobDto>('POST', path)).body.items).toHaveLength(2);
    expect((await yard.ask<JobDto>('POST', path)).body.items).toHaveLength(2);
  });
});

describe('the used-oil book', () => {
  it('takes what a job drained, and gives it back when the record is voided', async () => {
    const read = async () => (await yard.ask<UsedOilDto>('GET', '/api/used-oil')).body;
    const done = await signOff(await ready(), { usedOilLitres: 1.7 });
    expect(await read()).toMatchObject({
      inside: 1.7,
      capacity: 60,
      entries: [{ litres: 1.7, note: 'Drained from T-1' }],
    });
    const collected = { kind: 'collected', litres: 2, on: '2027-05-13', note: 'Collector' };
    const refused = await yard.ask<ProblemDto>('POST', '/api/used-oil', { body: collected });
    expect(refused.body.errors?.[0]).toMatchObject({ pointer: '#/litres', code: 'tooMuch' });
    await yard.ask('POST', '/api/used-oil', { body: { ...collected, litres: 1.5 } });
    expect(await read()).toMatchObject({ inside: 0.2 });
    await yard.ask('POST', `/api/records/${done.body.id}/void`, { body: { reason: 'Wrong machine' } });
    expect((await read()).entries).toHaveLength(1);
  });
});

describe('the house rules', () => {
  it('are followed by the sheets, one of the ways that are offered each', async () => {
    const { body: before } = await yard.ask<WorkshopDto>('GET', '/api/site/workshop');
    expect(before.rules).toEqual(DEFAULT_RULES);
    const put = (rules: object, version = before.version) =>
      yard.ask<WorkshopDto>('PUT', '/api/site/workshop', { body: { ...before, rules, version } });
    expect((await put({ ...before.rules, drain: 'shovel' })).status).toBe(422);
    expect((await put({ ...before.rules, drain: 'extractor' })).status).toBe(200);
    expect((await put(before.rules)).status).toBe(409);
    const job = (await open([yard.crew.oil])).body;
    expect(sheetSteps(job.setUp).map(({ key }) => key)).toContain('engineOil.extract');
  });
});
