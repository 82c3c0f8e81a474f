import type { DueLineDto, LimitDto } from '@yugator/contracts';
import type { DueState } from '@yugator/core';

/** Hours before now and after it that a tape shows, the same for every machine, so that rows can be compared. */
export const TAPE_FROM = -12;
export const TAPE_TO = 60;

const DAY_MS = 86_400_000;

/** A flag or tag on a tape. */
export interface TapeMark {
  readonly itemId: string;
  readonly kind: 'hours' | 'calendar' | 'unknown';
  readonly state: DueState;
  /** hours from now; negative when over */
  readonly at: number;
}

function daysUntil(date: string, today: string): number {
  return (Date.parse(date) - Date.parse(today)) / DAY_MS;
}

/**
 * The marks of a machine's items, each at the engine hours its deciding limit is away. A limit by date, or by the hours of a loader or
 * another attachment, stands at the hours that the engine runs until the day it is expected on at its present average; without an
 * average there is no such place, and it is left out. Marks beyond the tape are left out, but what is over stays, at its left end.
 */
export function tapeMarks(
  lines: readonly DueLineDto[],
  hoursPerWeek: number | null,
  today: string,
): TapeMark[] {
  const hoursUntil = (on: string | null) =>
    hoursPerWeek === null || on === null ? null : (daysUntil(on, today) * hoursPerWeek) / 7;
  return lines.flatMap((line): TapeMark[] => {
    const mark = { itemId: line.itemId, state: line.state };
    const limit = line.limits[0];
    if (line.state === 'noRecord') return [{ ...mark, kind: 'unknown', at: 1 }];
    if (!limit) return [];
    if (limit.kind === 'hours') {
      const at =
        limit.meter === 'engine' ? limit.left : hoursOfAttachment(limit, hoursUntil(limit.expectedOn));
      return at === null ? [] : place({ ...mark, kind: 'hours', at });
    }
    const at = hoursUntil(limit.on);
    return at === null ? [] : place({ ...mark, kind: 'calendar', at });
  });
}

/** Engine hours to a limit on another meter: over is over, at the left end; else as far as the day it is expected on. */
function hoursOfAttachment({ left }: LimitDto, untilExpected: number | null): number | null {
  return left < 0 ? TAPE_FROM : untilExpected;
}

function place(mark: TapeMark): TapeMark[] {
  return mark.at > TAPE_TO ? [] : [{ ...mark, at: Math.max(mark.at, TAPE_FROM + 2) }];
}
