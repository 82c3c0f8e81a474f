import type {
  ArticleDto,
  AuditPageDto,
  DefectDto,
  JobDto,
  KnownLifeDto,
  PricePaidDto,
  ProblemDto,
  ReadingDto,
  RecordPageDto,
  RoundDto,
  ShelfMonthDto,
} from '@yugator/contracts';
import { addDays, civilDate, daysBetween, instant, instantOnDay, judgeReading } from '@yugator/core';
import type { LifeHours } from '@yugator/core';
import { Machine } from '../models/machine.model.js';
import { jobActs } from '../testing/jobActs.js';
import { ownLine } from '../testing/ownLine.js';
import { yardOfFile } from '../testing/testApp.js';

/**
 * Sheds far east and far west of Greenwich, at an hour when their day is not that of UTC, at the turn of a month. Meters were last read at
 * three in the afternoon of 10 May in UTC.
 */
const SHEDS = [
  // Eight in the morning of 1 June is still 31 May in UTC.
  {
    timeZone: 'Pacific/Auckland',
    at: '2027-05-31T20:00:00Z',
    day: '2027-06-01',
    utcDay: '2027-05-31',
    lastRead: '2027-05-11',
  },
  // Six in the evening of 31 May is 1 June in UTC already.
  {
    timeZone: 'America/Los_Angeles',
    at: '2027-06-01T01:00:00Z',
    day: '2027-05-31',
    utcDay: '2027-06-01',
    lastRead: '2027-05-10',
  },
];

describe.each(SHEDS)('what happens at a shed in $timeZone', ({ timeZone, at, day, utcDay, lastRead }) => {
  const yard = yardOfFile(timeZone);
  const { open, signOff, tick } = jobActs(() => yard);
  const before = addDays(civilDate(day), -1);
  /** Where a day is given and no hour, its noon stands for it. */
  const noonBefore = new Date(instantOnDay(before, 12, timeZone)).toISOString();
  const machine = () => `/api/machines/${yard.crew.machine}`;
  const readings = async () => (await yard.ask<ReadingDto[]>('GET', `${machine()}/readings`)).body;
  beforeEach(() => {
    yard.clock.set(instant(at));
    // So late, sessions of noon on 13 May have ended.
    return yard.renewTokens();
  });

  it('is dated by its own day: a job, and what is signed off for the day before', async () => {
    const job = (await tick((await open([yard.crew.oil])).body)).body;
    expect(job.openedOn).toBe(day);
    const signed = await signOff<JobDto>(job, { doneOn: before, shown: 61 });
    expect([signed.status, signed.body.record?.doneOn]).toEqual([201, before]);
    expect((await readings())[0]).toMatchObject({ at: noonBefore, shown: 61 });
  });

  it('is dated by its own day: a short line that is done now, with and without a figure', async () => {
    const line = ownLine({ name: 'Dust valve', action: 'inspect', components: ['dustValve'] }, 8, 3);
    await yard.ask('PUT', `${machine()}/items`, { body: { items: [line], version: 1 } });
    const { body } = await yard.ask<{ ownItems: { id: string }[] }>('GET', machine());
    const done = (over: object) =>
      yard.ask('POST', `${machine()}/done`, {
        as: 'operator',
        body: { doneOn: before, itemId: body.ownItems[0]?.id, ...over },
      });
    expect((await done({ shown: 61 })).status).toBe(201);
    expect((await readings())[0]).toMatchObject({ at: noonBefore, shown: 61 });
    expect((await done({ doneOn: addDays(civilDate(day), 1) })).status).toBe(422);
    // As if it had come into service today.
    await Machine.update({ inServiceOn: day, factsRevision: 99 }, { where: { id: yard.crew.machine } });
    expect([(await done({ doneOn: before })).status, (await done({ doneOn: day })).status]).toEqual([
      422, 201,
    ]);
  });

  it('is dated by its own day: a meter that was replaced, and what paper is held against', async () => {
    const fields = { kind: 'replaced', on: before, oldShown: 61, newShown: 2, reason: 'It had stopped' };
    expect((await yard.ask('POST', `${machine()}/meter`, { body: fields })).status).toBe(204);
    expect((await readings()).filter((reading) => reading.at === noonBefore).length).toBeGreaterThan(0);
    const read = { readings: [{ machineId: yard.crew.machine, shown: 2.5 }], readAt: at };
    expect((await yard.ask('POST', '/api/round', { as: 'operator', body: read })).status).toBe(201);
    const known = await yard.ask<KnownLifeDto[]>('GET', `${machine()}/paper-log`);
    expect(known.body.at(-1)).toEqual({ on: day, life: 61.5 });
    const rows = [{ doneOn: before, life: 61, itemIds: [yard.crew.oil], note: '' }];
    expect((await yard.ask('POST', `${machine()}/paper-log`, { body: { rows } })).status).toBe(201);
    const records = await yard.ask<RecordPageDto>('GET', `/api/records?machineId=${yard.crew.machine}`);
    expect(records.body.records[0]).toMatchObject({ doneOn: before, life: 61, shown: 2 });
  });

  it('is dated by its own day: a defect that is taken back', async () => {
    const fields = { words: 'Seat is torn', severity: 'watch' };
    const { body } = await yard.ask<DefectDto[]>('POST', `${machine()}/defects`, { body: fields });
    const voided = await yard.ask<DefectDto>('POST', `/api/defects/${body[0]?.id}/void`, {
      body: { reason: 'It is the other one' },
    });
    expect(voided.body).toMatchObject({ foundOn: day, ended: { on: day } });
  });

  it('is dated by its own day: what the shelf gets, and what came in by months', async () => {
    const cameIn = async () => {
      const { body } = await yard.ask<ShelfMonthDto[]>('GET', '/api/ledger/months');
      return body.find(({ month }) => month === day.slice(0, 7))?.cameIn ?? 0;
    };
    const had = await cameIn();
    const fields = { kind: 'received', quantity: 2, priceMinor: 700 };
    const path = `/api/articles/${yard.crew.kit}/movements`;
    expect((await yard.ask<ArticleDto>('POST', path, { body: fields })).status).toBe(201);
    const prices = await yard.ask<PricePaidDto[]>('GET', `/api/ledger/prices/${yard.crew.kit}`);
    expect(prices.body[0]?.on).toBe(day);
    expect((await cameIn()) - had).toBe(1_400);
  });

  it('is found in the audit by its own day', async () => {
    const [latest] = await readings();
    const voided = await yard.ask('POST', `/api/readings/${latest?.id}/void`, { body: { reason: 'A slip' } });
    expect(voided.status).toBe(204);
    const entries = async (on: string) =>
      (await yard.ask<AuditPageDto>('GET', `/api/audit?act=readingVoided&from=${on}&to=${on}`)).body.entries;
    expect([(await entries(day)).length, (await entries(utcDay)).length]).toEqual([1, 0]);
  });

  it('can be taken back by an operator until its own midnight, and not when only UTC has the same day', async () => {
    const read = { readings: [{ machineId: yard.crew.machine, shown: 61 }], readAt: at };
    const slip = async (now: string) => {
      expect((await yard.ask('POST', '/api/round', { as: 'operator', body: read })).status).toBe(201);
      const [latest] = await readings();
      yard.clock.set(instant(now));
      const asked = { as: 'operator', body: { reason: 'A slip' } } as const;
      return (await yard.ask('POST', `/api/readings/${latest?.id}/void`, asked)).status;
    };
    const midnight = instantOnDay(addDays(civilDate(day), 1), 0, timeZone);
    expect(await slip(new Date(midnight - 60_000).toISOString())).toBe(204);
    yard.clock.set(instant(at));
    expect(await slip(new Date(midnight + 60_000).toISOString())).toBe(403);
  });

  it('finds the same readings unusual on the server as on the screen', async () => {
    const { body } = await yard.ask<RoundDto>('GET', '/api/round');
    const meter = body.meters.find(({ tag }) => tag === 'T-1');
    if (!meter) throw new Error('The machine is not in the round.');
    const readings = meter.readings.map((each) => ({
      at: instant(each.at),
      shown: each.shown,
      life: each.life as LifeHours,
    }));
    const segments = meter.segments.map(({ startsAt, offset }) => ({ startsAt: instant(startsAt), offset }));
    const kindOf = (shown: number) =>
      judgeReading({ at: instant(at), shown }, readings, segments, meter.mostLikelyLife).kind;
    // The largest figure that the screen takes without asking, in tenths of an hour.
    let tenths = Math.round((readings.at(-1)?.shown ?? 0) * 10);
    while (kindOf((tenths + 1) / 10) === 'accepted') tenths += 1;
    const answer = async (shown: number) => {
      const asked = { readings: [{ machineId: meter.machineId, shown }], readAt: at };
      const { body: said } = await yard.ask<ProblemDto>('POST', '/api/round', {
        as: 'operator',
        body: asked,
      });
      return said.errors?.[0]?.code ?? 'accepted';
    };
    expect(kindOf((tenths + 1) / 10)).toBe('unusual');
    expect([await answer((tenths + 1) / 10), await answer(tenths / 10)]).toEqual(['unusual', 'accepted']);
  });

  it('makes a meter stale by its own days', async () => {
    const { body } = await yard.ask<RoundDto>('GET', '/api/round');
    const days = daysBetween(civilDate(lastRead), civilDate(day));
    expect(body.meters.map(({ staleDays }) => staleDays)).toEqual([days, days]);
  });
});
