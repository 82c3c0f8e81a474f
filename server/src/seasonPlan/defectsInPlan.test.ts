import type {
  DefectDto,
  JobDto,
  PlanJudgementDto,
  PlanTroublesDto,
  RecordPageDto,
  SeasonPlanDto,
  Severity,
  TodayDto,
} from '@yugator/contracts';
import { addDays, civilDate, usualMinutes } from '@yugator/core';
import { faultsOf } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { jobActs } from '../testing/jobActs.js';
import { planActs } from '../testing/planActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { mechanic, open, tick, signOff } = jobActs(() => yard);
const { readPlan, publish, openWorkshop } = planActs(() => yard);

/** Reports a defect of the crew's machine; its id. */
async function report(severity: Severity, words = 'Deck belt is frayed'): Promise<string> {
  const path = `/api/machines/${yard.crew.machine}/defects`;
  const { body } = await yard.ask<DefectDto[]>('POST', path, { ...mechanic, body: { words, severity } });
  const found = body.find((each) => each.words === words);
  if (!found) throw new Error('What was reported is not told.');
  return found.id;
}

/** A defect as the plan has it; null where it is none of its work. */
function plannedDefect({ instance, machines }: SeasonPlanDto, id: string) {
  const at = machines.findIndex((machine) => machine.id === yard.crew.machine);
  const place = machines[at]?.items.findIndex((item) => item.id === id) ?? -1;
  const told = machines[at]?.items[place];
  return told ? { told, item: instance.machines[at]?.items[place] } : null;
}

const cardOn = (on: string, itemIds: string[]) => ({
  machineId: yard.crew.machine,
  on,
  itemIds,
  isLocked: false,
});
const estimate = (id: string, minutes: unknown, as: 'mechanic' | 'operator' = 'mechanic') =>
  yard.ask<DefectDto & Refused>('PUT', `/api/defects/${id}/estimate`, { as, body: { minutes } });
const visitsOfToday = async () => (await yard.ask<TodayDto>('GET', '/api/today')).body.visits;

describe('an open defect', () => {
  it('is work of the plan by how bad it is, until it is mended or taken back', async () => {
    const { today } = await openWorkshop();
    const [soon, stop, watch] = [
      await report('soon'),
      await report('stop', 'Brake does not hold'),
      await report('watch', 'Seat is worn'),
    ];
    const plan = await readPlan();
    expect(plannedDefect(plan, soon)).toMatchObject({
      told: {
        name: 'Mend: Deck belt is frayed',
        severity: 'soon',
        expectedOn: addDays(civilDate(today), 14),
      },
      item: { minutes: usualMinutes('soon'), once: { from: 0, due: 14 } },
    });
    expect(plannedDefect(plan, stop)).toMatchObject({
      told: { severity: 'stop', expectedOn: today },
      item: { minutes: usualMinutes('stop'), once: { due: 0 } },
    });
    expect(plannedDefect(plan, watch)).toBeNull();
    await yard.ask('POST', `/api/defects/${soon}/void`, { body: { reason: 'It was dirt' } });
    expect(plannedDefect(await readPlan(), soon)).toBeNull();
  });

  it('takes in the plan as long as somebody says, and as usual once that is forgotten', async () => {
    await openWorkshop();
    const id = await report('soon');
    expect((await estimate(id, 95)).body.minutes).toBe(95);
    expect(plannedDefect(await readPlan(), id)?.item?.minutes).toBe(95);
    expect((await estimate(id, null)).body.minutes).toBeNull();
    expect(plannedDefect(await readPlan(), id)?.item?.minutes).toBe(usualMinutes('soon'));
    for (const minutes of [0, 6001, 2.5, 'long']) expect((await estimate(id, minutes)).status).toBe(422);
    expect((await estimate(id, 30, 'operator')).status).toBe(403);
    await yard.ask('POST', `/api/defects/${id}/void`, { body: { reason: 'It was dirt' } });
    expect((await estimate(id, 30)).status).toBe(409);
  });

  it('has a card of its own, is told on Today, and is done once a job of it alone mends it', async () => {
    const { today, version } = await openWorkshop();
    const id = await report('soon');
    const { status, body } = await publish({ cards: [cardOn(today, [id])], version });
    expect([status, body.cards.map(({ itemIds, state }) => [itemIds, state])]).toEqual([
      200,
      [[[id], 'planned']],
    ]);
    const own = body.instance.machines.find((machine) => machine.id === yard.crew.machine);
    expect(body.cards[0]?.minutes).toBe(Math.round((own?.setUp ?? 0) + (usualMinutes('soon') ?? 0)));
    expect(await visitsOfToday()).toMatchObject([
      { itemIds: [], lines: ['Mend: Deck belt is frayed'], isDone: false },
    ]);
    const told = async () =>
      (await yard.ask<DefectDto[]>('GET', `/api/machines/${yard.crew.machine}/defects`)).body;
    expect((await told()).map(({ plannedOn }) => plannedOn)).toEqual([today]);
    const { status: opened, body: job } = await open([]);
    expect([opened, job.items, job.defects.map((defect) => defect.id)]).toEqual([201, [], [id]]);
    const nothing = await signOff<Refused>(job, { doneOn: today });
    expect(faultsOf(nothing.body)).toEqual([['#', 'nothingDone']]);
    const signed = await signOff(job, { doneOn: today, mendedDefectIds: [id] });
    expect([signed.status, signed.body.state]).toEqual([201, 'signedOff']);
    expect(signed.body.record).toMatchObject({ items: [], mended: ['Deck belt is frayed'] });
    const { body: found } = await yard.ask<RecordPageDto>('GET', '/api/records?search=frayed');
    expect(found.records.map(({ jobId }) => jobId)).toEqual([job.id]);
    expect(await visitsOfToday()).toMatchObject([{ isDone: true }]);
    const after = await readPlan();
    expect(after.cards.map(({ state }) => state)).toEqual(['done']);
    expect(plannedDefect(after, id)).toBeNull();
    // A record that was a mistake mends nothing.
    await yard.ask('POST', `/api/records/${signed.body.id}/void`, { body: { reason: 'Wrong machine' } });
    expect((await readPlan()).cards.map(({ state }) => state)).toEqual(['planned']);
    // It still says what it said.
    const { body: voided } = await yard.ask<JobDto>('GET', `/api/jobs/${job.id}`);
    expect(voided.record).toMatchObject({
      mended: ['Deck belt is frayed'],
      voided: { reason: 'Wrong machine' },
    });
  });

  it('is opened as a job beside lines, and no job is opened for nothing', async () => {
    const refused = await open([]);
    expect([refused.status, faultsOf(refused.body as JobDto & Refused)]).toEqual([
      422,
      [['#/itemIds', 'nothing']],
    ]);
    const { today, version } = await openWorkshop();
    const id = await report('soon');
    const { crew } = yard;
    await publish({ cards: [cardOn(today, [crew.oil, id])], version });
    expect(await visitsOfToday()).toMatchObject([
      { itemIds: [crew.oil], lines: [expect.any(String), 'Mend: Deck belt is frayed'], isDone: false },
    ]);
    const { body: job } = await tick((await open([crew.oil])).body);
    await signOff(job, { doneOn: today });
    // Its oil was changed, and the defect is still there: it comes again.
    expect(await visitsOfToday()).toMatchObject([{ isDone: true }]);
    expect(plannedDefect(await readPlan(), id)).not.toBeNull();
  });

  it('that comes after publishing and has no visit is why the plan no longer holds', async () => {
    const { today, version } = await openWorkshop();
    const { crew } = yard;
    await publish({ cards: [cardOn(addDays(civilDate(today), 1), [crew.oil])], version });
    const ofDefects = async () =>
      (await yard.ask<PlanTroublesDto>('GET', '/api/season-plan/troubles')).body.troubles.filter(
        ({ lines }) => lines.includes('Mend: Deck belt is frayed'),
      );
    expect(await ofDefects()).toEqual([]);
    const id = await report('soon');
    expect(await ofDefects()).toMatchObject([{ kind: 'notPlanned', lines: ['Mend: Deck belt is frayed'] }]);
    const plan = await readPlan();
    const day = plan.instance.days.find((each) => each.day > 1)?.day ?? 0;
    const cards = [
      cardOn(addDays(civilDate(today), 1), [crew.oil]),
      cardOn(addDays(civilDate(today), day), [id]),
    ];
    expect((await publish({ cards, version: plan.version })).status).toBe(200);
    expect(await ofDefects()).toEqual([]);
  });

  it('is late on a card after the day by which it was to be mended', async () => {
    const { today } = await openWorkshop();
    const id = await report('soon');
    const late = async (days: number) =>
      (
        await yard.ask<PlanJudgementDto>('POST', '/api/season-plan/judge', {
          body: { cards: [cardOn(addDays(civilDate(today), days), [id])] },
        })
      ).body.late;
    expect(await late(14)).toEqual([]);
    expect(await late(18)).toMatchObject([{ line: 'Mend: Deck belt is frayed', hours: 0, days: 4 }]);
  });
});
