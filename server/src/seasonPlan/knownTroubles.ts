import { toTrouble } from '@yugator/contracts';
import type { PlannedMachineDto, PlanTroubleDto } from '@yugator/contracts';
import { addDays } from '@yugator/core';
import type { CivilDate, Trouble } from '@yugator/core';

/** What a trouble is about, each of its lines by itself: the same words on every day. */
function keysOf(trouble: Trouble, machines: readonly PlannedMachineDto[], today: CivilDate): string[] {
  const told = 'machine' in trouble ? machines[trouble.machine] : undefined;
  const on = 'day' in trouble ? addDays(today, trouble.day) : '';
  const about = `${trouble.kind} ${told?.id ?? ''} ${on}`;
  return 'items' in trouble
    ? trouble.items.map((place) => `${about} ${told?.items[place]?.id ?? ''}`)
    : [about];
}

/** Tells troubles apart from those that were known when the plan was published. */
export class KnownTroubles {
  constructor(
    private readonly machines: readonly PlannedMachineDto[],
    private readonly today: CivilDate,
  ) {}

  keys(troubles: readonly Trouble[]): string[] {
    return troubles.flatMap((trouble) => keysOf(trouble, this.machines, this.today));
  }

  /** Those of which something is new since, with what is new of them. */
  unknown(troubles: readonly Trouble[], known: ReadonlySet<string>): PlanTroubleDto[] {
    return troubles.flatMap((trouble) => {
      const { machines, today } = this;
      const isNew = keysOf(trouble, machines, today).map((key) => !known.has(key));
      if (!isNew.includes(true)) return [];
      const left =
        'items' in trouble ? { ...trouble, items: trouble.items.filter((_place, at) => isNew[at]) } : trouble;
      return [toTrouble(left, machines, today)];
    });
  }
}
