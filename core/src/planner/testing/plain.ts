import type { PlannerItem, PlannerMachine } from '../instance.js';

/** Work of half an hour that nothing makes due yet. */
export const PLAIN_ITEM: PlannerItem = {
  id: 'oil',
  hours: null,
  days: null,
  usedHours: 0,
  usedDays: 0,
  hoursToMark: null,
  minutes: 30,
  access: [],
  worth: 0,
  latePerHour: 5,
  latePerDay: 1.5,
  leastShare: 0.6,
  notBefore: 0,
  once: null,
  wakesUp: false,
  laysUp: false,
};

/** A machine that runs an hour a day, with ten minutes of set-up. */
export function plainMachine(
  horizon: number,
  items: readonly Partial<PlannerItem>[],
  over: Partial<PlannerMachine> = {},
): PlannerMachine {
  return {
    id: 'm',
    setUp: 10,
    access: [5],
    items: items.map((item) => ({ ...PLAIN_ITEM, ...item })),
    hoursBy: Array.from({ length: horizon + 1 }, (_, day) => day),
    spreadOfWeek: 0,
    spreadOfAll: 0,
    awayCost: Array.from({ length: horizon }, () => 0),
    blocked: [],
    season: null,
    layUp: null,
    locked: [],
    published: [],
    ...over,
  };
}
