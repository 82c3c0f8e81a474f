import { daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';

/** Days after which a meter should be read again, where the site has no rule of its own. */
export const STALE_AFTER_DAYS = 8;

/** Days since the last reading where it is stale; null where it is fresh. A machine without any counts from entering service. */
export function staleDays(
  lastRead: CivilDate,
  today: CivilDate,
  staleAfterDays: number = STALE_AFTER_DAYS,
): number | null {
  const days = daysBetween(lastRead, today);
  return days > staleAfterDays ? days : null;
}
