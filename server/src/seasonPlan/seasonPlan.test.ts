import type {
  LoadAheadDto,
  PlanTroublesDto,
  SeasonPlanDto,
  TodayDto,
  VisitCardFieldsDto,
} from '@yugator/contracts';
import { addDays, civilDate, DROP_COST } from '@yugator/core';
import { faultsOf, fitActs } from '../testing/fitActs.js';
import { jobActs } from '../testing/jobActs.js';
import { CLOSED, planActs, SAID, WEEK } from '../testing/planActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { ready, signOff } = jobActs(() => yard);
const { register, oil, fit, receive, say } = fitActs(() => yard);
const { readDays, writeDays, readPlan, publish, openWorkshop } = planActs(() => yard);

const NOBODY = '00000000-0000-7000-8000-000000000000';

/** A card of the first machine that has work, on the first day of the workshop. */
function cardOf({ machines, instance, today }: SeasonPlanDto): VisitCardFieldsDto {
  const machine = machines.find(({ items }) => items.length > 0);
  const [first] = instance.days;
  if (!machine || !first) throw new Error('There is nothing to plan.');
  const itemIds = machine.items.slice(0, 2).map(({ id }) => id);
  return { machineId: machine.id, on: addDays(civilDate(today), first.day), itemIds, isLocked: false };
}

describe('the plan', () => {
  it('is made from the schedule, the sheets and the days of the workshop', async () => {
    const { instance, machines, weeks } = await openWorkshop();
    expect([weeks, instance.horizon]).toEqual([12, 84]);
    expect(instance.days).toHaveLength(24);
    expect(instance.machines.map(({ id }) => id)).toEqual(machines.map(({ id }) => id));
    for (const [at, { items, setUp, hoursBy }] of instance.machines.entries()) {
      expect(items.map(({ id }) => id)).toEqual(machines[at]?.items.map(({ id }) => id));
      expect(hoursBy).toHaveLength(85);
      for (const { minutes, access } of items) {
        expect(minutes).toBeGreaterThan(0);
        for (const place of access) expect(instance.machines[at]?.access[place]).toBeGreaterThan(0);
      }
      expect(items.length === 0 || setUp > 0).toBe(true);
    }
    expect(instance.machines.some(({ items }) => items.length > 0)).toBe(true);
  });

  it('is of half a year too, where a week beyond twelve is one day', async () => {
    await openWorkshop();
    const { instance } = await readPlan(26);
    expect(instance.horizon).toBe(182);
    const far = instance.days.filter(({ day }) => day >= 84);
    expect(far.map(({ minutes, bays }) => [minutes, bays])).toEqual(
      Array.from({ length: 14 }, () => [480, 4]),
    );
    expect(instance.days.filter(({ day }) => day < 84)).toHaveLength(24);
  });

  it('does nothing before its parts are here, where they were ordered', async () => {
    const plan = await openWorkshop();
    const machine = await register('P-1');
    const mineral = await oil('Larkoil', '10W-30', 'API SN');
    expect((await say(machine.id, [fit('engineOil', mineral, { quantity: 2 })])).status).toBe(200);
    const due = async () => {
      const { instance, machines } = await readPlan();
      const at = machines.findIndex(({ id }) => id === machine.id);
      return instance.machines[at]?.items.filter(({ worth }) => worth > 0).map(({ notBefore }) => notBefore);
    };
    // Nobody ordered any: it can be bought by any day.
    expect(new Set(await due())).toEqual(new Set([0]));
    const supplier = await yard.ask<{ id: string }>('POST', '/api/suppliers', {
      body: { name: 'Larch', leadDays: 2, carriageMinor: 0, freeFromMinor: null, note: '' },
    });
    const line = { articleId: mineral, number: '', pack: 5, packs: 1, priceMinor: 2500 };
    const ordered = await yard.ask('POST', '/api/orders', {
      body: {
        supplierId: supplier.body.id,
        lines: [line],
        carriageMinor: 0,
        expectedOn: addDays(civilDate(plan.today), 9),
        note: '',
      },
    });
    expect(ordered.status).toBe(201);
    expect(new Set(await due())).toEqual(new Set([9]));
    await receive(mineral, 5);
    expect(new Set(await due())).toEqual(new Set([0]));
  });

  it('is published as a whole, and is what the next one is made against', async () => {
    const plan = await openWorkshop();
    const card = cardOf(plan);
    const locked = { ...card, on: addDays(civilDate(card.on), 7), isLocked: true };
    const { status, body } = await publish({ cards: [card, locked], version: plan.version });
    expect([status, body.version, body.publishedBy]).toEqual([200, plan.version + 1, 'crewLead']);
    expect(body.cards.map(({ on, isLocked }) => [on, isLocked])).toEqual([
      [card.on, false],
      [locked.on, true],
    ]);
    expect(body.cards.every(({ minutes }) => minutes > 0)).toBe(true);
    const machine = body.instance.machines.find(({ id }) => id === card.machineId);
    expect(machine?.published).toMatchObject([{ items: [0, 1], dropCost: DROP_COST }]);
    expect(machine?.locked).toMatchObject([{ items: [0, 1] }]);
    expect(body.instance.published).toMatchObject({ until: 28 });
    // Who saw the plan before that one is told.
    expect((await publish({ cards: [], version: plan.version })).status).toBe(409);
    expect((await publish({ cards: [], version: body.version })).body.cards).toEqual([]);
  });

  it.each<[string, (card: VisitCardFieldsDto, today: string) => VisitCardFieldsDto[], string, string]>([
    ['yesterday', (card, today) => [{ ...card, on: addDays(civilDate(today), -1) }], 'on', 'past'],
    ['for a machine that is none', (card) => [{ ...card, machineId: NOBODY }], 'machineId', 'unknown'],
    ['for a line of another machine', (card) => [{ ...card, itemIds: [NOBODY] }], 'itemIds', 'unknown'],
    ['for nothing', (card) => [{ ...card, itemIds: [] }], 'itemIds', 'arrayNotEmpty'],
  ])('has no card %s', async (_what, cardsOf, field, code) => {
    const plan = await openWorkshop();
    const { status, body } = await publish({
      cards: cardsOf(cardOf(plan), plan.today),
      version: plan.version,
    });
    expect([status, faultsOf(body)]).toEqual([422, [[`#/cards/0/${field}`, code]]]);
    expect((await readPlan()).cards).toEqual([]);
  });

  it('is told on Today, as what comes today and tomorrow', async () => {
    const plan = await openWorkshop();
    const card = cardOf(plan);
    const on = (days: number) => ({ ...card, on: addDays(civilDate(plan.today), days) });
    await publish({ cards: [on(1), on(0), on(2)], version: plan.version });
    const { body } = await yard.ask<TodayDto>('GET', '/api/today');
    expect(body.visits.map((visit) => visit.on)).toEqual([plan.today, on(1).on]);
    expect(body.visits[0]).toMatchObject({ itemIds: card.itemIds, isDone: false, openJobId: null });
    expect(body.visits[0]?.lines.every(Boolean)).toBe(true);
  });

  it('tells what was done and what was missed, and plans neither again', async () => {
    const { version } = await openWorkshop();
    const { today } = await readPlan();
    const { crew } = yard;
    const card = { machineId: crew.machine, itemIds: [crew.oil], isLocked: false };
    const kept = { ...card, on: addDays(civilDate(today), 1) };
    await publish({ cards: [kept], version });
    const states = async () => (await readPlan()).cards.map(({ on, state }) => [on, state]);
    expect(await states()).toEqual([[kept.on, 'planned']]);
    await signOff(await ready(), { doneOn: today });
    expect(await states()).toEqual([[kept.on, 'done']]);
    const onToday = async () => (await yard.ask<TodayDto>('GET', '/api/today')).body.visits;
    expect((await onToday()).map(({ on, isDone }) => [on, isDone])).toEqual([[kept.on, true]]);
    const plan = await readPlan();
    expect(plan.instance.machines.find(({ id }) => id === crew.machine)?.published).toEqual([]);
    // It stays told when the next plan is published.
    expect((await publish({ cards: [], version: plan.version })).body.cards).toMatchObject([
      { state: 'done' },
    ]);
    // A card of other work of that machine is not done by the visit.
    const other = { ...card, itemIds: [crew.grease], on: today };
    await publish({ cards: [other], version: (await readPlan()).version });
    expect((await onToday()).map(({ on, isDone }) => [on, isDone])).toEqual([
      [today, false],
      [kept.on, true],
    ]);
  });

  it('says why it no longer holds', async () => {
    const plan = await openWorkshop();
    const card = cardOf(plan);
    const troubles = async () =>
      (await yard.ask<PlanTroublesDto>('GET', '/api/season-plan/troubles')).body.troubles;
    expect(await troubles()).toEqual([]);
    await publish({ cards: [card], version: plan.version });
    const before = await troubles();
    expect(before.filter(({ on }) => on === card.on)).toEqual([]);
    const { version } = await readDays();
    const closed = { on: card.on, minutes: 0, bays: 0, note: 'Rain' };
    await writeDays({ ...SAID, exceptions: [closed], version });
    const machine = plan.machines.find(({ id }) => id === card.machineId);
    expect(await troubles()).toEqual(
      expect.arrayContaining([
        {
          kind: 'closed',
          machine: { id: machine?.id, tag: machine?.tag, name: machine?.name },
          on: card.on,
          lines: [],
        },
      ]),
    );
    for (const as of ['operator', 'viewer'] as const)
      expect((await yard.ask('GET', '/api/season-plan/troubles', { as })).status).toBe(403);
  });

  it('is of no other yearly service than the house may have', async () => {
    const { status } = await yard.ask('GET', '/api/season-plan?weeks=12&annual=summer');
    expect(status).toBe(422);
  });

  it('says what is asked of the workshop in the coming year, and where that is more than there is', async () => {
    const { today } = await openWorkshop();
    const load = async () => (await yard.ask<LoadAheadDto>('GET', '/api/season-plan/load')).body;
    const { weeks } = await load();
    expect([weeks.length, weeks[0]?.from, weeks[1]?.from]).toEqual([52, today, addDays(civilDate(today), 7)]);
    // Tuesdays and Fridays of four hours.
    expect(new Set(weeks.map(({ minutes }) => minutes))).toEqual(new Set([480]));
    expect(weeks.some(({ expected }) => expected > 0)).toBe(true);
    const { version } = await readDays();
    const barely = { minutes: 1, bays: 1 };
    await writeDays({ ...SAID, week: WEEK.map(({ minutes }) => (minutes ? barely : CLOSED)), version });
    const [first] = (await load()).shortages;
    expect(first).toMatchObject({ beginOn: null });
    expect(first?.minutes).toBeGreaterThan(30);
    expect(first?.machines.length).toBeGreaterThan(0);
  });

  it('has one visit of a machine on a day', async () => {
    const plan = await openWorkshop();
    const card = cardOf(plan);
    const { status } = await publish({ cards: [card, card], version: plan.version });
    expect(status).toBe(422);
  });

  it('knows a machine that is registered later', async () => {
    await openWorkshop();
    const { id } = await register('N-1');
    expect((await readPlan(4)).machines.map(({ id }) => id)).toContain(id);
  });
});
