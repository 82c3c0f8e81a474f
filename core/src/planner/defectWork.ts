import { addDays, daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { Consequence } from '../component/consequence.js';
import type { Severity } from '../defect/severity.js';
import type { PlannerItem } from './instance.js';
import { LATENESS } from './weights.js';

/** An open defect, as far as the plan asks. */
export interface PlannableDefect {
  readonly id: string;
  readonly severity: Severity;
  readonly foundOn: CivilDate;
  /** of hands that mending it takes; null where nobody said */
  readonly minutes: number | null;
}

interface Mending {
  /** days from the day on which it was found */
  readonly within: number;
  /** that it takes where nobody said */
  readonly minutes: number;
  /** what it is like to be late with it */
  readonly lateAs: Consequence;
}

/** Judgements, not measurements. What is only watched asks for no visit: the next one looks at it. */
const MENDING: Readonly<Record<Severity, Mending | null>> = {
  watch: null,
  soon: { within: 14, minutes: 30, lateAs: 'wear' },
  stop: { within: 0, minutes: 60, lateAs: 'ruin' },
};

/** The day by which what is late already was to be done: how long ago that was costs no plan more than another. */
const LATE_ALREADY = -1;

/** Minutes that mending takes where nobody said; null of what is only watched. */
export function usualMinutes(severity: Severity): number | null {
  return MENDING[severity]?.minutes ?? null;
}

/** Minutes of hands that mending a defect takes: as somebody said, else as usual; none of what is only watched, unless said. */
export function mendingMinutes({ severity, minutes }: Pick<PlannableDefect, 'severity' | 'minutes'>): number {
  return minutes ?? usualMinutes(severity) ?? 0;
}

/** The day by which a defect is to be mended; null of what is only watched. */
export function mendBy({
  severity,
  foundOn,
}: Pick<PlannableDefect, 'severity' | 'foundOn'>): CivilDate | null {
  const mending = MENDING[severity];
  return mending && addDays(foundOn, mending.within);
}

/** Mending a defect as work that is done once; null of what is only watched. */
export function mendingItem(defect: PlannableDefect, today: CivilDate): PlannerItem | null {
  const { id, severity } = defect;
  const mending = MENDING[severity];
  const by = mendBy(defect);
  if (!mending || by === null) return null;
  const { perHour, perDay } = LATENESS[mending.lateAs];
  return {
    id,
    hours: null,
    days: null,
    usedHours: 0,
    usedDays: 0,
    hoursToMark: null,
    minutes: mendingMinutes(defect),
    access: [],
    worth: 0,
    latePerHour: perHour,
    latePerDay: perDay,
    leastShare: 0,
    notBefore: 0,
    once: { from: 0, due: Math.max(LATE_ALREADY, daysBetween(today, by)) },
    wakesUp: false,
    laysUp: false,
  };
}
