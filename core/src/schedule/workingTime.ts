import { dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { Span } from '../season/season.js';
import type { UsePlan } from '../season/usePlan.js';

/** What the crew lead says of a machine, whatever its seasons say. */
export const MACHINE_STATUSES = ['inService', 'laidUp', 'outOfService', 'retired'] as const;
export type StatusKind = (typeof MACHINE_STATUSES)[number];

/** The status of a machine and since when; `since` is null where nobody said. */
export interface MachineStatus {
  readonly kind: StatusKind;
  readonly since: CivilDate | null;
}

/** A time in which the machine rests, as day numbers: from `since` to the day before `until`; null where no end is planned. */
export interface LayUp {
  readonly since: number;
  readonly until: number | null;
}

/** When a machine works and when it rests, seen from a day. */
export interface WorkingTime {
  /** whether it works on that day: not between its seasons, not laid up by hand, not out of service */
  readonly works: boolean;
  readonly isLaidUp: boolean;
  /** past, present and planned, in order */
  readonly layUps: readonly LayUp[];
  /**
   * First day (a day number) of the present working time, while it rests of the next; -Infinity where it always worked, null
   * where nobody knows.
   */
  readonly beganOn: number | null;
  /** the first day on or after `day` on which it works, as far as anybody knows */
  workingDayFrom(day: number): number | null;
}

/**
 * The day from which no running is expected, by the status; null while the seasons decide. Laid up without saying since when, it
 * rests since it was last known to have run, on the day `lastKnown`.
 */
export function stoppedOn(status: MachineStatus, lastKnown: number): number | null {
  if (status.kind === 'inService') return null;
  return status.since === null ? lastKnown : dayNumber(status.since);
}

/** Machines that take part in the same seasons share one list of spans. */
const gapsOf = new WeakMap<readonly Span[], readonly LayUp[]>();

function gapsBetween(working: readonly Span[]): readonly LayUp[] {
  const known = gapsOf.get(working);
  if (known) return known;
  const gaps = working.flatMap((span, index) => {
    const next = working[index + 1];
    return next ? [{ since: span.last + 1, until: next.first }] : [];
  });
  gapsOf.set(working, gaps);
  return gaps;
}

/** The lay-ups between seasons, the last of them without end where the machine was laid up by hand on `stopped`. */
function layUpsOf(working: readonly Span[], stopped: number | null): readonly LayUp[] {
  const gaps = gapsBetween(working);
  if (stopped === null) return gaps;
  const before = gaps.filter(({ until }) => until !== null && until < stopped);
  const around = gaps.find(({ since, until }) => since <= stopped && until !== null && stopped <= until);
  return [...before, { since: around ? around.since : stopped, until: null }];
}

function isWithin({ since, until }: LayUp, day: number): boolean {
  return since <= day && (until === null || day < until);
}

/** First day of the working time that holds on `today`, or of the next; -Infinity for always, null where none is planned. */
function firstOfWork({ working, firstDay }: UsePlan, today: number): number | null {
  if (working.length === 0) return -Infinity;
  const span = working.find(({ last }) => last >= today);
  if (!span) return null;
  // A span that reaches back to the first day that is planned began before anybody looks.
  return span.first <= firstDay ? -Infinity : span.first;
}

/** The day on which it came back from a lay-up by hand, or into service again; -Infinity where it was never away. */
function returnedOn({ kind, since }: MachineStatus, today: number): number {
  const day = kind === 'inService' && since !== null ? dayNumber(since) : -Infinity;
  return day <= today ? day : -Infinity;
}

/**
 * When a machine with `plan` works, on `today` (a day number). `stopped` is the day of {@link stoppedOn}. A machine without seasons
 * works until somebody says otherwise.
 */
export function workingTime(
  plan: UsePlan,
  status: MachineStatus,
  stopped: number | null,
  today: number,
): WorkingTime {
  const { working } = plan;
  const isUnplanned = working.length === 0;
  const isStopped = stopped !== null && stopped <= today;
  const first = firstOfWork(plan, today);
  const layUps = layUpsOf(working, status.kind === 'laidUp' ? stopped : null);
  return {
    works: !isStopped && first !== null && first <= today,
    isLaidUp: layUps.some((layUp) => isWithin(layUp, today)),
    layUps,
    beganOn: isStopped || first === null ? null : Math.max(first, returnedOn(status, today)),
    workingDayFrom(day) {
      // Before the first day that is planned, it worked as it did on it.
      const next = isUnplanned || day < plan.firstDay ? day : working.find(({ last }) => last >= day);
      if (next === undefined) return null;
      const on = typeof next === 'number' ? next : Math.max(day, next.first);
      return stopped !== null && on >= stopped ? null : on;
    },
  };
}
