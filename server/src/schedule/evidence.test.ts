import type { EvidenceDto, JobDto, MachineDetailDto, ProblemDto } from '@yugator/contracts';
import { instant } from '@yugator/core';
import { Session } from '../session/session.model.js';
import { jobActs } from '../testing/jobActs.js';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeEach(async () => {
  yard = await testApp();
});
afterEach(() => yard.close());
const { mechanic, open, signOff, tick } = jobActs(() => yard);

/** A machine with an item of its own whose bolts are checked every 50 h. */
async function boltsOf(): Promise<string> {
  const path = `/api/machines/${yard.crew.machine}`;
  const bolts = {
    ...{ name: 'Wheel bolts', action: 'tighten', component: 'wheel bolts', minutes: 10, renews: [] },
    ...{ reference: '', note: '', windowHours: null, windowDays: null },
    triggers: [{ kind: 'everyHours', hours: 50, meter: 'engine', grid: null }],
  };
  await yard.ask('PUT', `${path}/items`, { body: { items: [bolts], version: 1 } });
  const { body } = await yard.ask<MachineDetailDto>('GET', path);
  return body.ownItems[0]?.id ?? '';
}

/** A job on `day` of May that found so many of 8 bolts loose. */
async function check(itemId: string, day: number, loose: number): Promise<void> {
  yard.clock.set(instant(`2027-05-${day}T11:00:00Z`));
  const { body: job } = await open([itemId]);
  const step = { isDone: true, isAcknowledged: true, found: { loose, checked: 8 }, version: 0 };
  await yard.ask<JobDto>('PUT', `/api/jobs/${job.id}/steps/bolts.torque`, { ...mechanic, body: step });
  const { body: now } = await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`);
  const done = now.items[0]?.outcome === 'done' ? now : (await tick(now)).body;
  const signed = await signOff(done, { doneOn: `2027-05-${day}`, shown: 60 + day });
  expect(signed.status).toBe(201);
}

const proposals = async () =>
  (await yard.ask<EvidenceDto[]>('GET', `/api/machines/${yard.crew.machine}/evidence`)).body;
const answer = (itemId: string, said: string) =>
  yard.ask<EvidenceDto[] & ProblemDto>('POST', `/api/machines/${yard.crew.machine}/evidence/${itemId}`, {
    body: { answer: said },
  });

describe('what checks found', () => {
  it('good four times in a row proposes half as long again; accepted it departs from the book with its reason', async () => {
    const bolts = await boltsOf();
    for (const day of [14, 15, 16]) await check(bolts, day, 0);
    expect(await proposals()).toEqual([]);
    await check(bolts, 17, 0);
    expect(await proposals()).toMatchObject([
      {
        itemId: bolts,
        kind: 'longer',
        triggers: [{ hours: 75 }],
        checks: [{ isGood: true, life: 74 }, {}, {}, { life: 77 }],
      },
    ]);
    expect((await answer(bolts, 'accepted')).status).toBe(201);
    const { body } = await yard.ask<MachineDetailDto>('GET', `/api/machines/${yard.crew.machine}`);
    expect(body.overrides).toMatchObject([
      { itemId: bolts, triggers: [{ hours: 75 }], reason: 'Longer by evidence: the last 4 checks were good' },
    ]);
    // Settled: only what is found from now on counts.
    expect(await proposals()).toEqual([]);
    expect((await answer(bolts, 'accepted')).status).toBe(409);
  });

  it('bad twice of three proposes half; refused it is not asked again, later it is', async () => {
    const bolts = await boltsOf();
    for (const [day, loose] of [
      [14, 0],
      [15, 2],
      [16, 3],
    ] as const)
      await check(bolts, day, loose);
    expect(await proposals()).toMatchObject([{ kind: 'shorter', triggers: [{ hours: 25 }] }]);
    expect((await answer(bolts, 'maybe')).status).toBe(422);
    await answer(bolts, 'later');
    expect(await proposals()).toEqual([]);
    // Nobody stays signed in for so long; here they do.
    await Session.update({ expiresAt: new Date('2027-12-31') }, { where: {} });
    yard.clock.set(instant('2027-06-14T11:00:00Z'));
    expect(await proposals()).toEqual([]);
    yard.clock.set(instant('2027-06-15T11:00:00Z'));
    expect(await proposals()).toHaveLength(1);
    await answer(bolts, 'refused');
    expect(await proposals()).toEqual([]);
  });
});
