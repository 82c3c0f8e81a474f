import { one } from '../dense.js';
import type { PlannerInstance, PlannerMachine } from '../instance.js';
import { seeded } from '../../usage/backTest/seeded.js';
import { inventedSite } from './invented.js';

const ITEMS = 3;
const DAYS = 4;

/** The items that are nearest to their limits, a little by chance. */
function nearest(machine: PlannerMachine, random: () => number): PlannerMachine {
  const used = machine.items.map(
    ({ usedHours, hours, usedDays, days }) => (hours ? usedHours / hours : 0) + (days ? usedDays / days : 0),
  );
  const order = [...used.keys()].sort((a, b) => one(used, b) - one(used, a) + random() - 0.5);
  return { ...machine, locked: [], items: order.slice(0, ITEMS).map((at) => one(machine.items, at)) };
}

/** A site of two machines with three items each and four days, so small that every plan can be tried. */
export function tinySite(seed: number): PlannerInstance {
  const random = seeded(seed);
  const weeks = 3 + (seed % 3) * 2;
  const site = inventedSite({ machines: 2, weeks, seed, load: null, daysPerWeek: 1 });
  const days = [...site.days];
  while (days.length > DAYS) days.splice(Math.floor(random() * days.length), 1);
  const machines = site.machines.map((machine) => {
    const few = nearest(machine, random);
    // Of some machines things come twice within the horizon.
    return seed % 5 === 0 ? { ...few, hoursBy: few.hoursBy.map((hours) => hours * 2.5) } : few;
  });
  const settledOn = days.find(({ day }) => !one(machines, 0).blocked.includes(day));
  if (seed % 4 === 0 && settledOn) {
    const [first] = machines;
    if (first) {
      const items = first.items.map((item, at) => (at === 0 ? { ...item, notBefore: 0 } : item));
      const early = one(items, 0).once?.from ?? 0;
      if (early <= settledOn.day)
        machines[0] = { ...first, items, locked: [{ day: settledOn.day, items: [0] }] };
    }
  }
  if (seed % 3 === 0)
    machines[1] = { ...one(machines, 1), published: [{ day: one(days, 1).day, items: [0], dropCost: 12 }] };
  return {
    ...site,
    machines,
    days: days.map(({ day }) => ({
      day,
      minutes: 60 + Math.floor(random() * 8) * 10,
      bays: random() < 0.3 ? 1 : 2,
    })),
    published: seed % 3 === 0 ? { until: 60, addCost: 8 } : null,
  };
}
