import { MS_PER_HOUR } from '../calendar/instant.js';
import { roundHours } from './lifeHours.js';
import type { LifeReading, Reading } from './reading.js';
import { segmentAt } from './segment.js';
import type { MeterSegment } from './segment.js';

/** Why a reading cannot be true beside the others, with the neighbour it contradicts. */
export type ReadingFault =
  | { readonly code: 'backwards'; readonly before: LifeReading }
  | { readonly code: 'aheadOfLater'; readonly after: LifeReading }
  | {
      readonly code: 'fasterThanClock';
      readonly before: LifeReading;
      /** hours the meter grew */
      readonly grown: number;
      /** hours that passed on the clock */
      readonly elapsed: number;
    };

export type ReadingVerdict =
  | { readonly kind: 'accepted'; readonly life: number; readonly grown: number | null }
  /** possible, but beyond what such a machine runs in 99 of 100 cases: to be confirmed */
  | {
      readonly kind: 'unusual';
      readonly life: number;
      readonly grown: number;
      readonly mostLikelyLife: number;
    }
  | { readonly kind: 'refused'; readonly fault: ReadingFault };

/** Meters show whole tenths: two true readings may differ from the clock by one step. */
const METER_STEP = 0.1;

function fasterThanClock(before: LifeReading, after: { at: number; life: number }): ReadingFault | null {
  const grown = roundHours(after.life - before.life);
  const elapsed = (after.at - before.at) / MS_PER_HOUR;
  return grown > elapsed + METER_STEP ? { code: 'fasterThanClock', before, grown, elapsed } : null;
}

/**
 * Whether `reading` can be true beside `others` (the readings that count, in order of time, with their life hours).
 * Refused: less than an earlier reading of its segment, more than a later one, or grown by more than the clock hours that passed.
 * Unusual: the latest reading of all, above `mostLikelyLife` (see UsageModel; null while nothing is known).
 */
export function judgeReading(
  reading: Reading,
  others: readonly LifeReading[],
  segments: readonly MeterSegment[],
  mostLikelyLife: number | null = null,
): ReadingVerdict {
  const life = roundHours(segmentAt(segments, reading.at).offset + reading.shown);
  const before = others.findLast((other) => other.at <= reading.at);
  const after = others.find((other) => other.at > reading.at);
  if (before && life < before.life) return { kind: 'refused', fault: { code: 'backwards', before } };
  if (after && life > after.life) return { kind: 'refused', fault: { code: 'aheadOfLater', after } };
  const fault = before ? fasterThanClock(before, { at: reading.at, life }) : null;
  if (fault) return { kind: 'refused', fault };
  const grown = before ? roundHours(life - before.life) : null;
  if (grown !== null && !after && mostLikelyLife !== null && life > mostLikelyLife) {
    return { kind: 'unusual', life, grown, mostLikelyLife };
  }
  return { kind: 'accepted', life, grown };
}
