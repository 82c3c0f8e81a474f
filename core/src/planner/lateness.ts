import { one } from './dense.js';
import type { PlannerItem, PlannerMachine } from './instance.js';

/** How much of an interval is used up on a day, and how much of that since it was last done, or since today. */
export interface Used {
  readonly hours: number;
  readonly hoursSince: number;
  readonly days: number;
  readonly daysSince: number;
}

/** The 10 and 90 % points of a normal spread, in standard deviations. */
export const TENTH = 1.2816;
/** Weights of the 10, 50 and 90 % points that give the mean of three points (Swanson's rule: 0.3, 0.4, 0.3). */
const OUTER = 0.3;
const INNER = 0.4;
/** Beyond so much of the limit lateness is worse: by so much more for each hour or day. */
const STEEPER_FROM = 0.1;
const STEEPER_BY = 1.5;

/** What is counted of so much past a limit. */
export function pastLimit(past: number, limit: number): number {
  return past <= 0 ? 0 : past + STEEPER_BY * Math.max(0, past - STEEPER_FROM * limit);
}

/** The mark of the meter that is next due after so many hours from today; in hours from today. */
function markAfter({ hours, hoursToMark, leastShare }: PlannerItem, at: number): number {
  const every = hours ?? 0;
  const first = hoursToMark ?? 0;
  // Done a little before a mark, it is done for that mark.
  const early = (1 - leastShare) * every;
  return first + every * (Math.floor((at - first + early) / every) + 1);
}

/** What is used up of an item's interval on a day, last done on the day `from`; null: as it stands today. */
export function usedOn(machine: PlannerMachine, item: PlannerItem, from: number | null, on: number): Used {
  const before = from === null ? 0 : one(machine.hoursBy, from);
  const hoursSince = one(machine.hoursBy, on) - before;
  const daysSince = on - (from ?? 0);
  const days = from === null ? item.usedDays + daysSince : daysSince;
  if (item.hoursToMark !== null && item.hours !== null) {
    const mark = from === null ? item.hoursToMark : markAfter(item, before);
    return { hours: item.hours - (mark - before - hoursSince), hoursSince, days, daysSince };
  }
  const hours = from === null ? item.usedHours + hoursSince : hoursSince;
  return { hours, hoursSince, days, daysSince };
}

/** The share of the interval that is used up, by hours or days, whichever is more; above 1 it is overdue. */
export function shareOf({ hours, days }: PlannerItem, used: Used): number {
  return Math.max(hours ? used.hours / hours : 0, days ? used.days / days : 0);
}

/** What lateness costs, in the mean over how the hours may turn out. */
export function latenessCost(machine: PlannerMachine, item: PlannerItem, used: Used): number {
  const byDays = item.days ? item.latePerDay * pastLimit(used.days - item.days, item.days) : 0;
  const { hours: limit } = item;
  if (limit === null) return byDays;
  const byHours = (hours: number) => Math.max(item.latePerHour * pastLimit(hours - limit, limit), byDays);
  if (used.hoursSince <= 0) return byHours(used.hours);
  const spread = Math.hypot(
    machine.spreadOfWeek * Math.sqrt(used.daysSince / 7),
    machine.spreadOfAll * used.hoursSince,
  );
  const away = TENTH * spread;
  return (
    OUTER * byHours(used.hours - Math.min(away, used.hoursSince)) +
    INNER * byHours(used.hours) +
    OUTER * byHours(used.hours + away)
  );
}
