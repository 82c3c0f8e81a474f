import { proposedDraws } from '@yugator/contracts';
import type {
  ArticleDto,
  DefectDto,
  DefectPageDto,
  JobDto,
  MachineDto,
  ProblemDto,
  RecordPageDto,
  TodayDto,
} from '@yugator/contracts';
import { Item } from '../models/book.model.js';
import { Machine } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import { Article } from '../models/shelf.model.js';
import { jobActs } from '../testing/jobActs.js';
import { NOBODY } from '../testing/pictures.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();

const { mechanic, open, tick, signOff, ready } = jobActs(() => yard);
const oilLine = async () =>
  (await yard.ask<MachineDto>('GET', `/api/machines/${yard.crew.machine}`)).body.lines.find(
    (line) => line.itemId === yard.crew.oil,
  );
const kits = async () => (await yard.ask<ArticleDto[]>('GET', '/api/articles')).body[0]?.onHand;

describe('a job', () => {
  it('goes from due to record: reading kept, stock drawn, next due computed afresh', async () => {
    // Came new at 0 h, every 50 h, 60.0 h now: 10 h over.
    expect(await oilLine()).toMatchObject({ state: 'overdue', limits: [{ at: 50, left: -10 }] });
    const job = await ready();
    expect(proposedDraws(job)).toMatchObject([{ articleId: yard.crew.kit, quantity: 1, onHand: 5 }]);
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

  it('stands as it was signed, whatever is called otherwise later, and is found by the names of then', async () => {
    const signed = await signOff(await ready());
    const before = signed.body.record;
    expect(before).toMatchObject({
      items: ['Engine oil and filter'],
      doneBy: 'mechanic',
      machine: { tag: 'T-1' },
    });
    await Machine.update({ tag: 'X-9', name: 'Renamed' }, { where: { id: yard.crew.machine } });
    await Item.update({ name: 'Sump' }, { where: { id: yard.crew.oil } });
    await Article.update({ name: 'Box' }, { where: { id: yard.crew.kit } });
    await Person.update({ name: 'Somebody else' }, { where: { id: yard.crew.people.mechanic } });
    const again = (await yard.ask<JobDto>('GET', `/api/jobs/${signed.body.id}`)).body;
    expect(again.record).toEqual(before);
    expect([again.machine.tag, again.items[0]?.name]).toEqual(['T-1', 'Engine oil and filter']);
    const found = async (search: string) =>
      (await yard.ask<RecordPageDto>('GET', `/api/records?search=${search}`)).body.total;
    expect([await found('T-1'), await found('filter'), await found('X-9'), await found('Sump')]).toEqual([
      1, 1, 0, 0,
    ]);
    const voided = await yard.ask<JobDto>('POST', `/api/records/${signed.body.id}/void`, {
      body: { reason: 'Wrong day' },
    });
    expect(voided.body.record).toEqual({ ...before, voided: expect.objectContaining({ by: 'crewLead' }) });
  });

  it('costs its parts and its minutes, at the rate of the day on which it was signed off', async () => {
    const first = await signOff(await ready());
    expect(first.body.record).toMatchObject({ labourCostMinor: null, costMinor: 2890 });
    const site = {
      hoursGrid: 'sinceDone',
      unitSystem: 'metric',
      dateOrder: 'dayFirst',
      staleAfterDays: 8,
      sessionIdleDays: 14,
    };
    const setRate = (labourRateMinor: number | null, version: number) =>
      yard.ask('PUT', '/api/site', { body: { ...site, labourRateMinor, version } });
    expect((await setRate(3000, 1)).status).toBe(200);
    yard.clock.set((yard.clock.now() + 86_400_000) as ReturnType<typeof yard.clock.now>);
    const second = await signOff(await ready(), { shown: 63, doneOn: '2027-05-14' });
    // 35 min at 30.00 an hour are 17.50; with the kit of 28.90, 46.40.
    const cost = { labourCostMinor: 1750, partsCostMinor: 2890, costMinor: 4640 };
    expect(second.body.record).toMatchObject(cost);
    expect((await setRate(9000, 2)).status).toBe(200);
    const records = await yard.ask<RecordPageDto>('GET', '/api/records');
    expect(records.body.records.map(({ costMinor }) => costMinor)).toEqual([4640, 2890]);
    expect((await setRate(-1, 3)).status).toBe(422);
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
    const gone = await signOff<ProblemDto>(mending, { mendedDefectIds: [NOBODY] });
    expect(gone.body.errors?.[0]?.pointer).toBe('#/mendedDefectIds/0');
    const mended = await signOff(mending, { mendedDefectIds: [defects[0]?.id ?? ''] });
    expect(mended.status).toBe(201);
    expect((await yard.ask<DefectPageDto>('GET', '/api/defects')).body.total).toBe(0);
    await yard.ask('POST', `/api/records/${mending.id}/void`, { body: { reason: 'Not mended after all' } });
    expect((await yard.ask<DefectPageDto>('GET', '/api/defects')).body.total).toBe(1);
  });
});
