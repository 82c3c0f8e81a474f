import { columnOf } from './column.js';
import { one } from './dense.js';
import { visitMinutesOf } from './instance.js';
import type { PlannedVisit, PlannerInstance, SeasonPlan } from './instance.js';
import { machineTable, nodeOfDay } from './tables.js';

/**
 * Judges visits of one machine: what they cost, in minutes; null where they may not be: too early, on a day when it does not come, or past
 * one that is settled.
 */
export function visitsJudge(
  instance: PlannerInstance,
  machine: number,
): (visits: readonly PlannedVisit[]) => number | null {
  const table = machineTable(instance, machine);
  return (visits) => {
    const done = new Uint8Array(table.items.length * table.width);
    for (const { day, items } of visits) {
      const place = instance.days.findIndex((each) => each.day === day);
      const node = place < 0 ? 0 : nodeOfDay(table, place);
      if (node === 0) return null;
      for (const item of items) done[item * table.width + node] = 1;
    }
    const { cost } = columnOf(table, done);
    return cost < Infinity ? cost : null;
  };
}

/** What of a workshop day is taken. */
export interface DayLoad {
  readonly day: number;
  readonly minutes: number;
  readonly bays: number;
  readonly taken: number;
  readonly visits: number;
}

/** Whether more is planned for a day than there is time, or room, for. */
export function isTooFull({ taken, minutes, visits, bays }: DayLoad): boolean {
  return taken > minutes || visits > bays;
}

/** How full each workshop day is by a plan. */
export function dayLoads(instance: PlannerInstance, plan: SeasonPlan): DayLoad[] {
  const taken = new Map<number, { minutes: number; visits: number }>();
  for (const [at, visits] of plan.entries())
    for (const { day, items } of visits) {
      const before = taken.get(day) ?? { minutes: 0, visits: 0 };
      const minutes = visitMinutesOf(one(instance.machines, at), items);
      taken.set(day, { minutes: before.minutes + minutes, visits: before.visits + 1 });
    }
  return instance.days.map(({ day, minutes, bays }) => ({
    day,
    minutes,
    bays,
    taken: taken.get(day)?.minutes ?? 0,
    visits: taken.get(day)?.visits ?? 0,
  }));
}

/** What a plan changes of another, visit by visit. */
export interface PlanChange {
  readonly kept: number;
  /** on the same day, for other work */
  readonly changed: number;
  readonly added: number;
  readonly dropped: number;
}

/** How a plan differs from the one before. */
export function planChange(before: SeasonPlan, after: SeasonPlan): PlanChange {
  const change = { kept: 0, changed: 0, added: 0, dropped: 0 };
  for (const at of after.keys()) {
    const [old, now] = [before[at] ?? [], one(after, at)];
    for (const { day, items } of now) {
      const was = old.find((visit) => visit.day === day);
      if (!was) change.added += 1;
      else if ([...was.items].sort().join() === [...items].sort().join()) change.kept += 1;
      else change.changed += 1;
    }
    change.dropped += old.filter(({ day }) => !now.some((visit) => visit.day === day)).length;
  }
  return change;
}
