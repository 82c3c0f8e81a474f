import type { Instant } from '../calendar/instant.js';
import { dayNumberAt } from '../calendar/zoneDay.js';
import { lifeHours, roundHours } from './lifeHours.js';
import type { LifeHours } from './lifeHours.js';
import type { LifeReading, Reading } from './reading.js';

/** A stretch of time with one meter: while it lasts, `life = offset + shown`. */
export interface MeterSegment {
  readonly startsAt: Instant;
  /** hours to add to what the meter shows; negative where the meter came with hours of another machine */
  readonly offset: number;
}

/** The first segment of a machine: its meter showed `shownAtStart` when its life stood at `lifeAtStart`. */
export function firstSegment(startsAt: Instant, lifeAtStart: number, shownAtStart: number): MeterSegment {
  return { startsAt, offset: roundHours(lifeAtStart - shownAtStart) };
}

/** The segment after a meter that showed `oldShown` was replaced by one that shows `newShown`. */
export function segmentAfterReplacement(
  before: MeterSegment,
  startsAt: Instant,
  oldShown: number,
  newShown: number,
): MeterSegment {
  return { startsAt, offset: roundHours(before.offset + oldShown - newShown) };
}

/** Hours at which most hour meters begin again from nought. */
export const ROLL_OVER_HOURS = 10_000;

/** The segment after a meter that shows at most `rollsOverAt` hours began again from nought. */
export function segmentAfterRollOver(
  before: MeterSegment,
  startsAt: Instant,
  rollsOverAt: number = ROLL_OVER_HOURS,
): MeterSegment {
  return { startsAt, offset: roundHours(before.offset + rollsOverAt) };
}

/**
 * The segment in force at `at`: the last to have started by then, or the first of all for earlier moments.
 * `segments` is in order of time. Throws a RangeError where it is empty.
 */
export function segmentAt(segments: readonly MeterSegment[], at: Instant): MeterSegment {
  if (segments.length === 1 && segments[0]) return segments[0];
  const found = segments.findLast((segment) => segment.startsAt <= at) ?? segments[0];
  if (!found) throw new RangeError('A meter needs at least one segment.');
  return found;
}

/** The life hours that a reading stands for. */
export function lifeOf(reading: Reading, segments: readonly MeterSegment[]): LifeHours {
  return lifeHours(segmentAt(segments, reading.at).offset + reading.shown);
}

function compareReadings(a: LifeReading, b: LifeReading): number {
  return a.at - b.at || a.life - b.life;
}

/** All readings with their life hours, in order of time (and of life within the same moment). */
export function toLife(readings: readonly Reading[], segments: readonly MeterSegment[]): LifeReading[] {
  const result: LifeReading[] = [];
  let isInOrder = true;
  for (const reading of readings) {
    const made = { at: reading.at, shown: reading.shown, life: lifeOf(reading, segments) };
    const before = result[result.length - 1];
    if (before && compareReadings(before, made) > 0) isInOrder = false;
    result.push(made);
  }
  // Readings mostly come as they were taken, and most fleets have years of them.
  return isInOrder ? result : result.sort(compareReadings);
}

/** Those of `readings` (in order of time) that were taken up to and with `day`, a day number in `timeZone`. */
export function readingsUpTo(
  readings: readonly LifeReading[],
  day: number,
  timeZone: string,
): readonly LifeReading[] {
  const isLater = ({ at }: LifeReading) => dayNumberAt(at, timeZone) > day;
  const last = readings.at(-1);
  return last && isLater(last) ? readings.filter((reading) => !isLater(reading)) : readings;
}
