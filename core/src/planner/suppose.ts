import type { PlannerInstance, PlannerItem, PlannerMachine, WorkshopDay } from './instance.js';

/** What may be supposed, to see what comes of it. */
export type Supposition =
  /** machines run so much more (1.2) or less (0.8) than expected */
  | { readonly kind: 'hours'; readonly factor: number }
  /** in dust air filters last half as long */
  | { readonly kind: 'dust'; readonly itemIds: ReadonlySet<string> }
  /** so much of the hands is away from one day to another, both included */
  | { readonly kind: 'away'; readonly share: number; readonly from: number; readonly until: number }
  /** the workshop is open on these days instead, such as with somebody away; all are days of the plan */
  | { readonly kind: 'open'; readonly days: readonly WorkshopDay[] }
  /** another machine like this one (its place), all of it done lately */
  | { readonly kind: 'another'; readonly machine: number }
  /** what was ordered and is awaited comes so many days later */
  | { readonly kind: 'lateParts'; readonly days: number };

const DUST_FACTOR = 0.5;

function withItems(machine: PlannerMachine, change: (item: PlannerItem) => PlannerItem): PlannerMachine {
  return { ...machine, items: machine.items.map(change) };
}

function inDust(item: PlannerItem, itemIds: ReadonlySet<string>): PlannerItem {
  if (!itemIds.has(item.id) || item.hours === null) return item;
  return { ...item, hours: item.hours * DUST_FACTOR };
}

/** A machine of which nothing is due soon, with no work settled. */
function fresh(machine: PlannerMachine): PlannerMachine {
  const items = machine.items.map((item) => ({
    ...item,
    usedHours: 0,
    usedDays: 0,
    hoursToMark: item.hoursToMark === null ? null : item.hours,
  }));
  return { ...machine, items, locked: [], published: [] };
}

/** The instance as it would be. */
export function suppose(instance: PlannerInstance, supposition: Supposition): PlannerInstance {
  const { machines, days, horizon } = instance;
  switch (supposition.kind) {
    case 'hours': {
      const { factor } = supposition;
      return {
        ...instance,
        machines: machines.map((machine) => ({
          ...machine,
          hoursBy: machine.hoursBy.map((hours) => hours * factor),
          spreadOfWeek: machine.spreadOfWeek * factor,
        })),
      };
    }
    case 'dust':
      return {
        ...instance,
        machines: machines.map((machine) => withItems(machine, (item) => inDust(item, supposition.itemIds))),
      };
    case 'away': {
      const { share, from, until } = supposition;
      const isAway = (day: number) => day >= from && day <= until;
      return {
        ...instance,
        days: days.map((each) =>
          isAway(each.day) ? { ...each, minutes: Math.round(each.minutes * (1 - share)) } : each,
        ),
      };
    }
    case 'open': {
      const open = new Map(supposition.days.map((each) => [each.day, each]));
      // A day stays, with no time left, for what is locked on it.
      return { ...instance, days: days.map(({ day, bays }) => open.get(day) ?? { day, minutes: 0, bays }) };
    }
    case 'another': {
      const machine = machines[supposition.machine];
      return machine ? { ...instance, machines: [...machines, fresh(machine)] } : instance;
    }
    case 'lateParts':
      return {
        ...instance,
        machines: machines.map((machine) =>
          withItems(machine, (item) =>
            item.notBefore > 0
              ? { ...item, notBefore: Math.min(horizon, item.notBefore + supposition.days) }
              : item,
          ),
        ),
      };
  }
}

/** The instance as if nothing had been published, but for what is locked: so that two plans can be held side by side. */
export function unpublished(instance: PlannerInstance): PlannerInstance {
  return {
    ...instance,
    published: null,
    machines: instance.machines.map((machine) => ({ ...machine, published: [] })),
  };
}
