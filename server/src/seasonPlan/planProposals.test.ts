import type { PlanProposalDto, WeeklyProposalDto } from '@yugator/contracts';
import { addDays, civilDate, instant } from '@yugator/core';
import { faultsOf } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { planActs } from '../testing/planActs.js';
import { yardOfFile } from '../testing/testApp.js';
import { PlanProposals } from './planProposals.js';

const yard = yardOfFile('Europe/London');
const { publish, openWorkshop, readPlan } = planActs(() => yard);

const NOBODY = '00000000-0000-7000-8000-000000000000';
const propose = (cards: object[]) =>
  yard.ask<PlanProposalDto & Refused>('POST', '/api/season-plan/propose', { body: { cards } });
const weekly = async () =>
  (await yard.ask<WeeklyProposalDto>('GET', '/api/season-plan/proposal')).body.proposal;
const proposeWeekly = () => yard.app.get(PlanProposals).proposeWeekly();

/** The oil of the test crew's machine, on the workshop day after so many days or later. */
async function oilCard(after: number) {
  const { today, instance } = await openWorkshop();
  const day = instance.days.find((each) => each.day >= after)?.day ?? 0;
  return {
    machineId: yard.crew.machine,
    on: addDays(civilDate(today), day),
    itemIds: [yard.crew.oil],
    isLocked: true,
  };
}

describe('a plan that the server makes for who asks', () => {
  it('keeps what is locked where it is, says how near it is to the best, and stores nothing', async () => {
    const locked = await oilCard(10);
    const { status, body } = await propose([locked]);
    expect(status).toBe(200);
    const kept = body.cards.find(({ machineId, on }) => machineId === locked.machineId && on === locked.on);
    expect(kept).toMatchObject({ isLocked: true, itemIds: expect.arrayContaining(locked.itemIds) });
    expect(body.bound).toBeLessThanOrEqual(body.cost);
    expect(body.cost - body.bound).toBeLessThanOrEqual(0.01 * body.cost + 1e-6);
    const plan = await readPlan();
    expect([plan.cards, plan.version]).toEqual([[], body.version]);
    // What is proposed can be published as it is.
    const { status: published } = await publish({ cards: body.cards, version: body.version });
    expect(published).toBe(200);
  });

  it('is not of what is none', async () => {
    const locked = await oilCard(10);
    expect(faultsOf((await propose([{ ...locked, machineId: NOBODY }])).body)).toEqual([
      ['#/cards/0/machineId', 'unknown'],
    ]);
    expect((await propose([locked, locked])).status).toBe(422);
  });
});

describe('by itself', () => {
  it('the server proposes once a week what could be better than what is published', async () => {
    const locked = await oilCard(10);
    await proposeWeekly();
    // Nobody published a plan yet.
    expect(await weekly()).toBeNull();
    const { version } = await readPlan();
    await publish({ cards: [{ ...locked, isLocked: false }], version });
    await proposeWeekly();
    const first = await weekly();
    expect(first).toMatchObject({ version: version + 1, madeAt: '2027-05-13T11:00:00.000Z' });
    expect(first?.cards.length).toBeGreaterThan(0);
    // Not again in that week, whose Monday was the 10th; but in the next.
    yard.clock.set(instant('2027-05-16T22:00:00Z'));
    await proposeWeekly();
    expect((await weekly())?.madeAt).toBe(first?.madeAt);
    yard.clock.set(instant('2027-05-17T06:00:00Z'));
    expect(await weekly()).toBeNull();
    await proposeWeekly();
    expect((await weekly())?.madeAt).toBe('2027-05-17T06:00:00.000Z');
    // Once another plan is published it is of no use.
    await publish({ cards: [], version: version + 1 });
    expect(await weekly()).toBeNull();
  });
});
