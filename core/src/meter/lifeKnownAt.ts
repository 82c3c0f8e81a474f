import type { Instant } from '../calendar/instant.js';
import type { LifeHours } from './lifeHours.js';
import type { LifeReading } from './reading.js';

/**
 * The life hours that were known at `at`: those of the last reading by then, else `atStart`. `readings` is in order of time. What ran
 * since is not guessed: work that counts from here falls due too early rather than too late.
 */
export function lifeKnownAt(readings: readonly LifeReading[], at: Instant, atStart: LifeHours): LifeHours {
  return readings.findLast((reading) => reading.at <= at)?.life ?? atStart;
}
