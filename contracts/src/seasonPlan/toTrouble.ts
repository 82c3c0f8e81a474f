import { addDays, civilDate } from '@yugator/core';
import type { Trouble } from '@yugator/core';
import type { PlannedMachineDto, PlanTroubleDto } from './seasonPlan.dto.js';

/** A trouble of the plan by names; `machines` in the order of the instance, `today` its day 0. */
export function toTrouble(
  trouble: Trouble,
  machines: readonly PlannedMachineDto[],
  today: string,
): PlanTroubleDto {
  const told = 'machine' in trouble ? machines[trouble.machine] : undefined;
  const places = 'items' in trouble ? trouble.items : [];
  return {
    kind: trouble.kind,
    machine: told ? { id: told.id, tag: told.tag, name: told.name } : null,
    on: 'day' in trouble ? addDays(civilDate(today), trouble.day) : null,
    lines: places.flatMap((place) => told?.items[place]?.name ?? []),
  };
}
