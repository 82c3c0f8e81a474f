import { judgeReading } from './judgeReading.js';
import type { ReadingFault } from './judgeReading.js';
import { lifeHours, roundHours } from './lifeHours.js';
import type { Reading } from './reading.js';
import type { MeterSegment } from './segment.js';
import { segmentAt } from './segment.js';

/** Why a reading of a list cannot be true; `place` counts as they were given. */
export interface PlacedFault {
  readonly place: number;
  readonly shown: number;
  readonly fault: ReadingFault | { readonly code: 'negative' } | { readonly code: 'future' };
}

/**
 * The readings of a meter that cannot be true: less than no hours, still to come, less than one before, or more than the clock allows.
 * `readings` and `segments` in any order; `segments` not empty.
 */
export function sequenceFaults(
  readings: readonly Reading[],
  segments: readonly MeterSegment[],
  now: number,
): PlacedFault[] {
  const ordered = segments.toSorted((a, b) => a.startsAt - b.startsAt);
  const lives = readings
    .map(({ at, shown }, place) => ({
      place,
      at,
      shown,
      life: roundHours(segmentAt(ordered, at).offset + shown),
    }))
    .sort((a, b) => a.at - b.at || a.life - b.life);
  return lives
    .flatMap((reading, index): PlacedFault[] => {
      const { place, shown } = reading;
      if (reading.life < 0) return [{ place, shown, fault: { code: 'negative' } }];
      if (reading.at > now) return [{ place, shown, fault: { code: 'future' } }];
      const before = lives[index - 1];
      const verdict =
        before && before.life >= 0
          ? judgeReading(reading, [{ ...before, life: lifeHours(before.life) }], ordered)
          : null;
      return verdict?.kind === 'refused' ? [{ place, shown, fault: verdict.fault }] : [];
    })
    .sort((a, b) => a.place - b.place);
}
