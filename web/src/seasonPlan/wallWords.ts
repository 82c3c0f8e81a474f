import type { SeasonPlanDto } from '@yugator/contracts';
import { addDays, civilDate } from '@yugator/core';
import type { FoundPlan, PlanChange } from '@yugator/core';
import { countWords } from '../words/figures.js';

/** The civil day that lies so many days from today. */
export function dayOn({ today }: Pick<SeasonPlanDto, 'today'>, day: number): string {
  return addDays(civilDate(today), day);
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
