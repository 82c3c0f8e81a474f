import { readFileSync } from 'node:fs';
import { emptySpecCard } from '@yugator/contracts';
import type { FleetFileDto, ImportResultDto, MachineDto, ProblemDto } from '@yugator/contracts';
import { civilDate, dueOfFleet, HOUSE_WAYS } from '@yugator/core';
import { Ajv2020 as Ajv } from 'ajv/dist/2020.js';
import addFormatsModule from 'ajv-formats';
import { migrator } from '../database/migrator.js';
import { loadDemonstration } from '../demo/loadDemonstration.js';
import { FleetFacts } from '../facts/fleetFacts.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { Seasons } from '../season/seasons.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { SetClock } from '../clock/clock.js';
import { LiveFeed } from '../live/liveFeed.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { NOON, testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';
import { testDatabase } from '../testing/testDatabase.js';
import { ExportFleet } from './exportFleet.js';

const addFormats = addFormatsModule as unknown as typeof addFormatsModule.default;

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
});
afterAll(() => yard.close());

/** What in `value` is not as docs/NAME.schema.json says. */
function schemaFaults(name: string, value: unknown): string[] {
  const text = readFileSync(new URL(`../../../docs/${name}.schema.json`, `file://${__filename}`), 'utf8');
  const ajv = new Ajv({ allErrors: true, allowUnionTypes: true });
  addFormats(ajv);
  const check = ajv.compile(JSON.parse(text) as object);
  check(JSON.parse(JSON.stringify(value)));
  return (check.errors ?? []).map(({ instancePath, message }) => `${instancePath} ${message}`).slice(0, 10);
}

const exported = async () => (await yard.ask<FleetFileDto>('GET', '/api/fleet/file')).body;
const take = (file: unknown, isTrial = false) =>
  yard.ask<ImportResultDto & Omit<ProblemDto, 'status'>>('POST', '/api/fleet/import', {
    body: { file, isTrial },
  });
/** The fleet under other tags, as another crew would send it. */
const renamed = (file: FleetFileDto): FleetFileDto => ({
  ...file,
  machines: file.machines.map((machine) => ({ ...machine, tag: `${machine.tag}x` })),
});
const tags = async () => (await yard.ask<MachineDto[]>('GET', '/api/machines')).body.map(({ tag }) => tag);

describe('a fleet file', () => {
  it('that is taken in gives the same schedules as the fleet it came from', async () => {
    const file = await exported();
    expect(file).toMatchObject({
      format: 'yugator-fleet',
      version: 2,
      machines: [{ tag: 'T-1' }, { tag: 'T-2' }],
    });
    const trial = await take(renamed(file), true);
    expect(trial.body).toEqual({
      machines: 2,
      books: 0,
      seasons: 0,
      readings: 4,
      articles: 0,
      suppliers: 0,
      written: false,
    });
    expect(await tags()).toEqual(['T-1', 'T-2']);
    expect((await take(renamed(file))).body.written).toBe(true);
    const { body } = await yard.ask<MachineDto[]>('GET', '/api/machines');
    const of = (tag: string) => body.find((machine) => machine.tag === tag)?.lines;
    expect(of('T-1x')).toEqual(of('T-1'));
    expect(of('T-1x')).not.toEqual([]);
  });

  it('brings what only one machine has, with its services', async () => {
    const item = {
      name: 'Beacon: look over',
      action: 'inspect' as const,
      components: ['lights' as const],
      minutes: 5,
      renews: [],
      reference: '',
      note: '',
      windowHours: null,
      windowDays: null,
      triggers: [{ kind: 'everyCalendar' as const, count: 3, unit: 'month' as const, inUse: null }],
      consequence: 'ruin' as const,
    };
    const [first] = (await exported()).machines;
    if (!first) throw new Error('The fleet is too small.');
    const declared = [{ book: '', item: item.name, on: '2027-04-01', life: 40 }];
    const own = { ...first, tag: 'B-2', items: [item], declared };
    const file = { ...(await exported()), machines: [own] };
    const refused = await take({
      ...file,
      machines: [{ ...own, declared: [{ ...declared[0], item: 'Horn' }] }],
    });
    expect(refused.body.errors).toMatchObject([
      { pointer: '#/file/machines/0/declared/0/item', detail: 'The machine has no item "Horn" of its own.' },
    ]);
    expect((await take(file)).status).toBe(201);
    const again = (await exported()).machines.find(({ tag }) => tag === 'B-2');
    expect(again).toMatchObject({ items: [item], declared });
    expect(schemaFaults('fleet', { ...file, machines: [again] })).toEqual([]);
    // 1 April and 3 months: 1 July.
    const lines = dueOfFleet(file as FleetFileDto, civilDate('2027-05-13'));
    expect(lines.find((line) => line.item === item.name)).toMatchObject({ dueOn: '2027-07-01' });
  });

  it('brings house rules of its own, and checks after which the next one was left out', async () => {
    const file = await exported();
    const [first] = file.machines;
    const [book] = file.books;
    const [line] = book?.items ?? [];
    if (!first || !book || !line) throw new Error('The fleet is too small.');
    const at = { book: book.name, item: line.name, on: '2027-04-02', life: 50 };
    const judged = [
      { ...at, kind: 'leftOut' as const, untilLife: 260, untilOn: null, meter: 'engine' as const },
    ];
    const spec = { ...emptySpecCard(), ways: [{ way: 'drain.extractor' as const, why: 'the plug is worn' }] };
    const own = { ...first, tag: 'B-4', spec, done: [at], judged };
    expect((await take({ ...file, machines: [own] })).status).toBe(201);
    const again = (await exported()).machines.find(({ tag }) => tag === 'B-4');
    expect(again).toMatchObject({ judged, done: [at], spec: { ways: spec.ways } });
    expect(schemaFaults('fleet', { ...file, machines: [again] })).toEqual([]);
    const { body } = await yard.ask<MachineDto[]>('GET', '/api/machines');
    const shown = body.find(({ tag }) => tag === 'B-4')?.lines.find(({ itemName }) => itemName === line.name);
    expect(shown?.limits).toMatchObject([{ rule: { kind: 'leftOut' }, at: 260 }]);
    const reckoned = dueOfFleet({ ...file, machines: [own] } as FleetFileDto, civilDate('2027-05-13'));
    expect(reckoned.find(({ item }) => item === line.name)).toMatchObject({ dueHours: 260 });
    // The schema names every way that there is.
    const each = [...HOUSE_WAYS.keys()].map((way) => ({
      ...again,
      spec: { ...spec, ways: [{ way, why: 'as ever' }] },
    }));
    expect(schemaFaults('fleet', { ...file, machines: each })).toEqual([]);
  });

  it("brings an attachment's own meter with what it said", async () => {
    const file = await exported();
    const [first] = file.machines;
    if (!first) throw new Error('The fleet is too small.');
    const attachment = {
      kind: 'blower' as const,
      name: 'Blower',
      share: null,
      hoursAtStart: 5,
      engineAtStart: 20,
      segments: [{ startsAt: '2027-01-01T00:00:00.000Z', offset: 2 }],
      readings: [
        { at: '2027-01-05T12:00:00.000Z', shown: 5 },
        { at: '2027-03-05T12:00:00.000Z', shown: 31.5 },
      ],
    };
    const other = { ...first, tag: 'B-1', attachments: [attachment] };
    const backwards = { ...attachment, readings: [...attachment.readings].reverse() };
    backwards.readings[0] = { at: '2027-04-05T12:00:00.000Z', shown: 4 };
    const refused = await take({ ...file, machines: [{ ...other, attachments: [backwards] }] });
    expect(refused.body.errors).toMatchObject([
      { pointer: '#/file/machines/0/attachments/0/readings/0/shown', code: 'backwards' },
    ]);
    expect((await take({ ...file, machines: [other] })).status).toBe(201);
    const again = (await exported()).machines.find(({ tag }) => tag === 'B-1');
    expect(again?.attachments).toEqual([attachment]);
    expect(schemaFaults('fleet', { ...file, machines: [again] })).toEqual([]);
  });

  it('brings what was looked at and kept, until when', async () => {
    const [first] = (await exported()).machines;
    if (!first) throw new Error('The fleet is too small.');
    const judged = [
      {
        book: 'Test book',
        item: 'Engine oil and filter',
        on: '2027-05-10',
        life: 60,
        kind: 'kept' as const,
        untilLife: 80,
        meter: 'engine' as const,
        untilOn: null,
      },
    ];
    const kept = { ...first, tag: 'B-3', judged };
    const file = { ...(await exported()), machines: [kept] };
    expect((await take(file)).status).toBe(201);
    const again = (await exported()).machines.find(({ tag }) => tag === 'B-3');
    expect(again).toMatchObject({ judged });
    expect(schemaFaults('fleet', { ...file, machines: [again] })).toEqual([]);
    // 80 h in place of the 50 that its book has: 20 left at 60.
    const line = dueOfFleet(file as FleetFileDto, civilDate('2027-05-13')).find(
      ({ item }) => item === 'Engine oil and filter',
    );
    expect(line).toMatchObject({ dueHours: 80, left: 20 });
  });

  it('with bad lines has every fault named, and nothing of it is taken in', async () => {
    const file = renamed(renamed(await exported()));
    const [first, second] = file.machines;
    if (!first || !second) throw new Error('The fleet is too small.');
    const bad = {
      ...file,
      machines: [
        { ...first, tag: 'T-1', books: ['Soap'], seasons: [{ season: 'Golf', hoursPerWeek: 3 }] },
        {
          ...second,
          readings: [...second.readings, { at: '2027-05-11T12:00:00Z', shown: 3 }],
          done: [{ book: 'Test book', item: 'Polish', on: '2027-05-01', life: 20 }],
        },
      ],
    };
    const before = await tags();
    const { status, body } = await take(bad);
    expect(status).toBe(422);
    expect(body.errors?.map(({ pointer, code }) => [pointer, code])).toEqual([
      ['#/file/machines/0/tag', 'taken'],
      ['#/file/machines/0/books/0', 'unknown'],
      ['#/file/machines/0/seasons/0/season', 'unknown'],
      ['#/file/machines/1/done/0/item', 'unknown'],
      ['#/file/machines/1/readings/2/shown', 'backwards'],
    ]);
    expect(await tags()).toEqual(before);
  });

  it('with fields that cannot be has each named by its place', async () => {
    const file = await exported();
    const [first] = file.machines;
    const { status, body } = await take({
      ...file,
      version: 3,
      surprise: 1,
      machines: [{ ...first, inServiceOn: '2027-02-30', readings: [{ at: 'noon', shown: -1 }] }],
    });
    expect(status).toBe(422);
    expect(body.errors?.map(({ pointer }) => pointer).sort()).toEqual([
      '#/file/machines/0/inServiceOn',
      '#/file/machines/0/readings/0/at',
      '#/file/machines/0/readings/0/shown',
      '#/file/surprise',
      '#/file/version',
    ]);
  });
});

describe('the answers out of a file', () => {
  it('are those of the screens, for the whole demonstration fleet', async () => {
    const database = await testDatabase();
    await migrator(database.sequelize).up();
    await loadDemonstration(database.sequelize, NOON);
    const calendar = new SiteCalendar(new SetClock(NOON));
    const seasons = new Seasons(new UnitOfWork(database.sequelize, new LiveFeed()));
    const file = await new ExportFleet(new FleetFacts(), calendar, seasons).file();
    const machines = await new FleetSchedule(calendar, seasons, new FleetFacts()).read();
    const ofScreens = machines.flatMap(({ machine, schedule }) =>
      schedule.answers.map(({ item, state, expectedOn, earlyOn, lateOn, deciding }) => ({
        machine: machine.tag,
        item: item.name,
        state,
        expectedOn,
        earlyOn,
        lateOn,
        left: deciding?.left ?? null,
      })),
    );
    const ofFile = dueOfFleet(JSON.parse(JSON.stringify(file)) as FleetFileDto, civilDate('2027-05-13')).map(
      ({ machine, item, state, expectedOn, earlyOn, lateOn, left }) => ({
        machine,
        item,
        state,
        expectedOn,
        earlyOn,
        lateOn,
        left,
      }),
    );
    await database.drop();
    expect(schemaFaults('fleet', file)).toEqual([]);
    expect(ofFile.length).toBeGreaterThan(250);
    expect(ofFile).toEqual(ofScreens);
  });
});
