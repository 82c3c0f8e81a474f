import type { UsePlan } from '../season/usePlan.js';
import type { LayUp } from './standing.js';

/**
 * The times in which a machine rests: between the seasons it takes part in, or since the day (a day number) on which the crew
 * lead laid it up. A machine without a plan rests only when it is laid up so.
 */
export function layUpsOf(plan: UsePlan, laidUpSince: number | null): LayUp[] {
  if (laidUpSince !== null) return [{ since: laidUpSince, until: null }];
  return plan.working.flatMap((span, index) => {
    const next = plan.working[index + 1];
    return next ? [{ since: span.last + 1, until: next.first }] : [];
  });
}

/** Whether one of `layUps` holds on `day`. */
export function isLaidUpOn(layUps: readonly LayUp[], day: number): boolean {
  return layUps.some(({ since, until }) => since <= day && (until === null || day < until));
}
