import { instantOf } from '@yugator/core';
import { MOST_DAYS_AGO } from '@yugator/contracts';
import type {
  DefectDto,
  JobDto,
  JobProgressDto,
  MachineDetailDto,
  ProblemDto,
  RecordPageDto,
  ReadingDto,
} from '@yugator/contracts';
import { jobActs } from '../testing/jobActs.js';
import { ownLine } from '../testing/ownLine.js';
import { yardOfFile } from '../testing/testApp.js';

/** Noon there, when a test begins. */
const yard = yardOfFile('Europe/London');
const { open } = jobActs(() => yard);

const HOUR = 3_600;
const DAY = 24 * HOUR;
const machine = () => `/api/machines/${yard.crew.machine}`;
const hours = (shown: number, asking: object = {}) =>
  yard.ask<Omit<ProblemDto, 'status'>>('POST', '/api/round', {
    as: 'operator',
    body: { readings: [{ machineId: yard.crew.machine, shown, confirmed: true }] },
    ...asking,
  });
const readings = async () =>
  (await yard.ask<ReadingDto[]>('GET', `${machine()}/readings`)).body.map(({ at, shown }) => ({ at, shown }));
const later = (seconds: number) => yard.clock.set(instantOf(yard.clock.now() + seconds * 1000));

describe('a write that waited for a signal', () => {
  it('is taken as of when it was typed: a reading finds its place beneath later ones', async () => {
    later(DAY);
    expect((await hours(64)).status).toBe(201);
    expect((await hours(62, { ago: 20 * HOUR })).status).toBe(201);
    expect((await readings()).slice(0, 2)).toEqual([
      { at: '2027-05-14T11:00:00.000Z', shown: 64 },
      { at: '2027-05-13T15:00:00.000Z', shown: 62 },
    ]);
  });

  it('is judged against what stands by now: a figure above a later one is refused and comes back', async () => {
    later(DAY);
    await hours(64);
    const refused = await hours(64.5, { ago: 20 * HOUR });
    expect(refused.status).toBe(422);
    expect(refused.body.errors?.[0]).toMatchObject({ pointer: '#/readings/0/shown', code: 'aheadOfLater' });
  });

  it('is taken once, however late it is repeated', async () => {
    later(DAY);
    expect((await hours(62, { ago: 20 * HOUR, key: 'kept-on-phone-1' })).status).toBe(201);
    later(HOUR);
    expect((await hours(62, { ago: 21 * HOUR, key: 'kept-on-phone-1' })).status).toBe(201);
    expect((await readings()).filter(({ shown }) => shown === 62)).toHaveLength(1);
  });

  it.each(['-5', '1.5', 'soon', String(MOST_DAYS_AGO * DAY + 1)])(
    'is refused where its age is %s',
    async (ago) => {
      const before = await readings();
      const refused = await hours(61, { ago });
      expect(refused).toMatchObject({ status: 400, body: { title: 'Too long ago' } });
      expect(await readings()).toEqual(before);
    },
  );

  it('is never taken for what somebody else typed', async () => {
    const refused = await hours(61, { ago: 60, typedBy: yard.crew.people.mechanic });
    expect(refused).toMatchObject({ status: 412, body: { title: 'Typed by somebody else' } });
    expect((await hours(61, { ago: 60, typedBy: yard.crew.people.operator })).status).toBe(201);
  });

  it('is work of its own day: a walk, short work, a top-up, a defect', async () => {
    const dustValve = ownLine(
      { name: 'Dust valve: squeeze', action: 'inspect', components: ['dustValve'] },
      8,
      3,
    );
    const oilSeen = ownLine({ name: 'Mirror: wipe', action: 'clean', components: ['seat'] }, 8, 2);
    await yard.ask('PUT', `${machine()}/items`, { body: { items: [dustValve, oilSeen], version: 1 } });
    const { ownItems } = (await yard.ask<MachineDetailDto>('GET', machine())).body;
    const [valve, mirror] = ownItems.map(({ id }) => id);
    later(DAY);
    const ago = 15 * HOUR; // 20 h on the day before
    const walked = {
      shown: 61,
      itemIds: [valve],
      notWell: [{ look: 'guards', words: 'Guard bent', severity: 'soon' }],
    };
    expect((await yard.ask('POST', `${machine()}/walk`, { as: 'operator', body: walked, ago })).status).toBe(
      201,
    );
    const done = { itemId: mirror, doneOn: '2027-05-13' };
    expect(
      (await yard.ask('POST', `${machine()}/done`, { as: 'operator', body: done, ago: ago - 60 })).status,
    ).toBe(201);
    const reported = { words: 'Belt squeals', severity: 'stop' };
    const { body: defects } = await yard.ask<DefectDto[]>('POST', `${machine()}/defects`, {
      body: reported,
      ago,
    });
    expect(defects.map(({ words, foundOn }) => [words, foundOn])).toEqual([
      ['Guard bent', '2027-05-13'],
      ['Belt squeals', '2027-05-13'],
    ]);
    const { body: after } = await yard.ask<MachineDetailDto>('GET', machine());
    expect(after.lines.find(({ itemId }) => itemId === valve)?.baseline).toEqual({
      kind: 'completion',
      on: '2027-05-13',
      life: 61,
    });
    expect((await readings())[0]).toEqual({ at: '2027-05-13T20:00:00.000Z', shown: 61 });
    expect(after).toMatchObject({ status: 'outOfService', statusSince: '2027-05-13' });
    const { body: page } = await yard.ask<RecordPageDto>('GET', '/api/records?kinds=all');
    expect(page.records.map(({ doneOn }) => doneOn)).toEqual(['2027-05-13', '2027-05-13']);
  });

  it('done on a day that was still to come when it was typed is refused', async () => {
    const line = ownLine({ name: 'Dust valve: squeeze', action: 'inspect', components: ['dustValve'] }, 8, 3);
    await yard.ask('PUT', `${machine()}/items`, { body: { items: [line], version: 1 } });
    const [own] = (await yard.ask<MachineDetailDto>('GET', machine())).body.ownItems;
    later(DAY);
    const body = { itemId: own?.id, doneOn: '2027-05-14' };
    expect((await yard.ask('POST', `${machine()}/done`, { body, ago: 20 * HOUR })).status).toBe(422);
  });
});

describe('what two said of a step without seeing each other', () => {
  const KEY = 'engineOil.dipstick';
  type Says = { as?: 'mechanic' | 'crewLead'; ago?: number; body: object };
  const say = (job: JobDto, { as = 'mechanic', body, ...asking }: Says) =>
    yard.ask<JobProgressDto>('PUT', `/api/jobs/${job.id}/steps/${KEY}`, {
      as,
      body: { version: 0, ...body },
      ...asking,
    });

  it('is both kept: the later stands, the other is shown, in whatever order they arrive', async () => {
    for (const isEarlierFirst of [true, false]) {
      const job = (await open([yard.crew.oil])).body;
      const said: Says[] = [
        { as: 'mechanic', body: { found: { litres: 1.5 } }, ago: 600 },
        { as: 'crewLead', body: { found: { litres: 1.7 } }, ago: 60 },
      ];
      let steps: JobProgressDto['steps'] = [];
      for (const each of isEarlierFirst ? said : said.toReversed()) steps = (await say(job, each)).body.steps;
      expect(steps).toMatchObject([
        {
          found: { litres: 1.7 },
          by: 'crewLead',
          version: 2,
          others: [{ by: 'mechanic', at: '2027-05-13T10:50:00.000Z', found: { litres: 1.5 } }],
        },
      ]);
      await yard.ask('POST', `/api/jobs/${job.id}/drop`, { body: { version: 3 } });
    }
  });

  it('stands alone again once somebody who sees both puts it right', async () => {
    const job = (await open([yard.crew.oil])).body;
    await say(job, { body: { found: { litres: 1.5 } } });
    const two = await say(job, { as: 'crewLead', body: { found: { litres: 1.7 } }, ago: 30 });
    expect(two.body.steps[0]).toMatchObject({ found: { litres: 1.5 }, others: [{ by: 'crewLead' }] });
    const put = await say(job, { body: { found: { litres: 1.6 }, version: 2 } });
    expect(put.body.steps[0]).toMatchObject({ found: { litres: 1.6 }, others: [] });
  });

  it('changes only what it says: a late figure does not take back a tick, nor a late tick a figure', async () => {
    const job = (await open([yard.crew.oil])).body;
    await say(job, { as: 'crewLead', body: { isDone: true, isAcknowledged: true } });
    const figure = await say(job, { body: { found: { litres: 1.5 } }, ago: 300 });
    expect(figure.body.steps[0]).toMatchObject({ isDone: true, by: 'crewLead', found: { litres: 1.5 } });
    const back = await say(job, { body: { isDone: false }, ago: 200 });
    expect(back.body.steps[0]).toMatchObject({ isDone: true, by: 'crewLead', found: { litres: 1.5 } });
    const undone = await say(job, { body: { isDone: false, version: 3 } });
    expect(undone.body.steps[0]).toMatchObject({ isDone: false, by: 'mechanic' });
  });

  it('does not take up a job that was put aside since', async () => {
    const job = (await open([yard.crew.oil])).body;
    await yard.ask('PUT', `/api/jobs/${job.id}/pause`, {
      body: { reason: 'A filter', version: job.version },
    });
    expect(
      (await say(job, { body: { isDone: true, isAcknowledged: true }, ago: 90 })).body.pausedReason,
    ).toBe('A filter');
  });

  it('is refused as before where it comes at once and is based on what stands no longer', async () => {
    const job = (await open([yard.crew.oil])).body;
    await say(job, { body: { isDone: true, isAcknowledged: true } });
    expect((await say(job, { as: 'crewLead', body: { isDone: true } })).status).toBe(409);
  });
});
