import type { DueLineDto, JobDto, MachineDetailDto, ProblemDto, WorkshopDto } from '@yugator/contracts';
import { emptySpecCard } from '@yugator/contracts';
import type { Component } from '@yugator/core';
import { jobActs } from '../testing/jobActs.js';
import { ownLine } from '../testing/ownLine.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();
const { mechanic, open, signOff, tick } = jobActs(() => yard);

type Answer<T> = T & Omit<ProblemDto, 'status'>;

const looked = (name: string, component: Component) =>
  ownLine({ name, action: 'inspect', components: [component] });

const machine = () => `/api/machines/${yard.crew.machine}`;
const ownItems = async () => {
  const items = [looked('Tyres: look over', 'tyres'), looked('Brakes: look over', 'brakes')];
  await yard.ask('PUT', `${machine()}/items`, { body: { items, version: 1 } });
  const { body } = await yard.ask<MachineDetailDto>('GET', machine());
  return Object.fromEntries(body.ownItems.map(({ name, id }) => [name, id]));
};
const line = async (itemId: string): Promise<DueLineDto | undefined> =>
  (await yard.ask<MachineDetailDto>('GET', machine())).body.lines.find((each) => each.itemId === itemId);

async function rule(recheck: string): Promise<void> {
  const { body } = await yard.ask<WorkshopDto>('GET', '/api/site/workshop');
  await yard.ask('PUT', '/api/site/workshop', { body: { ...body, rules: { ...body.rules, recheck } } });
}

const leaveOut = (job: JobDto) => tick(job, 0, { outcome: 'done', leavesOutNext: true });

describe('the check after a clean one', () => {
  it('is made as the book says unless the house rules let it be left out, and never of what can hurt', async () => {
    const items = await ownItems();
    const { body: job } = await open([items['Tyres: look over'] ?? '']);
    expect(job.items[0]).toMatchObject({ mayLeaveOutNext: false, leavesOutNext: false });
    const refused = await leaveOut(job);
    expect([refused.status, (refused.body as unknown as ProblemDto).errors?.[0]?.pointer]).toEqual([
      422,
      '#/leavesOutNext',
    ]);
    await rule('mayLeaveOut');
    expect((await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`)).body.items[0]?.mayLeaveOutNext).toBe(true);
    const path = `/api/jobs/${job.id}/items/${items['Brakes: look over']}`;
    const added = await yard.ask<JobDto>('POST', path, mechanic);
    const brakes = added.body.items.find(({ name }) => name === 'Brakes: look over');
    expect(brakes?.mayLeaveOutNext).toBe(false);
  });

  it('left out is due after two intervals, counted from the hours that were signed, and after one again when voided', async () => {
    const items = await ownItems();
    const tyres = items['Tyres: look over'] ?? '';
    await rule('mayLeaveOut');
    const { body: job } = await leaveOut((await open([tyres])).body);
    expect(job.items[0]).toMatchObject({ outcome: 'done', leavesOutNext: true });
    const signed = await signOff(job);
    expect(signed.status).toBe(201);
    // 61.5 h and twice 50 h.
    expect((await line(tyres))?.limits).toMatchObject([{ rule: { kind: 'leftOut' }, at: 161.5 }]);
    await yard.ask('POST', `/api/records/${job.id}/void`, { body: { reason: 'Other machine' } });
    expect((await line(tyres))?.limits).toMatchObject([{ rule: { kind: 'everyHours' }, at: 50 }]);
  });

  it('cannot be left out after one that found something, and the sign-off says so', async () => {
    const items = await ownItems();
    await rule('mayLeaveOut');
    const tyres = items['Tyres: look over'] ?? '';
    const card = {
      ...emptySpecCard(),
      tyres: [{ axle: 'rear', low: 69, high: 83, sidewallMaximum: 97 }],
    };
    const { body: detail } = await yard.ask<MachineDetailDto>('GET', machine());
    await yard.ask('PUT', `${machine()}/spec`, { body: { spec: card, version: detail.version } });
    const { body: opened } = await open([tyres]);
    const { body: job } = await leaveOut(opened);
    const key = 'tyres.rear';
    const step = { isDone: true, isAcknowledged: true, found: { left: 40, right: 80 }, version: 0 };
    const kept = await yard.ask(`PUT`, `/api/jobs/${job.id}/steps/${key}`, { ...mechanic, body: step });
    expect(kept.status).toBe(200);
    const { body: now } = await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`);
    const refused = await signOff<Answer<JobDto>>(now);
    expect(refused.status).toBe(422);
    expect(refused.body.detail).toContain('"Tyres: look over" was not found clean');
    expect((await line(tyres))?.limits).toMatchObject([{ at: 50 }]);
  });
});

describe('a house rule of one machine', () => {
  const own = [{ way: 'drain.extractor', why: 'the plug sits above the axle' }];
  const put = (ways: object[], version: number, as: 'crewLead' | 'mechanic' = 'crewLead') =>
    yard.ask<Answer<MachineDetailDto>>('PUT', `${machine()}/spec`, {
      as,
      body: { spec: { ...emptySpecCard(), ways }, version },
    });

  it('is followed by its sheets alone, and the sheet knows why', async () => {
    const before = (await open([yard.crew.oil])).body;
    expect(before.setUp).toMatchObject({ rules: { drain: 'plug' }, ways: [] });
    expect((await put(own, 1)).status).toBe(200);
    const { body: job } = await yard.ask<JobDto>('GET', `/api/jobs/${before.id}`);
    expect(job.setUp).toMatchObject({ rules: { drain: 'extractor' }, ways: own });
    const other = await yard.ask<JobDto>('POST', '/api/jobs', {
      ...mechanic,
      body: { machineId: yard.crew.otherMachine, itemIds: [yard.crew.oil] },
    });
    expect(other.body.setUp.rules.drain).toBe('plug');
  });

  it('is one of those that there are, once, with a word why, and the crew lead’s to choose', async () => {
    const faultOf = async (ways: object[], as?: 'mechanic') =>
      (await put(ways, 1, as)).body.errors?.map(({ pointer }) => pointer);
    expect(await faultOf([{ way: 'drain.siphon', why: 'as ever' }])).toEqual(['#/spec/ways/0/way']);
    expect(await faultOf([{ way: 'drain.extractor', why: '' }])).toEqual(['#/spec/ways/0/why']);
    expect(await faultOf([...own, { way: 'drain.plug', why: 'no, by the plug' }])).toHaveLength(1);
    expect(await faultOf(own, 'mechanic')).toEqual(['#/spec/ways']);
    expect((await put([], 1, 'mechanic')).status).toBe(200);
  });
});
