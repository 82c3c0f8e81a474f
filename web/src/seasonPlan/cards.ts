import { DAILY_WEEKS } from '@yugator/contracts';
import type { SeasonPlanDto, VisitCardFieldsDto } from '@yugator/contracts';
import { addDays, civilDate, daysBetween, placesOf, settledInstance, visitMinutesOf } from '@yugator/core';
import type { PlannerInstance, SeasonPlan } from '@yugator/core';

/** A visit as it lies on the wall: a machine and its work by their places in the plan, a day counted from today. */
export interface Card {
  readonly machine: number;
  readonly day: number;
  readonly items: readonly number[];
  readonly isLocked: boolean;
}

/** Cards as they lie on the wall; work that is no longer planned has gone from them. */
export function cardsOfFields(
  fields: readonly VisitCardFieldsDto[],
  { machines, today }: Pick<SeasonPlanDto, 'machines' | 'today'>,
): Card[] {
  return fields.flatMap(({ machineId, on, itemIds, isLocked }) => {
    const machine = machines.findIndex(({ id }) => id === machineId);
    const items = placesOf(itemIds, machines[machine]?.items ?? []);
    const day = daysBetween(civilDate(today), civilDate(on));
    return items.length ? [{ machine, day, items, isLocked }] : [];
  });
}

/** The cards that are published and still to come. */
export function publishedCards(plan: SeasonPlanDto): Card[] {
  return cardsOfFields(
    plan.cards.filter(({ state }) => state === 'planned'),
    plan,
  );
}

/** The cards of a plan; what is settled stays locked. */
export function cardsOfPlan(plan: SeasonPlan, { machines }: PlannerInstance): Card[] {
  return plan.flatMap((visits, machine) =>
    visits.map(({ day, items }) => ({
      machine,
      day,
      items,
      isLocked: machines[machine]?.locked.some((visit) => visit.day === day) ?? false,
    })),
  );
}

/** Cards as the plan has them, machine by machine. */
export function planOfCards(cards: readonly Card[], { machines }: PlannerInstance): SeasonPlan {
  return machines.map((_machine, at) =>
    cards.filter(({ machine }) => machine === at).sort((a, b) => a.day - b.day),
  );
}

/** Whether a day lies beyond those that are planned to the day: there a visit stands for its week, and nobody is told of it. */
export function isOutlook(day: number): boolean {
  return day >= DAILY_WEEKS * 7;
}

/** Cards as they are published. */
export function toFields(
  cards: readonly Card[],
  { machines, today }: Pick<SeasonPlanDto, 'machines' | 'today'>,
): VisitCardFieldsDto[] {
  return cards.flatMap(({ machine, day, items, isLocked }) => {
    const own = machines[machine];
    if (!own) return [];
    const itemIds = items.flatMap((place) => own.items[place]?.id ?? []);
    return [{ machineId: own.id, on: addDays(civilDate(today), day), itemIds, isLocked }];
  });
}

export function minutesOf({ machine, items }: Card, { machines }: PlannerInstance): number {
  const own = machines[machine];
  return own ? Math.round(visitMinutesOf(own, items)) : 0;
}

/** The instance with the cards that somebody locked as settled, and all others as told. */
export function settledBy(cards: readonly Card[], instance: PlannerInstance): PlannerInstance {
  const locked = cards.filter(({ isLocked }) => isLocked);
  return settledInstance(instance, planOfCards(locked, instance));
}

/** Whether two are the same card: a machine has one visit a day. */
export function isSame(a: Card, b: Card): boolean {
  return a.machine === b.machine && a.day === b.day;
}

/** A card on another day; onto a day on which its machine has a visit already, the work of both is one visit. */
export function moved(cards: readonly Card[], card: Card, day: number): Card[] {
  const others = cards.filter((each) => !isSame(each, card));
  const there = others.find((each) => isSame(each, { ...card, day }));
  const items = [...new Set([...(there?.items ?? []), ...card.items])].sort((a, b) => a - b);
  return [...others.filter((each) => each !== there), { ...card, day, items }];
}
