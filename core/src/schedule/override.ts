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

/** The items of a machine's books as they hold for it. */
export function withOverrides(
  items: readonly ScheduleItem[],
  overrides: readonly ItemOverride[],
): readonly ScheduleItem[] {
  if (overrides.length === 0) return items;
  const byItem = new Map(overrides.map((override) => [override.itemId, override]));
  return items.flatMap((item) => {
    const override = byItem.get(item.id);
    if (!override) return item;
    if (override.isOmitted) return [];
    return {
      ...item,
      triggers: override.triggers ?? item.triggers,
      dutyFactor: override.dutyFactor ?? item.dutyFactor,
      window: override.window ?? item.window,
    };
  });
}
