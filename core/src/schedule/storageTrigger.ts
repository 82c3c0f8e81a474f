import { dateOfDayNumber, dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { Standing } from './standing.js';
import type { Storage } from './trigger.js';

/** From when a storage interval counts, and the day it ends, within the same lay-up. */
export interface StorageSpan {
  readonly from: CivilDate;
  readonly on: CivilDate;
}

/**
 * The storage interval that ends next: so many days after the later of the last time and the beginning of the lay-up, as long as
 * the machine still rests then. `lastDone` is null where nothing says when it was. Null where no lay-up is long enough.
 */
export function nextStorage(
  trigger: Storage,
  lastDone: CivilDate | null,
  standing: Standing,
): StorageSpan | null {
  for (const { since, until } of standing.working.layUps) {
    if (until !== null && until <= standing.today) continue;
    const from = lastDone === null ? since : Math.max(since, dayNumber(lastDone));
    const on = from + trigger.days;
    // Beyond ten years nothing is told, and a lay-up without end would go on for ever.
    if (on > standing.horizon) return null;
    if (until === null || on < until) return { from: dateOfDayNumber(from), on: dateOfDayNumber(on) };
  }
  return null;
}
