import { isComponent, parseTrigger } from '@yugator/core';
import type { Component, ScheduleItem, Trigger } from '@yugator/core';
import { storedList } from '../database/storedJson.js';
import type { Item } from '../models/book.model.js';

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

/** Ids as they are stored. */
export function storedIds(value: unknown): string[] {
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
