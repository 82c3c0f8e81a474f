import type { BookDto, BookItemDto } from '@yugator/contracts';
import { isComponent, parseTrigger } from '@yugator/core';
import type { Component, ScheduleItem, Trigger } from '@yugator/core';
import { storedList } from '../database/storedJson.js';
import type { Book, Item } from '../models/book.model.js';

/** Triggers as they are stored. Throws where the table holds something else. */
export function storedTriggers(value: unknown): Trigger[] {
  return storedList(value).map((each) => {
    const parsed = parseTrigger(each);
    if ('fault' in parsed) throw new Error(`A stored trigger is wrong: ${parsed.fault}.`);
    return parsed.trigger;
  });
}

/** Components as they are stored. Throws where the table holds something else. */
export function storedComponents(value: unknown): Component[] {
  return storedList(value).map((each) => {
    if (isComponent(each)) return each;
    throw new Error(`A stored component is none: ${String(each)}.`);
  });
}

/** The old words of a stored line, as long as it has nothing better. */
export function wordsOf(item: Item, components: readonly Component[]): string {
  return components.length ? '' : item.oldWords;
}

function storedIds(value: unknown): string[] {
  return storedList(value).map(String);
}

/** A stored line of a book as the schedule reckons with it. */
export function toScheduleItem(item: Item): ScheduleItem {
  const components = storedComponents(item.components);
  return {
    id: item.id,
    name: item.name,
    action: item.action,
    components,
    oldWords: wordsOf(item, components),
    triggers: storedTriggers(item.triggers),
    renews: storedIds(item.renews),
    dutyFactor: 1,
    window: { hours: item.windowHours, days: item.windowDays },
    consequence: item.consequence,
  };
}

/** A line as it crosses the wire: other lines of the book are named, not referred to by id. */
function toItemDto(item: Item, nameOf: (id: string) => string): BookItemDto {
  const { id, name, action, minutes, reference, note, windowHours, windowDays, consequence } = item;
  const components = storedComponents(item.components);
  const component = wordsOf(item, components);
  return {
    id,
    name,
    action,
    components,
    ...(component ? { component } : {}),
    minutes,
    reference,
    note,
    windowHours,
    windowDays,
    consequence,
    triggers: storedTriggers(item.triggers).map((trigger) =>
      trigger.kind === 'everyNth' ? { ...trigger, itemId: nameOf(trigger.itemId) } : trigger,
    ),
    renews: storedIds(item.renews).map(nameOf),
  };
}

/** The lines of a book that are still in it, in their order. */
export function linesOf(book: Book): Item[] {
  return (book.items ?? []).filter(({ dropped }) => !dropped).sort((a, b) => a.place - b.place);
}

/** Lines as they cross the wire, in their order; `items` are all of one book, or of one machine. */
export function toItemDtos(items: readonly Item[]): BookItemDto[] {
  const names = new Map(items.map(({ id, name }) => [id, name]));
  return items.map((item) => toItemDto(item, (other) => names.get(other) ?? ''));
}

/** A book as it crosses the wire, with the tags of the machines that follow it. */
export function toBookDto(book: Book, machines: readonly string[]): BookDto {
  const { id, name, machineClass, meter, version } = book;
  return {
    id,
    name,
    machineClass,
    meter,
    version,
    machines: [...machines],
    items: toItemDtos(linesOf(book)),
  };
}
