import type { OwnWindow, ScheduleItem } from './item.js';
import type { Trigger } from './trigger.js';

/** How one machine departs from a line of its books, and why. What is null stays as the book has it. */
export interface ItemOverride {
  readonly itemId: string;
  /** the machine has no such part */
  readonly isOmitted: boolean;
  readonly triggers: readonly Trigger[] | null;
  readonly dutyFactor: number | null;
  readonly window: OwnWindow | null;
  readonly reason: string;
}

/** The items of a machine's books as they hold for it, and those that it does not have. */
export interface OwnSchedule {
  readonly items: readonly ScheduleItem[];
  readonly omitted: readonly ScheduleItem[];
}

function overridden(item: ScheduleItem, override: ItemOverride | undefined): ScheduleItem {
  if (!override) return item;
  return {
    ...item,
    triggers: override.triggers ?? item.triggers,
    dutyFactor: override.dutyFactor ?? item.dutyFactor,
    window: override.window ?? item.window,
  };
}

/** What of `items` holds for a machine with `overrides`. */
export function withOverrides(
  items: readonly ScheduleItem[],
  overrides: readonly ItemOverride[],
): OwnSchedule {
  if (overrides.length === 0) return { items, omitted: [] };
  const byItem = new Map(overrides.map((override) => [override.itemId, override]));
  const isOmitted = ({ id }: ScheduleItem) => byItem.get(id)?.isOmitted === true;
  return {
    items: items.filter((item) => !isOmitted(item)).map((item) => overridden(item, byItem.get(item.id))),
    omitted: items.filter(isOmitted),
  };
}
