import type { Action, ScheduleItem } from './item.js';

/** Replacing is more than cleaning, and cleaning more than inspecting. Other actions have nothing below them. */
const STRENGTH: Partial<Record<Action, number>> = { replace: 3, clean: 2, inspect: 1 };

/** Whether doing `action` does all that `other` would on the same component. */
function covers(action: Action, other: Action): boolean {
  return action === other || (STRENGTH[action] ?? 0) > (STRENGTH[other] ?? Infinity);
}

/** What an item is done to, as far as others can be done to the same; what is "something else" is like nothing but itself. */
function subjectsOf({ components, oldWords }: ScheduleItem): readonly string[] {
  if (components.length === 0) return oldWords === '' ? [] : [`words ${oldWords}`];
  return components.includes('other') ? [] : components;
}

/** Whether work on `item` is work on all that `other` is done to. */
function reaches(item: ScheduleItem, other: ScheduleItem): boolean {
  const own = subjectsOf(item);
  const wanted = subjectsOf(other);
  return wanted.length > 0 && wanted.every((subject) => own.includes(subject));
}

/** The items of a schedule by what they are looked up with. */
interface ItemsBy {
  readonly id: ReadonlyMap<string, ScheduleItem>;
  readonly subject: ReadonlyMap<string, readonly ScheduleItem[]>;
}

function itemsBy(items: readonly ScheduleItem[]): ItemsBy {
  const id = new Map<string, ScheduleItem>();
  const subject = new Map<string, ScheduleItem[]>();
  for (const item of items) {
    id.set(item.id, item);
    for (const own of subjectsOf(item)) {
      const group = subject.get(own);
      if (group) group.push(item);
      else subject.set(own, [item]);
    }
  }
  return { id, subject };
}

/** Ids of `item` and of all that it renews: the same or weaker actions on its components, those it names, and what these renew. */
function renewedOf(item: ScheduleItem, by: ItemsBy): string[] {
  const reached = [item];
  for (const done of reached) {
    for (const other of subjectsOf(done).flatMap((subject) => by.subject.get(subject) ?? [])) {
      if (covers(done.action, other.action) && reaches(done, other) && !reached.includes(other)) {
        reached.push(other);
      }
    }
    for (const named of done.renews) {
      const other = by.id.get(named);
      if (other && !reached.includes(other)) reached.push(other);
    }
  }
  return reached.map(({ id }) => id);
}

/** Ids of the items that are as good as done when the item with `id` is done, itself first; those of renewed ones included. */
export function renewedBy(id: string, items: readonly ScheduleItem[]): string[] {
  const by = itemsBy(items);
  const item = by.id.get(id);
  return item ? renewedOf(item, by) : [];
}

/** For each item, the ids of those whose doing renews it, itself included. */
export function renewers(items: readonly ScheduleItem[]): Map<string, string[]> {
  const by = itemsBy(items);
  const result = new Map<string, string[]>();
  for (const item of items) {
    for (const renewed of renewedOf(item, by)) {
      const known = result.get(renewed);
      if (known) known.push(item.id);
      else result.set(renewed, [item.id]);
    }
  }
  return result;
}

/** For each item, the ids of those whose inspection ("inspected, kept") is an inspection of it too. */
export function inspectors(items: readonly ScheduleItem[]): Map<string, string[]> {
  return new Map(
    items
      .filter((item) => item.action === 'inspect')
      .map((item) => [
        item.id,
        items.filter((other) => other !== item && reaches(other, item)).map(({ id }) => id),
      ]),
  );
}

/** What renews what in a list of items. */
export interface Renewals {
  /** by item id: ids of those whose doing renews it, itself included */
  readonly renewing: ReadonlyMap<string, readonly string[]>;
  /** by item id: ids of those whose inspection is an inspection of it too */
  readonly inspecting: ReadonlyMap<string, readonly string[]>;
}

/** Machines that follow the same books share one list of items, which never changes. */
const known = new WeakMap<readonly ScheduleItem[], Renewals>();

/** What renews what among `items`, by way of `omitted` ones too; worked out once for each list where none are omitted. */
export function renewalsOf(items: readonly ScheduleItem[], omitted: readonly ScheduleItem[] = []): Renewals {
  const all = omitted.length ? [...items, ...omitted] : items;
  const kept = known.get(all) ?? { renewing: renewers(all), inspecting: inspectors(all) };
  known.set(all, kept);
  return kept;
}
