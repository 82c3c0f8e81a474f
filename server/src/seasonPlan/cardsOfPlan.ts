import type { FieldFaultDto, VisitCardFieldsDto } from '@yugator/contracts';
import { addDays, civilDate, daysBetween, placesOf } from '@yugator/core';
import type { CivilDate, PlannerInstance, SeasonPlan } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { fault } from '../problem/problem.js';
import type { PlannedMachine } from './planInstance.js';

/** Cards as the plan has them, machine by machine. */
export function planOf(
  cards: readonly Pick<VisitCardFieldsDto, 'machineId' | 'on' | 'itemIds'>[],
  machines: readonly PlannedMachine[],
  today: CivilDate,
): SeasonPlan {
  const byMachine = grouped(cards, ({ machineId }) => machineId);
  return machines.map(({ told }) =>
    (byMachine.get(told.id) ?? [])
      .map(({ on, itemIds }) => ({
        day: daysBetween(today, civilDate(on)),
        items: placesOf(itemIds, told.items),
      }))
      .sort((a, b) => a.day - b.day),
  );
}

/** The cards of a plan; what is settled stays locked. */
export function cardsOf(
  plan: SeasonPlan,
  { machines }: PlannerInstance,
  today: CivilDate,
): VisitCardFieldsDto[] {
  return machines.flatMap(({ id, items: own, locked }, at) =>
    (plan[at] ?? []).map(({ day, items }) => ({
      machineId: id,
      on: addDays(today, day),
      itemIds: items.flatMap((place) => own[place]?.id ?? []),
      isLocked: locked.some((visit) => visit.day === day),
    })),
  );
}

/** What speaks against cards. */
export function cardsFaults(
  cards: readonly VisitCardFieldsDto[],
  machines: readonly PlannedMachine[],
  today: CivilDate,
): FieldFaultDto[] {
  const byId = new Map(machines.map((machine) => [machine.told.id, machine]));
  return cards.flatMap((card, at) => cardFaults(card, byId, today, `/cards/${at}`));
}

function cardFaults(
  { machineId, on, itemIds }: VisitCardFieldsDto,
  machines: ReadonlyMap<string, PlannedMachine>,
  today: CivilDate,
  pointer: string,
): FieldFaultDto[] {
  const machine = machines.get(machineId);
  if (!machine) return [fault(`${pointer}/machineId`, 'unknown', 'This machine is no longer in the fleet.')];
  if (on < today) return [fault(`${pointer}/on`, 'past', 'This day is past. Choose another.')];
  const known = new Set(machine.told.items.map(({ id }) => id));
  return itemIds.every((id) => known.has(id))
    ? []
    : [
        fault(
          `${pointer}/itemIds`,
          'unknown',
          `${machine.told.tag} no longer has one of these lines or defects.`,
        ),
      ];
}
