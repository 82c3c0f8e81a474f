import type { BookDto, BookTriggerDto } from '@yugator/contracts';
import type { ScheduleItem, Trigger } from '@yugator/core';
import type { Book, Item, ItemTrigger } from './book.model.js';

function toTrigger(row: ItemTrigger): Trigger {
  if (row.kind === 'everyHours' && row.everyHours !== null)
    return { kind: 'everyHours', hours: row.everyHours };
  if (row.kind === 'everyCalendar' && row.everyCount !== null && row.everyUnit !== null) {
    return { kind: 'everyCalendar', count: row.everyCount, unit: row.everyUnit };
  }
  throw new Error(`Trigger ${row.id} of item ${row.itemId} is incomplete.`);
}

/** A stored line of a book as the schedule reckons with it. */
export function toScheduleItem(item: Item): ScheduleItem {
  return { id: item.id, name: item.name, triggers: (item.triggers ?? []).map(toTrigger) };
}

function toTriggerDto(trigger: Trigger): BookTriggerDto {
  return trigger.kind === 'everyHours'
    ? { kind: trigger.kind, every: trigger.hours, unit: 'hour' }
    : { kind: trigger.kind, every: trigger.count, unit: trigger.unit };
}

export function toBookDto(book: Book): BookDto {
  return {
    id: book.id,
    name: book.name,
    machineClass: book.machineClass,
    items: (book.items ?? [])
      .toSorted((a, b) => a.place - b.place)
      .map((item) => ({
        id: item.id,
        name: item.name,
        minutes: item.minutes,
        triggers: toScheduleItem(item).triggers.map(toTriggerDto),
      })),
  };
}
