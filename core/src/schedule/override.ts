import type { OwnWindow, ScheduleItem } from './item.js';
import type { MeterName, Trigger } from './trigger.js';

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

/** Intervals of a machine's own, as they are typed; what is null stays as it is. */
export interface OwnIntervals {
  /** on which meter the hours count */
  readonly meter: MeterName;
  readonly hours: number | null;
  readonly days: number | null;
  readonly months: number | null;
}

/** The triggers with some of their intervals changed; an interval of a kind that they lack is added, all others stay. */
export function withIntervals(triggers: readonly Trigger[], own: OwnIntervals): Trigger[] {
  const changes: Trigger[] = [];
  if (own.hours !== null) {
    changes.push({ kind: 'everyHours', hours: own.hours, meter: own.meter, grid: null });
  }
  if (own.days !== null) changes.push({ kind: 'everyCalendar', count: own.days, unit: 'day', inUse: null });
  if (own.months !== null) {
    changes.push({ kind: 'everyCalendar', count: own.months, unit: 'month', inUse: null });
  }
  return changes.reduce<Trigger[]>(withInterval, [...triggers]);
}

function withInterval(triggers: Trigger[], change: Trigger): Trigger[] {
  const at = triggers.findIndex((trigger) => isOfSameKind(trigger, change));
  const before = triggers[at];
  if (!before) return [...triggers, change];
  if (before.kind === 'everyHours' && change.kind === 'everyHours')
    return triggers.with(at, { ...before, hours: change.hours });
  if (before.kind === 'everyCalendar' && change.kind === 'everyCalendar')
    return triggers.with(at, { ...before, count: change.count });
  return triggers;
}

function isOfSameKind(a: Trigger, b: Trigger): boolean {
  if (a.kind === 'everyHours') return b.kind === 'everyHours' && a.meter === b.meter;
  return a.kind === 'everyCalendar' && b.kind === 'everyCalendar' && a.unit === b.unit;
}
