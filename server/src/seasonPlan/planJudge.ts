import { Injectable } from '@nestjs/common';
import type {
  JudgePlanDto,
  LateLineDto,
  PlanJudgementDto,
  PlannedItemDto,
  VisitCardFieldsDto,
} from '@yugator/contracts';
import { addDays, civilDate, daysBetween, lateWork, scheduleContext } from '@yugator/core';
import type { CivilDate, LateWork, ScheduleContext } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { fieldProblem } from '../problem/problem.js';
import { mapGently } from '../queue/breather.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { cardsFaults } from './cardsOfPlan.js';
import { SeasonPlans } from './seasonPlan.js';

/** What comes of a plan by the rules of the schedule itself, and by when defects are to be mended. */
@Injectable()
export class PlanJudge {
  constructor(
    private readonly plans: SeasonPlans,
    private readonly schedule: FleetSchedule,
  ) {}

  /** What of these cards is past its limit when it is done, the latest first. */
  async judge({ cards }: JudgePlanDto): Promise<PlanJudgementDto> {
    const { today, machines, scheduled } = await this.plans.facts();
    const faults = cardsFaults(cards, machines, today);
    if (faults.length) throw fieldProblem(...faults);
    const now = await this.schedule.context();
    const contextOn = contexts(now);
    const byMachine = grouped(cards, ({ machineId }) => machineId);
    const toldById = new Map(machines.map(({ told }) => [told.id, told]));
    const late = await mapGently(scheduled, (each): LateLineDto[] => {
      const { id, tag, name } = each.machine;
      const own = byMachine.get(id);
      if (!own) return [];
      const found = lateWork(each, visitsOf(own, today), now, contextOn);
      const names = new Map(each.facts.items.map((item) => [item.id, item.name]));
      return [
        ...found.map((work) => lineOf(work, { id, tag, name }, names, today)),
        ...own.flatMap((card) => lateDefects(card, { id, tag, name }, toldById.get(id)?.items ?? [])),
      ];
    });
    return { late: late.flat().sort((a, b) => b.hours - a.hours || b.days - a.days) };
  }
}

/** The site on each day, each worked out once. */
function contexts(now: ScheduleContext): (on: CivilDate) => ScheduleContext {
  const known = new Map<CivilDate, ScheduleContext>();
  return (on) => {
    const context = known.get(on) ?? scheduleContext(now.site, on);
    known.set(on, context);
    return context;
  };
}

function visitsOf(cards: readonly VisitCardFieldsDto[], today: CivilDate) {
  return cards.map(({ on, itemIds }) => ({ day: daysBetween(today, civilDate(on)), itemIds }));
}

/** Defects of a card that should have been mended before its day. */
function lateDefects(
  { on, itemIds }: VisitCardFieldsDto,
  machine: LateLineDto['machine'],
  items: readonly PlannedItemDto[],
): LateLineDto[] {
  return items
    .filter(({ id, severity }) => severity !== null && itemIds.includes(id))
    .flatMap(({ name: line, expectedOn }) => {
      const days = expectedOn === null ? 0 : daysBetween(civilDate(expectedOn), civilDate(on));
      return days > 0 ? [{ machine, on, line, hours: 0, days }] : [];
    });
}

function lineOf(
  { itemId, day, hours, days }: LateWork,
  machine: LateLineDto['machine'],
  names: ReadonlyMap<string, string>,
  today: CivilDate,
): LateLineDto {
  return { machine, on: addDays(today, day), line: names.get(itemId) ?? '', hours, days };
}
