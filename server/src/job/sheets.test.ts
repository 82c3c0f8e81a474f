import { DEFAULT_RULES, sheetSteps } from '@yugator/core';
import type {
  UsedOilDto,
  VisitDto,
  WorkshopDto,
  JobDto,
  JobProgressDto,
  MachineDto,
  ProblemDto,
} from '@yugator/contracts';
import { jobActs } from '../testing/jobActs.js';
import { jpeg, NO_PICTURE } from '../testing/pictures.js';
import { yardOfFile } from '../testing/testApp.js';
import { Sequelize } from 'sequelize-typescript';

const yard = yardOfFile();

const { mechanic, open, signOff, ready, tick } = jobActs(() => yard);

const stepBody = (over: object = {}) => ({
  isDone: true,
  isAcknowledged: true,
  found: null,
  version: 0,
  ...over,
});
const doStep = (job: JobDto, key: string, over: object = {}) =>
  yard.ask<JobProgressDto & Omit<ProblemDto, 'status'>>('PUT', `/api/jobs/${job.id}/steps/${key}`, {
    ...mechanic,
    body: stepBody(over),
  });

/** Of a tick, from the session to the answer, the three statements of its transaction included. */
const MOST_QUESTIONS = 12;

describe('a step', () => {
  it('keeps what was found and who did it, and finishes its item with the last', async () => {
    const job = (await open([yard.crew.oil])).body;
    const found = { sight: 'brown', litres: 1.7 };
    expect((await doStep(job, 'engineOil.dipstick', { found })).body.steps).toMatchObject([
      { key: 'engineOil.dipstick', isDone: true, found, by: 'mechanic', version: 1 },
    ]);
    const keys = sheetSteps(job.setUp)
      .filter(({ kind }) => kind === 'work')
      .map(({ key }) => key);
    expect(keys.length).toBeGreaterThan(4);
    let last: Pick<JobDto, 'items'> | JobProgressDto = job;
    for (const key of keys.filter((each) => each !== 'engineOil.dipstick')) {
      expect(last.items[0]?.outcome ?? null).toBeNull();
      last = (await doStep(job, key)).body;
    }
    expect(last.items[0]?.outcome).toBe('done');
    // A tick taken back leaves it undone, and set again it is done once more.
    const back = await doStep(job, 'engineOil.pour', { isDone: false, version: 1 });
    expect(back.body.items[0]?.outcome).toBeNull();
    expect((await doStep(job, 'engineOil.pour', { version: 2 })).body.items[0]?.outcome).toBe('done');
  });

  it('asks the database little: of the machine only whether it has changed', async () => {
    const job = (await open([yard.crew.oil])).body;
    // The first look at a machine after a change reads all that its schedule follows from.
    await yard.ask('GET', `/api/jobs/${job.id}`);
    const sequelize = yard.app.get(Sequelize);
    const asked: string[] = [];
    const { logging } = sequelize.options;
    sequelize.options.logging = (sql: string) => asked.push(sql.slice(0, 300));
    await doStep(job, 'engineOil.drain');
    sequelize.options.logging = logging ?? false;
    expect(asked.map((sql) => sql.slice(0, 120)).slice(MOST_QUESTIONS)).toEqual([]);
    expect(asked.length).toBeGreaterThan(3);
  });

  it('taken back leaves alone what a person said of the item', async () => {
    const job = (await open([yard.crew.oil])).body;
    await doStep(job, 'engineOil.pour');
    const said = await tick((await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`)).body);
    expect(said.body.items[0]?.outcome).toBe('done');
    const back = await doStep(job, 'engineOil.pour', { isDone: false, version: 1 });
    expect(back.body.items[0]?.outcome).toBe('done');
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
      name: 'Blades: sharpen',
      action: 'sharpen',
      component: 'blades',
      minutes: 20,
      renews: [],
      reference: '',
      note: '',
      windowHours: null,
      windowDays: null,
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
    const done = await signOff(await ready(), { drained: [{ waste: 'oil', litres: 1.7 }] });
    expect(await read()).toMatchObject({
      containers: [
        { waste: 'oil', inside: 1.7, capacity: 60, outlook: null },
        { waste: 'coolant', inside: 0, capacity: 20 },
        { waste: 'brakeFluid' },
        { waste: 'fuel' },
      ],
      entries: [{ waste: 'oil', litres: 1.7, note: 'Drained from T-1' }],
    });
    const collected = {
      kind: 'collected',
      waste: 'oil',
      litres: 2,
      on: '2027-05-13',
      note: 'Collector',
      receipt: 'R 17',
    };
    const refused = await yard.ask<ProblemDto>('POST', '/api/used-oil', { body: collected });
    expect(refused.body.errors?.[0]).toMatchObject({ pointer: '#/litres', code: 'tooMuch' });
    await yard.ask('POST', '/api/used-oil', { body: { ...collected, litres: 1.5 } });
    expect(await read()).toMatchObject({
      containers: [{ waste: 'oil', inside: 0.2 }, {}, {}, {}],
      entries: expect.arrayContaining([expect.objectContaining({ litres: -1.5, receipt: 'R 17' })]) as object,
    });
    // What is collected of one container does not come out of another.
    const other = await yard.ask<ProblemDto>('POST', '/api/used-oil', {
      body: { ...collected, waste: 'coolant', litres: 0.1 },
    });
    expect(other.status).toBe(422);
    // What is found in it puts the book right, to more or less.
    const found = { ...collected, kind: 'level', waste: 'oil', litres: 0.15 };
    expect((await yard.ask('POST', '/api/used-oil', { body: found })).status).toBe(201);
    expect((await read()).containers[0]).toMatchObject({ inside: 0.15 });
    await yard.ask('POST', `/api/records/${done.body.id}/void`, { body: { reason: 'Wrong machine' } });
    expect((await read()).entries).toHaveLength(2);
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

describe('a photo of a job', () => {
  it('is kept with the line beneath it, also after the sign-off, and a file that is none is refused', async () => {
    const job = await ready();
    const add = (bytes: Buffer) =>
      yard.ask<JobDto & Omit<ProblemDto, 'status'>>('POST', `/api/jobs/${job.id}/photos`, {
        ...mechanic,
        body: { jpeg: bytes.toString('base64'), caption: 'The old filter' },
      });
    expect((await add(NO_PICTURE)).body.errors?.[0]?.pointer).toBe('#/jpeg');
    await signOff(job);
    const { body } = await add(await jpeg());
    expect(body.photos).toMatchObject([{ caption: 'The old filter', by: 'mechanic' }]);
    const shown = await yard.ask('GET', body.photos[0]?.path ?? '');
    expect([shown.status, shown.headers['content-type']]).toEqual([200, 'image/jpeg']);
  });
});
