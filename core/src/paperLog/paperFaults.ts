import type { CivilDate } from '../calendar/civilDate.js';
import { dayNumber } from '../calendar/civilDate.js';

/** A service as the paper has it. */
export interface PaperRow {
  readonly on: CivilDate;
  /** life hours then */
  readonly life: number;
}

/** A point at which the life hours are known: a reading, a record, the day it went into service. */
export interface KnownLife {
  readonly on: CivilDate;
  readonly life: number;
}

export type PaperFault =
  | { readonly code: 'future' }
  /** before it went into service */
  | { readonly code: 'beforeService'; readonly on: CivilDate }
  /** fewer hours than on an earlier day */
  | { readonly code: 'backwards'; readonly known: KnownLife }
  /** more hours than on a later day */
  | { readonly code: 'tooMany'; readonly known: KnownLife }
  /** more hours than the clock allows since an earlier day, or until a later one */
  | { readonly code: 'tooFast'; readonly known: KnownLife };

/** Why a row of a paper log cannot be true. */
export interface PlacedPaperFault {
  readonly place: number;
  readonly fault: PaperFault;
}

const HOURS_A_DAY = 24;
/** Hours are written to a tenth; a day has two ends. */
const TOLERANCE = 0.05;

function compare(row: PaperRow, known: KnownLife): PaperFault | null {
  const days = dayNumber(row.on) - dayNumber(known.on);
  const hours = row.life - known.life;
  if (days > 0 && hours < -TOLERANCE) return { code: 'backwards', known };
  if (days < 0 && hours > TOLERANCE) return { code: 'tooMany', known };
  return Math.abs(hours) > (Math.abs(days) + 1) * HOURS_A_DAY ? { code: 'tooFast', known } : null;
}

/**
 * The rows of a paper log that cannot be true, by their place, each with the first reason found: against the day the machine went into
 * service, what is known of its hours, and the rows before. `rows` and `known` in any order; `today` at the site.
 */
export function paperFaults(
  rows: readonly PaperRow[],
  known: readonly KnownLife[],
  entry: KnownLife,
  today: CivilDate,
): PlacedPaperFault[] {
  return rows.flatMap((row, place): PlacedPaperFault[] => {
    if (row.on > today) return [{ place, fault: { code: 'future' } }];
    if (row.on < entry.on) return [{ place, fault: { code: 'beforeService', on: entry.on } }];
    for (const point of [entry, ...known, ...rows.slice(0, place)]) {
      const fault = compare(row, point);
      if (fault) return [{ place, fault }];
    }
    return [];
  });
}
