import { arcParts } from './arc.js';
import type { ArcParts } from './arc.js';
import { one } from './dense.js';
import { visitMinutesOf } from './instance.js';
import type { PlannedVisit, PlannerInstance, SeasonPlan } from './instance.js';

/** What a plan comes to, in minutes of a mechanic or what is worth as much. */
export interface PlanSums extends ArcParts {
  readonly visits: number;
  /** of work, with set-ups and openings */
  readonly minutes: number;
  /** all of it together, but for what it costs to change what was published */
  readonly total: number;
}

/** The parts of all arcs of an item along the visits of its machine. */
function partsOf(
  instance: PlannerInstance,
  machine: number,
  place: number,
  visits: readonly PlannedVisit[],
): ArcParts[] {
  const own = one(instance.machines, machine);
  const of = { instance, machine: own, item: one(own.items, place), place };
  const days = visits.filter(({ items }) => items.includes(place)).map(({ day }) => day);
  return [...days, instance.horizon].flatMap((to, at) => {
    const parts = arcParts(of, { from: days[at - 1] ?? null, to, isEnd: at === days.length });
    return parts ?? [];
  });
}

/** What a plan comes to, by what for. */
export function planSums(instance: PlannerInstance, plan: SeasonPlan): PlanSums {
  let [visits, minutes, late, unready, thrownAway, carried] = [0, 0, 0, 0, 0, 0];
  for (const [at, machine] of instance.machines.entries()) {
    const own = plan[at] ?? [];
    visits += own.length;
    minutes += own.reduce((sum, { items }) => sum + visitMinutesOf(machine, items), 0);
    for (const place of machine.items.keys()) {
      const parts = partsOf(instance, at, place, own);
      for (const each of parts) {
        late += each.late;
        unready += each.unready;
        thrownAway += each.thrownAway;
        carried += each.carried;
      }
    }
  }
  return {
    visits,
    minutes,
    late,
    unready,
    thrownAway,
    carried,
    total: minutes + late + unready + thrownAway + carried,
  };
}
