import type { DueLineDto } from '@yugator/contracts';
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
 * The marks of a machine's items, each at the hours its deciding limit is away. A calendar limit stands at the hours that
 * the machine runs until then at its present average; without an average there is no such place, and it is left out.
 * Marks beyond the tape are left out, but what is over stays, at its left end.
 */
export function tapeMarks(
  lines: readonly DueLineDto[],
  hoursPerWeek: number | null,
  today: string,
): TapeMark[] {
  return lines.flatMap((line): TapeMark[] => {
    const mark = { itemId: line.itemId, state: line.state };
    const limit = line.limits[0];
    if (line.state === 'noRecord') return [{ ...mark, kind: 'unknown', at: 1 }];
    if (!limit) return [];
    if (limit.kind === 'hours') return place({ ...mark, kind: 'hours', at: limit.left });
    if (hoursPerWeek === null || limit.on === null) return [];
    return place({ ...mark, kind: 'calendar', at: (daysUntil(limit.on, today) * hoursPerWeek) / 7 });
  });
}

function place(mark: TapeMark): TapeMark[] {
  return mark.at > TAPE_TO ? [] : [{ ...mark, at: Math.max(mark.at, TAPE_FROM + 2) }];
}
