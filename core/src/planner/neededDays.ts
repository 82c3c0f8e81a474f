import { daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';

/** Days on which a machine must not be missing, the last one included; machineId null: none of them may. */
export interface NeededDays {
  readonly machineId: string | null;
  readonly from: CivilDate;
  readonly until: CivilDate;
}

/** The days, counted from today, on which a machine must not be missing, in order. */
export function blockedDays(
  needed: readonly NeededDays[],
  machineId: string,
  today: CivilDate,
  horizon: number,
): number[] {
  const blocked = new Set<number>();
  for (const each of needed) {
    if (each.machineId !== null && each.machineId !== machineId) continue;
    const last = Math.min(horizon - 1, daysBetween(today, each.until));
    for (let day = Math.max(0, daysBetween(today, each.from)); day <= last; day += 1) blocked.add(day);
  }
  return [...blocked].sort((a, b) => a - b);
}
