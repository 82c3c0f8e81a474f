import { one } from './dense.js';
import { isAtRest, visitMinutesOf } from './instance.js';
import { TENTH } from './lateness.js';
import type { PlannerInstance, PlannerItem, PlannerMachine } from './instance.js';

/** A week of what is asked of the workshop and what there is, in minutes of all hands. */
export interface LoadWeek {
  /** first day, counted from today */
  readonly from: number;
  readonly minutes: number;
  readonly expected: number;
  /** if the machines run as little, and as much, as they do in one of ten cases */
  readonly low: number;
  readonly high: number;
}

/** Weeks in which more is asked than there is, until it has been caught up with at its worst. */
export interface Shortage {
  /** first and last day, counted from today */
  readonly from: number;
  readonly until: number;
  /** that are missing */
  readonly minutes: number;
  /** the day on which to begin ahead, so that there is time enough; null where even from today on there is not */
  readonly beginOn: number | null;
  /** machines (places) that would have to be done elsewhere instead, the longest work first */
  readonly machines: readonly number[];
}

/** A week of one machine: minutes that it asks of the workshop, and whether it rests. */
export interface MachineWeek {
  readonly minutes: number;
  readonly isAtRest: boolean;
}

export interface LoadAhead {
  readonly weeks: readonly LoadWeek[];
  /** of each machine, in the order of the instance, week by week */
  readonly machines: readonly (readonly MachineWeek[])[];
  readonly shortages: readonly Shortage[];
}

/** What falls due within so many days is taken along (common practice). */
const ALONG_DAYS = 21;
const WEEK = 7;
/** Less than this is no shortage: somebody stays a little longer. */
const LEAST_SHORT = 30;

/** When an item was last done: hours and days before today, or in the time that is looked at. */
interface LastTime {
  readonly hours: number;
  readonly day: number;
  readonly isDone: boolean;
}

/** A machine and the hours that it is thought to run. */
interface Running {
  readonly machine: PlannerMachine;
  readonly horizon: number;
  readonly factor: number;
}

function hoursOn({ machine, factor }: Running, day: number): number {
  return one(machine.hoursBy, day) * factor;
}

/** The day on which an item is due after its last time; null where that is beyond what is looked at. */
function dueDay(running: Running, item: PlannerItem, last: LastTime): number | null {
  if (item.once) return last.isDone || item.once.due >= running.horizon ? null : Math.max(0, item.once.due);
  const byDays = item.days === null ? Infinity : last.day + item.days;
  let due = Math.max(0, Math.min(byDays, running.horizon));
  if (item.hours !== null) {
    const at = last.hours + item.hours;
    let [low, high] = [0, due];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (hoursOn(running, middle) >= at) high = middle;
      else low = middle + 1;
    }
    due = low;
  }
  return due < running.horizon ? due : null;
}

/** A visit as it is asked for: minutes of a machine on a day. */
interface AskedVisit {
  readonly day: number;
  readonly minutes: number;
}

/** The visits of a machine, if it comes whenever something is due and takes along what soon is. */
function visitsOf(running: Running): AskedVisit[] {
  const { machine, horizon } = running;
  const last: LastTime[] = machine.items.map(({ usedHours, usedDays, hours, hoursToMark }) => ({
    hours: hoursToMark !== null && hours !== null ? hoursToMark - hours : -usedHours,
    day: -usedDays,
    isDone: false,
  }));
  const visits: AskedVisit[] = [];
  for (;;) {
    const due = machine.items.map((item, place) => dueDay(running, item, one(last, place)));
    const day = Math.min(...due.flatMap((each) => each ?? []));
    if (!(day < horizon)) return visits;
    const taken = due.flatMap((each, place) => (each !== null && each <= day + ALONG_DAYS ? [place] : []));
    visits.push({ day, minutes: visitMinutesOf(machine, taken) });
    for (const place of taken) last[place] = { hours: hoursOn(running, day), day, isDone: true };
  }
}

function byWeek(visits: readonly AskedVisit[], weeks: number): number[] {
  const minutes = Array.from({ length: weeks }, () => 0);
  for (const visit of visits) {
    const week = Math.floor(visit.day / WEEK);
    minutes[week] = (minutes[week] ?? 0) + visit.minutes;
  }
  return minutes;
}

function sumsOf(lists: readonly (readonly number[])[], weeks: number): number[] {
  return Array.from({ length: weeks }, (_, week) => lists.reduce((sum, list) => sum + (list[week] ?? 0), 0));
}

/** From which day on there is time enough for so many minutes more before a week; null where there is not. */
function beginBefore(weeks: readonly LoadWeek[], week: number, minutes: number): number | null {
  let missing = minutes;
  for (let at = week - 1; at >= 0; at -= 1) {
    const { from, minutes: there, expected } = one(weeks, at);
    missing -= Math.max(0, there - expected);
    if (missing <= 0) return from;
  }
  return null;
}

/** The machines with the longest work in some weeks, as many as take so many minutes away. */
function longest(visits: readonly (readonly AskedVisit[])[], from: number, until: number, minutes: number) {
  const asked = visits
    .map((own, machine) => ({
      machine,
      minutes: own
        .filter(({ day }) => day >= from && day <= until)
        .reduce((sum, each) => sum + each.minutes, 0),
    }))
    .sort((a, b) => b.minutes - a.minutes || a.machine - b.machine);
  const machines: number[] = [];
  let missing = minutes;
  for (const each of asked) {
    if (missing <= 0 || each.minutes === 0) break;
    machines.push(each.machine);
    missing -= each.minutes;
  }
  return machines;
}

function shortagesOf(weeks: readonly LoadWeek[], visits: readonly (readonly AskedVisit[])[]): Shortage[] {
  const found: Shortage[] = [];
  let behind = 0;
  let first = 0;
  let worst = { minutes: 0, week: 0 };
  for (const [at, { expected, minutes }] of [...weeks, { expected: 0, minutes: Infinity }].entries()) {
    if (behind === 0) [first, worst] = [at, { minutes: 0, week: at }];
    behind = Math.max(0, behind + expected - minutes);
    if (behind > worst.minutes) worst = { minutes: behind, week: at };
    if (behind > 0 || worst.minutes < LEAST_SHORT) continue;
    const [from, until] = [first * WEEK, worst.week * WEEK + WEEK - 1];
    found.push({
      from,
      until,
      minutes: Math.round(worst.minutes),
      beginOn: beginBefore(weeks, first, worst.minutes),
      machines: longest(visits, from, until, worst.minutes),
    });
    worst = { minutes: 0, week: at };
  }
  return found;
}

/**
 * What is asked of the workshop week by week, against what there is, and where that is short: each machine comes when something of it is
 * due, and takes along what is within three weeks. A forecast to see tight weeks by, no plan.
 */
export function loadAhead({ machines, days, horizon }: PlannerInstance): LoadAhead {
  const count = Math.floor(horizon / WEEK);
  const asked = (factorOf: (machine: PlannerMachine) => number) =>
    machines.map((machine) => visitsOf({ machine, horizon: count * WEEK, factor: factorOf(machine) }));
  const expected = asked(() => 1);
  const weekly = (visits: readonly (readonly AskedVisit[])[]) =>
    sumsOf(
      visits.map((own) => byWeek(own, count)),
      count,
    );
  const [middle, little, much] = [
    weekly(expected),
    weekly(asked(({ spreadOfAll }) => Math.max(0, 1 - TENTH * spreadOfAll))),
    weekly(asked(({ spreadOfAll }) => 1 + TENTH * spreadOfAll)),
  ];
  const weeks = middle.map((minutes, week) => ({
    from: week * WEEK,
    minutes: days
      .filter(({ day }) => Math.floor(day / WEEK) === week)
      .reduce((sum, day) => sum + day.minutes, 0),
    expected: minutes,
    low: Math.min(minutes, little[week] ?? 0, much[week] ?? 0),
    high: Math.max(minutes, little[week] ?? 0, much[week] ?? 0),
  }));
  return {
    weeks,
    machines: machines.map((machine, at) =>
      byWeek(one(expected, at), count).map((minutes, week) => ({
        minutes,
        isAtRest: isAtRest(machine, week * WEEK, week * WEEK + WEEK - 1),
      })),
    ),
    shortages: shortagesOf(weeks, expected),
  };
}
