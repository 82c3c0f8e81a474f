import type { BookDto, BookItemDto } from '@yugator/contracts';
import { withOtherItem } from '@yugator/core';
import { storedComponents, storedIds, storedTriggers, wordsOf } from '../facts/scheduleItem.js';
import type { Book, Item } from '../models/book.model.js';

/** A line as it crosses the wire: other lines of the book are named, not referred to by id. */
function toItemDto(item: Item, nameOf: (id: string) => string): BookItemDto {
  const { id, name, action, minutes, reference, note, windowHours, windowDays, consequence, doneIn } = item;
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
    doneIn,
    triggers: storedTriggers(item.triggers).map((trigger) => withOtherItem(trigger, nameOf)),
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
