import { dayLoads, isTooFull } from './judge.js';
import { one } from './dense.js';
import { shareOf, usedOn } from './lateness.js';
import type { PlannedVisit, PlannerInstance, SeasonPlan } from './instance.js';

/** Why a published plan no longer holds. */
export type Trouble =
  /** work is past its limit on the day it is planned for */
  | {
      readonly kind: 'late';
      readonly machine: number;
      readonly day: number;
      readonly items: readonly number[];
    }
  /** work passes its limit within the published weeks, and no visit is planned that does it */
  | { readonly kind: 'notPlanned'; readonly machine: number; readonly items: readonly number[] }
  /** parts come after the day it is planned for */
  | {
      readonly kind: 'noParts';
      readonly machine: number;
      readonly day: number;
      readonly items: readonly number[];
    }
  /** the workshop is closed, or the machine must not be missing */
  | { readonly kind: 'closed' | 'needed'; readonly machine: number; readonly day: number }
  /** more is planned for a day than there is time or room for */
  | { readonly kind: 'tooFull'; readonly day: number };

/** Work a tenth past its limit is late; until then nobody is troubled. */
const LATE_SHARE = 1.1;

/** The share of its interval that an item has used up on a day, last done on `from`. */
function shareOn(
  instance: PlannerInstance,
  machine: number,
  place: number,
  from: number | null,
  day: number,
) {
  const own = one(instance.machines, machine);
  const item = one(own.items, place);
  if (item.once) return from === null && day > item.once.due ? Infinity : 0;
  return shareOf(item, usedOn(own, item, from, day));
}

/** Items that are late on their day, though they were not before today. */
function lateItems(instance: PlannerInstance, machine: number, visits: readonly PlannedVisit[]): Trouble[] {
  const last = new Map<number, number>();
  return visits.flatMap(({ day, items }): Trouble[] => {
    const late = items.filter((place) => {
      const from = last.get(place) ?? null;
      const now = shareOn(instance, machine, place, from, 0);
      const then = shareOn(instance, machine, place, from, day);
      return then > LATE_SHARE && (from !== null || now <= LATE_SHARE);
    });
    for (const place of items) last.set(place, day);
    return late.length ? [{ kind: 'late', machine, day, items: late }] : [];
  });
}

/** Items that pass their limit until a day and are on no card. */
function notPlanned(
  instance: PlannerInstance,
  machine: number,
  visits: readonly PlannedVisit[],
  until: number,
): Trouble[] {
  const planned = new Set(visits.flatMap(({ items }) => items));
  const items = one(instance.machines, machine).items.flatMap((_item, place) =>
    !planned.has(place) &&
    shareOn(instance, machine, place, null, 0) <= LATE_SHARE &&
    shareOn(instance, machine, place, null, until) > LATE_SHARE
      ? [place]
      : [],
  );
  return items.length ? [{ kind: 'notPlanned', machine, items }] : [];
}

/**
 * Why a plan no longer holds, by what is known today: by machine, then by day. What is late today already is no news; what is on no card
 * is told where it passes its limit before the day `until`.
 */
export function planTroubles(instance: PlannerInstance, plan: SeasonPlan, until: number): Trouble[] {
  const open = new Set(instance.days.map(({ day }) => day));
  const last = Math.min(until, instance.horizon);
  const ofMachines = instance.machines.flatMap((own, machine): Trouble[] => {
    const visits = (plan[machine] ?? []).filter(({ day }) => day < instance.horizon);
    const blocked = new Set(own.blocked);
    return [
      ...visits.flatMap(({ day, items }): Trouble[] => {
        const waiting = items.filter((place) => day < one(own.items, place).notBefore);
        return [
          ...(!open.has(day) ? [{ kind: 'closed', machine, day } as const] : []),
          ...(blocked.has(day) ? [{ kind: 'needed', machine, day } as const] : []),
          ...(waiting.length ? [{ kind: 'noParts', machine, day, items: waiting } as const] : []),
        ];
      }),
      ...lateItems(instance, machine, visits),
      ...notPlanned(instance, machine, visits, last),
    ];
  });
  const full = dayLoads(instance, plan).filter(isTooFull);
  return [...ofMachines, ...full.map(({ day }) => ({ kind: 'tooFull', day }) as const)];
}
