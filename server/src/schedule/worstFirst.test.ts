import type {
  BookDto,
  DueLineDto,
  FleetFileDto,
  ImportResultDto,
  JobDto,
  MachineDetailDto,
  ProblemDto,
  TodayDto,
} from '@yugator/contracts';
import { jobActs } from '../testing/jobActs.js';
import { yardOfFile } from '../testing/testApp.js';

/** What the crew sees of the schedule's rules: what leads, what rests, what is asked for. The clock stands at 13 May 2027. */

const yard = yardOfFile();

type Answered<T> = T & Omit<ProblemDto, 'status'>;
const send = <T>(method: string, path: string, body: object) =>
  yard.ask<Answered<T>>(method, `/api${path}`, { body });
const today = async () => (await yard.ask<TodayDto>('GET', '/api/today')).body;
const machine = async () =>
  (await yard.ask<MachineDetailDto>('GET', `/api/machines/${yard.crew.machine}`)).body;
const lineOf = ({ lines }: { lines: readonly DueLineDto[] }, name: string) => {
  const found = lines.find(({ itemName }) => itemName === name);
  if (!found) throw new Error(`There is no line "${name}".`);
  return found;
};

const PINS = {
  name: 'Loader: grease',
  action: 'grease',
  component: 'loader pins',
  renews: [],
  minutes: 12,
  reference: '',
  note: '',
  windowHours: null,
  windowDays: null,
  triggers: [{ kind: 'everyHours', hours: 10, meter: 'loader', grid: null }],
};
const LOADER = { kind: 'loader', name: 'Loader', share: 0.2, hoursAtStart: 0, engineAtStart: 0 };

async function withPins(): Promise<MachineDetailDto> {
  const { version } = await machine();
  return (
    await send<MachineDetailDto>('PUT', `/machines/${yard.crew.machine}/items`, { items: [PINS], version })
  ).body;
}

async function withLoader(): Promise<MachineDetailDto> {
  const { version } = await withPins();
  const path = `/machines/${yard.crew.machine}/attachments`;
  return (await send<MachineDetailDto>('PUT', path, { attachments: [LOADER], version })).body;
}

describe('Today', () => {
  it('leads with a machine that a defect stops, before one that is far overdue', async () => {
    expect((await today()).machines[0]?.tag).toBe('T-1');
    const words = { words: 'Brake does not hold', severity: 'stop' };
    expect((await send('POST', `/machines/${yard.crew.otherMachine}/defects`, words)).status).toBe(201);
    expect((await today()).machines[0]).toMatchObject({ tag: 'T-2', isOutOfService: true });
  });

  it('asks nothing of hours while a machine is laid up, and all of it when it is back', async () => {
    const path = `/machines/${yard.crew.machine}/status`;
    const change = async (status: string, since: string) =>
      send<MachineDetailDto>('POST', path, {
        status,
        since,
        reason: 'Frost',
        version: (await machine()).version,
      });
    expect((await today()).counts.overdue).toBe(1);
    const laidUp = await change('laidUp', '2027-05-12');
    expect(laidUp.body.lines.map(({ state }) => state)).toEqual(['resting', 'resting']);
    expect((await today()).counts.overdue).toBe(0);
    const back = await change('inService', '2027-05-13');
    expect(lineOf(back.body, 'Engine oil and filter')).toMatchObject({
      state: 'overdue',
      limits: [{ left: -10 }],
    });
    expect((await today()).counts.overdue).toBe(1);
  });

  it('has nothing of a retired machine', async () => {
    const fields = {
      status: 'retired',
      since: '2027-05-13',
      reason: 'Sold',
      version: (await machine()).version,
    };
    const { body } = await send<MachineDetailDto>('POST', `/machines/${yard.crew.machine}/status`, fields);
    expect(body.lines).toEqual([]);
    expect((await today()).machines.map(({ tag }) => tag)).toEqual(['T-2']);
  });
});

describe('what lateness of a line costs', () => {
  it('is usual for its component until the crew lead says otherwise, and decides what comes first', async () => {
    const book = (await yard.ask<BookDto>('GET', `/api/books/${yard.crew.book}`)).body;
    const { name, machineClass, meter } = book;
    const write = (items: readonly object[], version: number) =>
      send<BookDto>('PUT', `/books/${yard.crew.book}`, { name, machineClass, meter, version, items });
    // Both every 50 h and 10 h over; oil ruins, greasing is care.
    const items = book.items.map((item) => ({
      ...item,
      triggers: [{ kind: 'everyHours', hours: 50, meter: 'engine', grid: null }],
      ...(item.name.startsWith('Grease') ? { action: 'grease' } : { component: 'engine oil' }),
    }));
    await write(items, 1);
    const seen = async () =>
      (await machine()).lines.map(({ itemName, consequence }) => [itemName, consequence]);
    expect(await seen()).toEqual([
      ['Engine oil and filter', 'ruin'],
      ['Grease all points', 'care'],
    ]);
    const said = items.map((item) => ({
      ...item,
      consequence: item.name.startsWith('Grease') ? 'ruin' : 'wear',
    }));
    const { body } = await write(said, 2);
    expect(body.items.map(({ consequence }) => consequence)).toEqual(['wear', 'ruin']);
    expect(await seen()).toEqual([
      ['Grease all points', 'ruin'],
      ['Engine oil and filter', 'wear'],
    ]);
    const refused = await write(
      items.map((item) => ({ ...item, consequence: 'dreadful' })),
      3,
    );
    expect(refused.body.errors?.[0]).toMatchObject({ pointer: '#/items/0/consequence' });
  });
});

describe('hours of a loader', () => {
  const { mechanic, open, signOff } = jobActs(() => yard);

  it('are asked for while nobody told about it, and counted from then on', async () => {
    expect(lineOf(await withPins(), PINS.name)).toMatchObject({
      state: 'noRecord',
      limits: [],
      unresolved: [{ code: 'noMeter' }],
    });
    const columns = await yard.ask<{ hours: number }[]>(
      'GET',
      `/api/machines/${yard.crew.machine}/milestones`,
    );
    expect(columns.body.map(({ hours }) => hours)).not.toContain(10);
    // A fifth of 60 h is 12: 2 over the ten.
    expect(lineOf(await withLoader(), PINS.name)).toMatchObject({
      state: 'overdue',
      limits: [{ meter: 'loader', at: 10, left: -2 }],
    });
  });

  const keep = (job: JobDto, itemId: string, over: object) =>
    yard.ask<Answered<JobDto>>('PUT', `/api/jobs/${job.id}/items/${itemId}`, {
      ...mechanic,
      body: { outcome: 'kept', ...over, version: job.items.find((item) => item.itemId === itemId)?.version },
    });

  it('are what a kept part counts that runs on them', async () => {
    const { itemId } = lineOf(await withLoader(), PINS.name);
    const job = (await open([itemId])).body;
    const past = await keep(job, itemId, { untilLife: 12, untilMeter: 'loader' });
    expect(past.body.errors).toMatchObject([
      { pointer: '#/untilLife', detail: expect.stringContaining('loader has 12 h') },
    ]);
    const kept = await keep(job, itemId, { untilLife: 20, untilMeter: 'loader' });
    expect(kept.body.items[0]).toMatchObject({ untilLife: 20, untilMeter: 'loader' });
    expect((await signOff(kept.body)).status).toBe(201);
    // Signed off at 61.5 h of the engine: 12.3 of the loader's, 7.7 left.
    expect(lineOf(await machine(), PINS.name).limits).toMatchObject([{ meter: 'loader', at: 20, left: 7.7 }]);
  });

  it('are refused by their field where the machine has no such meter', async () => {
    const { itemId } = lineOf(await withPins(), PINS.name);
    const refused = await keep((await open([itemId])).body, itemId, { untilLife: 20, untilMeter: 'loader' });
    expect(refused.body.errors).toMatchObject([{ pointer: '#/untilMeter', code: 'unknown' }]);
  });

  it('come from its own readings where a file has them beside a share', async () => {
    const { body: file } = await yard.ask<FleetFileDto>('GET', '/api/fleet/file');
    const [first] = file.machines;
    if (!first) throw new Error('The fleet is too small.');
    const readings = [
      { at: '2027-04-05T12:00:00.000Z', shown: 3 },
      { at: '2027-05-05T12:00:00.000Z', shown: 9 },
    ];
    const machines = [{ ...first, tag: 'L-1', items: [PINS], attachments: [{ ...LOADER, readings }] }];
    const taken = await send<ImportResultDto>('POST', '/fleet/import', {
      file: { ...file, machines },
      isTrial: false,
    });
    expect(taken.status).toBe(201);
    const { body } = await yard.ask<MachineDetailDto[]>('GET', '/api/machines');
    const fresh = body.find(({ tag }) => tag === 'L-1');
    if (!fresh) throw new Error('The machine was not taken in.');
    expect(lineOf(fresh, PINS.name).limits).toMatchObject([{ meter: 'loader', left: expect.any(Number) }]);
    const exported = (await yard.ask<FleetFileDto>('GET', '/api/fleet/file')).body.machines;
    expect(exported.find(({ tag }) => tag === 'L-1')?.attachments).toMatchObject([{ share: null, readings }]);
  });

  it('kept without any limit are refused in a file', async () => {
    const { body: file } = await yard.ask<FleetFileDto>('GET', '/api/fleet/file');
    const [first] = file.machines;
    const point = { book: 'Test book', item: 'Engine oil and filter', on: '2027-05-10', life: 60 };
    const judged = [{ ...point, kind: 'kept', untilLife: null, untilOn: null }];
    const machines = [{ ...first, tag: 'L-2', judged }];
    const refused = await send('POST', '/fleet/import', { file: { ...file, machines }, isTrial: true });
    expect(refused.body.errors).toMatchObject([
      { pointer: '#/file/machines/0/judged/0/untilOn', detail: expect.stringContaining('hours or the day') },
    ]);
  });
});
