import { onceEach } from '../onceEach.js';
import { dateOfDayNumber } from './civilDate.js';
import { MS_PER_HOUR, offsetAt } from './instant.js';
import type { Instant } from './instant.js';
import type { CivilDate } from './civilDate.js';

const MS_PER_DAY = 24 * MS_PER_HOUR;

/** By zone and UTC day: the offset of the zone all through it, or null where the clocks change on it. */
const offsets = onceEach(() => new Map<number, number | null>());

function offsetOfDay(utcDay: number, timeZone: string): number | null {
  const known = offsets(timeZone);
  const kept = known.get(utcDay);
  if (kept !== undefined) return kept;
  const start = offsetAt(utcDay * MS_PER_DAY, timeZone);
  const offset = start === offsetAt((utcDay + 1) * MS_PER_DAY, timeZone) ? start : null;
  known.set(utcDay, offset);
  return offset;
}

/**
 * The day, as days since 1970-01-01, that a clock in `timeZone` (an IANA name) shows at `at`. Thousands of readings are dated
 * by it, so the zone is asked once a day and remembered. Throws a RangeError for an unknown zone.
 */
export function dayNumberAt(at: Instant, timeZone: string): number {
  const offset = offsetOfDay(Math.floor(at / MS_PER_DAY), timeZone) ?? offsetAt(at, timeZone);
  return Math.floor((at + offset) / MS_PER_DAY);
}

/** The civil date that a clock in `timeZone` (an IANA name) shows at `at`. Throws a RangeError for an unknown zone. */
export function civilDateAt(at: Instant, timeZone: string): CivilDate {
  return dateOfDayNumber(dayNumberAt(at, timeZone));
}
