import type { PlannerInstance, PlannerMachine, SeasonPlan, SettledVisit } from './instance.js';

/** A machine with visits that are settled. Those on days without a workshop cannot be kept, and are left out. */
export function withSettled(
  machine: PlannerMachine,
  visits: readonly SettledVisit[],
  { days }: Pick<PlannerInstance, 'days'>,
): PlannerMachine {
  const open = new Set(days.map(({ day }) => day));
  const once = new Set<number>();
  const locked = [...visits]
    .sort((a, b) => a.day - b.day)
    .map(({ day, items }) => ({
      day,
      // What is done once is done on the first of its days.
      items: open.has(day)
        ? items.filter((place) => {
            const isAgain = once.has(place);
            if (machine.items[place]?.once) once.add(place);
            return !isAgain;
          })
        : [],
    }))
    .filter(({ items }) => items.length > 0);
  return { ...machine, locked };
}

/** The instance with these visits as settled, and no others. */
export function settledInstance(instance: PlannerInstance, locked: SeasonPlan): PlannerInstance {
  return {
    ...instance,
    machines: instance.machines.map((machine, at) => withSettled(machine, locked[at] ?? [], instance)),
  };
}
