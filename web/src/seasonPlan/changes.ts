import type { SeasonPlanDto } from '@yugator/contracts';
import { shortDayWords } from '../words/dates.js';
import type { Card } from './cards.js';
import { dayOn } from './wallWords.js';

/** What is planned otherwise for a machine: its cards before and after. */
export interface MachineChange {
  readonly machine: number;
  readonly before: readonly Card[];
  readonly after: readonly Card[];
}

function byDay(cards: readonly Card[], machine: number): Card[] {
  return cards.filter((card) => card.machine === machine).sort((a, b) => a.day - b.day);
}

function isEqual(a: Card | undefined, b: Card | undefined): boolean {
  return a !== undefined && b !== undefined && a.isLocked === b.isLocked && a.items.join() === b.items.join();
}

/** The machines of which something is planned otherwise, in the order of the plan. */
export function changesOf(before: readonly Card[], after: readonly Card[]): MachineChange[] {
  const machines = [...new Set([...before, ...after].map(({ machine }) => machine))].sort((a, b) => a - b);
  return machines.flatMap((machine) => {
    const [old, now] = [byDay(before, machine), byDay(after, machine)];
    const same =
      old.length === now.length &&
      old.every((card, at) => card.day === now[at]?.day && isEqual(card, now[at]));
    return same ? [] : [{ machine, before: old, after: now }];
  });
}

/** Cards with those of one machine as `from` has them. */
export function withMachine(cards: readonly Card[], machine: number, from: readonly Card[]): Card[] {
  return [...cards.filter((card) => card.machine !== machine), ...byDay(from, machine)];
}

/** What changes day by day: "Tue 1 Dec taken back", "Fri 4 Dec new: Engine oil, Air filter". */
export function changeLines({ machine, before, after }: MachineChange, plan: SeasonPlanDto): string[] {
  const names = (places: readonly number[]) =>
    places.flatMap((place) => plan.machines[machine]?.items[place]?.name ?? []).join(', ');
  const days = [...new Set([...before, ...after].map(({ day }) => day))].sort((a, b) => a - b);
  return days.flatMap((day) => {
    const [old, now] = [before.find((card) => card.day === day), after.find((card) => card.day === day)];
    const on = shortDayWords(dayOn(plan, day));
    if (isEqual(old, now)) return [];
    if (!now) return [`${on} taken back`];
    if (!old) return [`${on} new: ${names(now.items)}`];
    const more = now.items.filter((place) => !old.items.includes(place));
    const less = old.items.filter((place) => !now.items.includes(place));
    const lock = now.isLocked === old.isLocked ? '' : now.isLocked ? 'locked' : 'unlocked';
    const work = [
      more.length ? `also ${names(more)}` : '',
      less.length ? `without ${names(less)}` : '',
      lock,
    ].filter(Boolean);
    return [`${on} ${work.join(', ')}`];
  });
}
