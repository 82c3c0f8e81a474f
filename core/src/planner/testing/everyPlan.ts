import { one } from '../dense.js';
import type { PlannedVisit, PlannerInstance, SeasonPlan } from '../instance.js';
import { walked } from './walked.js';

interface OwnPlan {
  readonly visits: readonly PlannedVisit[];
  readonly cost: number;
}

function choices(count: number): number[][] {
  return Array.from({ length: 2 ** count }, (_, bits) =>
    Array.from({ length: count }, (_each, at) => at).filter((at) => (bits >> at) & 1),
  );
}

/** Every plan of one machine by itself that is allowed, the cheapest first. What may not begin so is not gone on with. */
export function ownPlans(instance: PlannerInstance, machine: number): OwnPlan[] {
  const own = one(instance.machines, machine);
  const alone = { ...instance, machines: [own] };
  const sets = choices(own.items.length);
  const mayBegin = (visits: readonly PlannedVisit[], until: number) => {
    const locked = own.locked.filter(({ day }) => day <= until);
    return walked({ ...alone, machines: [{ ...own, locked }] }, [visits]).faults.length === 0;
  };
  const plans: OwnPlan[] = [];
  const add = (at: number, visits: readonly PlannedVisit[]) => {
    if (at === instance.days.length) {
      const { cost, faults } = walked(alone, [visits]);
      if (faults.length === 0) plans.push({ visits, cost });
      return;
    }
    const { day } = one(instance.days, at);
    if (at > 0 && !mayBegin(visits, day - 1)) return;
    for (const items of sets) add(at + 1, items.length ? [...visits, { day, items }] : visits);
  };
  add(0, []);
  return plans.sort((a, b) => a.cost - b.cost);
}

/** The best of all plans of a tiny site of two machines: each tried, the cheapest that fits kept. */
export function bestOfAll(instance: PlannerInstance): { readonly cost: number; readonly plan: SeasonPlan } {
  const [first, second] = [ownPlans(instance, 0), ownPlans(instance, 1)];
  let best: { cost: number; plan: SeasonPlan } = { cost: Infinity, plan: [] };
  for (const a of first)
    for (const b of second) {
      if (a.cost + b.cost >= best.cost) break;
      const plan = [a.visits, b.visits];
      if (walked(instance, plan).faults.length === 0) best = { cost: a.cost + b.cost, plan };
    }
  return best;
}
