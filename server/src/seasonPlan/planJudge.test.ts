import type { MachineDetailDto, PlanJudgementDto } from '@yugator/contracts';
import { addDays, civilDate } from '@yugator/core';
import { faultsOf } from '../testing/fitActs.js';
import type { Refused } from '../testing/fitActs.js';
import { planActs } from '../testing/planActs.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile('Europe/London');
const { openWorkshop } = planActs(() => yard);
const judge = (cards: object[], as: 'crewLead' | 'operator' = 'crewLead') =>
  yard.ask<PlanJudgementDto & Refused>('POST', '/api/season-plan/judge', { as, body: { cards } });

describe('what is late when it is done', () => {
  it('is told by the schedule, with by how much, and nothing of what is done in time', async () => {
    const { today, instance, machines } = await openWorkshop();
    const { crew } = yard;
    const own = instance.machines.find(({ id }) => id === crew.machine);
    const place = machines
      .find(({ id }) => id === crew.machine)
      ?.items.findIndex(({ id }) => id === crew.oil);
    const oil = own?.items[place ?? -1];
    if (!own || !oil?.hours) throw new Error('The crew has a machine whose oil is changed by hours.');
    const { hours, usedHours } = oil;
    const pastOn = (day: number) => usedHours + (own.hoursBy[day] ?? 0) - hours;
    const card = (day: number) => ({
      machineId: crew.machine,
      on: addDays(civilDate(today), day),
      itemIds: [crew.oil],
      isLocked: false,
    });
    const last = instance.days.at(-1)?.day ?? 0;
    const inTime = instance.days.findLast(({ day }) => pastOn(day) < 0)?.day;
    expect(pastOn(last)).toBeGreaterThan(0);
    const late = (await judge([card(last)])).body.late;
    const { body: machine } = await yard.ask<MachineDetailDto>('GET', `/api/machines/${crew.machine}`);
    expect(late).toEqual([
      {
        machine: { id: machine.id, tag: machine.tag, name: machine.name },
        on: card(last).on,
        line: expect.any(String),
        // To the tenth that a meter shows.
        hours: expect.closeTo(pastOn(last), 0),
        days: 0,
      },
    ]);
    if (inTime !== undefined) expect((await judge([card(inTime)])).body.late).toEqual([]);
    expect((await judge([])).body.late).toEqual([]);
  });

  it('is not told of what is none, nor to everybody', async () => {
    await openWorkshop();
    const card = {
      machineId: yard.crew.machine,
      on: '2027-01-01',
      itemIds: [yard.crew.oil],
      isLocked: false,
    };
    expect(faultsOf((await judge([card])).body)).toEqual([['#/cards/0/on', 'past']]);
    expect((await judge([], 'operator')).status).toBe(403);
  });
});
