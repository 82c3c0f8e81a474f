import type { SeasonPlanDto } from '@yugator/contracts';
import { addDays, civilDate, edgeOfVisit } from '@yugator/core';
import type { FoundPlan, PlanChange } from '@yugator/core';
import { shortDayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { isOutlook } from './cards.js';
import type { Card } from './cards.js';

/** The civil day that lies so many days from today. */
export function dayOn({ today }: Pick<SeasonPlanDto, 'today'>, day: number): string {
  return addDays(civilDate(today), day);
}

/** When a card is: its day, or about when, of one that stands for its week. */
export function whenWords(plan: Pick<SeasonPlanDto, 'today'>, day: number): string {
  const on = shortDayWords(dayOn(plan, day));
  return isOutlook(day) ? `about ${on}` : on;
}

/** How near a plan is to the best possible. */
export function nearWords({ cost, bound }: Pick<FoundPlan, 'cost' | 'bound'>): string {
  if (bound === -Infinity) return 'nobody knows yet how near it is to the best';
  const gap = Math.max(0, (100 * (cost - bound)) / Math.max(1, Math.abs(cost)));
  return gap < 0.05 ? 'no plan is better' : `no plan is more than ${gap.toFixed(1)} % better`;
}

/** What a plan changes of the published one. */
export function changeWords({ kept, changed, added, dropped }: PlanChange): string {
  return [
    kept ? `${kept} kept` : '',
    changed ? `${changed} with other work` : '',
    added ? `${added} new` : '',
    dropped ? `${dropped} taken back` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

export function visitWords(count: number): string {
  return countWords(count, 'visit');
}

/** Whether a card lays its machine up or wakes it up; '' of all others. */
export function edgeWords({ instance }: SeasonPlanDto, card: Card): string {
  const machine = instance.machines[card.machine];
  const edge = machine ? edgeOfVisit(machine, card) : null;
  return edge === null ? '' : edge === 'layUp' ? 'lay-up' : 'wake-up';
}

/** What a card is for, counted: "2 lines, 1 defect". */
export function workWords({ machines }: SeasonPlanDto, { machine, items }: Card): string {
  const defects = items.filter((place) => machines[machine]?.items[place]?.severity).length;
  const lines = items.length - defects;
  return [lines ? countWords(lines, 'line') : '', defects ? countWords(defects, 'defect') : '']
    .filter(Boolean)
    .join(', ');
}
