import type { PlannerInstance, PlannerItem, PlannerMachine, SettledVisit } from './instance.js';

/** What somebody settled may be done on its day, whatever speaks against it: parts come in time, and it is not too early. */
function mayBeOn(item: PlannerItem, day: number): PlannerItem {
  const { once, notBefore } = item;
  return {
    ...item,
    notBefore: Math.min(notBefore, day),
    once: once && { ...once, from: Math.min(once.from, day) },
  };
}

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
  const items = machine.items.map((item, place) => {
    const first = locked.filter((visit) => visit.items.includes(place)).map(({ day }) => day);
    return first.length ? mayBeOn(item, Math.min(...first)) : item;
  });
  return { ...machine, items, locked };
}
