import type { SeasonPlanDto } from '@yugator/contracts';
import { isAtRest } from '@yugator/core';
import type { Card } from './cards.js';
import { dayOn } from './wallWords.js';

/** How much of the time is seen at once, and into how many columns it is cut. */
export const ZOOMS = {
  fortnight: { days: 14, perColumn: 1, word: 'a fortnight' },
  quarter: { days: 84, perColumn: 7, word: 'twelve weeks' },
  half: { days: 182, perColumn: 14, word: 'half a year' },
  year: { days: 364, perColumn: 28, word: 'a year' },
} as const;
export type Zoom = keyof typeof ZOOMS;

/** Machines that are shown at once; more on demand. */
export const ROWS = 60;

/** A column of the wall: a day, a week, two or four. */
export interface ColumnOfDays {
  readonly first: number;
  readonly last: number;
}

export function columnsOf(zoom: Zoom, from: number): ColumnOfDays[] {
  const { days, perColumn } = ZOOMS[zoom];
  return Array.from({ length: days / perColumn }, (_, at) => {
    const first = from + at * perColumn;
    return { first, last: first + perColumn - 1 };
  });
}

export function within<T extends { readonly day: number }>(
  list: readonly T[],
  { first, last }: ColumnOfDays,
): T[] {
  return list.filter(({ day }) => day >= first && day <= last);
}

/** Whether a machine is expected to rest through a column. */
export function rests({ instance }: SeasonPlanDto, machine: number, { first, last }: ColumnOfDays): boolean {
  const own = instance.machines[machine];
  return own !== undefined && isAtRest(own, first, last);
}

/** How many lines fall due in a column, as is expected. */
export function dueIn({ machines, ...plan }: SeasonPlanDto, machine: number, column: ColumnOfDays): number {
  const [from, to] = [dayOn(plan, column.first), dayOn(plan, column.last)];
  const isFirst = column.first === 0;
  return (machines[machine]?.items ?? []).filter(({ expectedOn, state }) => {
    if (isFirst && (state === 'overdue' || state === 'noRecord')) return true;
    return expectedOn !== null && expectedOn <= to && (expectedOn >= from || isFirst);
  }).length;
}

/** Ordered parts that arrive for a machine in a column, by name. */
export function partsIn(
  { machines, instance }: SeasonPlanDto,
  machine: number,
  column: ColumnOfDays,
): string[] {
  const own = instance.machines[machine];
  const parts = (machines[machine]?.items ?? []).flatMap(({ waitsFor }, place) =>
    waitsFor.length && within([{ day: own?.items[place]?.notBefore ?? -1 }], column).length ? waitsFor : [],
  );
  return [...new Set(parts)];
}

export function isNeededIn(
  { instance }: SeasonPlanDto,
  machine: number,
  { first, last }: ColumnOfDays,
): boolean {
  return (instance.machines[machine]?.blocked ?? []).some((day) => day >= first && day <= last);
}

export function cardsByMachine(cards: readonly Card[]): ReadonlyMap<number, Card[]> {
  const byMachine = new Map<number, Card[]>();
  for (const card of cards) byMachine.set(card.machine, [...(byMachine.get(card.machine) ?? []), card]);
  return byMachine;
}

/** Whether a machine with these cards has anything to show in a column. */
export function hasMark(
  plan: SeasonPlanDto,
  own: readonly Card[],
  machine: number,
  column: ColumnOfDays,
): boolean {
  return (
    within(own, column).length > 0 ||
    dueIn(plan, machine, column) > 0 ||
    partsIn(plan, machine, column).length > 0 ||
    (isNeededIn(plan, machine, column) && !rests(plan, machine, column))
  );
}
