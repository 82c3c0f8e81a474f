import type { PlannerInstance, PlannerMachine, SettledVisit, WorkshopDay } from './instance.js';

const WEEK = 7;

/** The days of the workshop in a week, of which one stands for all of them. */
interface WeekDays {
  readonly day: number;
  readonly days: readonly number[];
}

/** Visits of days that one day stands for, as visits of that day: of the same day all in one. */
function onItsDay<T extends SettledVisit>(visits: readonly T[], dayOf: (day: number) => number): T[] {
  const byDay = new Map<number, T>();
  for (const visit of visits) {
    const day = dayOf(visit.day);
    const there = byDay.get(day);
    const items = [...new Set([...(there?.items ?? []), ...visit.items])].sort((a, b) => a - b);
    byDay.set(day, { ...visit, day, items });
  }
  return [...byDay.values()].sort((a, b) => a.day - b.day);
}

function ofWeeks(machine: PlannerMachine, weeks: readonly WeekDays[]): PlannerMachine {
  const blocked = new Set(machine.blocked);
  const awayCost = [...machine.awayCost];
  const standsFor = new Map<number, number>();
  for (const { day, days } of weeks) {
    for (const each of days) standsFor.set(each, day);
    const free = days.filter((each) => !machine.blocked.includes(each));
    awayCost[day] = Math.min(...(free.length ? free : days).map((each) => machine.awayCost[each] ?? 0));
    if (free.length) blocked.delete(day);
    else blocked.add(day);
  }
  const dayOf = (day: number) => standsFor.get(day) ?? day;
  return {
    ...machine,
    blocked: [...blocked].sort((a, b) => a - b),
    awayCost,
    locked: onItsDay(machine.locked, dayOf),
    published: onItsDay(machine.published, dayOf),
  };
}

/**
 * The instance with the days of the workshop from `fromDay` on taken together by weeks: one day in the middle of them stands for the week,
 * with the minutes and places of all. What lies far ahead is not known to the day anyway, and a long plan is made in a fraction of the time.
 */
export function coarsen(instance: PlannerInstance, fromDay: number): PlannerInstance {
  const byWeek = new Map<number, WorkshopDay[]>();
  for (const each of instance.days.filter(({ day }) => day >= fromDay)) {
    const week = Math.floor(each.day / WEEK);
    byWeek.set(week, [...(byWeek.get(week) ?? []), each]);
  }
  const weeks = [...byWeek.values()].map((open) => ({
    day: open[open.length >> 1]?.day ?? fromDay,
    minutes: open.reduce((sum, { minutes }) => sum + minutes, 0),
    bays: open.reduce((sum, { bays }) => sum + bays, 0),
    days: open.map(({ day }) => day),
  }));
  return {
    ...instance,
    days: [
      ...instance.days.filter(({ day }) => day < fromDay),
      ...weeks.map(({ day, minutes, bays }) => ({ day, minutes, bays })),
    ],
    machines: instance.machines.map((machine) => ofWeeks(machine, weeks)),
  };
}
