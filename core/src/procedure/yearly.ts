import { componentSpec } from '../component/components.js';
import type { Component } from '../component/components.js';
import type { ScheduleItem } from '../schedule/item.js';

/** Before the machine rests, or before it goes out again. */
export type YearlyVisit = 'autumn' | 'spring';

/** When the house has its yearly service; 'split': what stands in over winter before it, the rest in spring. */
export const ANNUAL_RULES = ['autumn', 'spring', 'split'] as const;
export type AnnualRule = (typeof ANNUAL_RULES)[number];

/** A yearly item done in the last half year is not done again. */
export const LEAST_OF_YEAR = 0.5;

/** With the service split, what stands in over winter is changed before it; the rest waits for the spring. */
function isBeforeWinter(component: Component): boolean {
  return componentSpec(component).is === 'fluid' || FLUID_FILTERS.has(component);
}

/** Filters that are changed with a fluid, or that stand in it over winter. */
const FLUID_FILTERS: ReadonlySet<Component> = new Set<Component>([
  'engineOilFilter',
  'fuelFilter',
  'waterSeparator',
  'transmissionFilter',
  'transmissionStrainer',
  'hydroFilters',
  'hydraulicFilters',
]);

function isYearly({ triggers }: Pick<ScheduleItem, 'triggers'>): boolean {
  return triggers.some(
    (trigger) => trigger.kind === 'everyCalendar' && trigger.unit === 'month' && trigger.count === 12,
  );
}

/** The yearly visit in which the house does an item; null of one that is not yearly. */
export function yearlyVisitOf(
  item: Pick<ScheduleItem, 'triggers' | 'components'>,
  annual: AnnualRule,
): YearlyVisit | null {
  if (!isYearly(item)) return null;
  if (annual !== 'split') return annual;
  return item.components.some(isBeforeWinter) ? 'autumn' : 'spring';
}
