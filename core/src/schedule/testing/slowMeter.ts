import { civilDate } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';
import type { ServicePoint } from '../baseline.js';
import type { MeterName } from '../trigger.js';
import { addDays, daysBetween } from './slowCalendar.js';

/** Hours that a machine is planned to run on a day, and whether it is at work on it. */
export interface SlowPlan {
  readonly today: CivilDate;
  readonly isPlanned: boolean;
  planned(on: CivilDate): number;
  worksBySeason(on: CivilDate): boolean;
  /** whether nothing is expected any more from some day up to and with `on` */
  isStopped(on: CivilDate): boolean;
}

export interface SlowPoint {
  readonly on: CivilDate;
  readonly life: number;
}

/** A meter whose hours are walked from day to day. */
export interface SlowMeter {
  readonly name: MeterName;
  readonly life: number;
  lifeAt(point: ServicePoint): number;
  reached(at: number): CivilDate | null;
  lifeOn(on: CivilDate): number | null;
}

/** Readings of the generated machines are taken at noon UTC, which is the same day everywhere they stand. */
export function pointsOf(
  readings: readonly { readonly at: number; readonly shown: number }[],
  today: CivilDate,
): SlowPoint[] {
  const points: SlowPoint[] = [];
  for (const { at, shown } of [...readings].sort((a, b) => a.at - b.at)) {
    const on = civilDate(new Date(at).toISOString().slice(0, 10));
    if (on > today) continue;
    if (points.at(-1)?.on === on) points.pop();
    points.push({ on, life: shown });
  }
  return points;
}

function hoursOn(plan: SlowPlan, on: CivilDate): number {
  return plan.isStopped(on) ? 0 : plan.planned(on);
}

/** Hours run and planned, each gap worth half as much for every 42 days worked since. */
function weighed(points: readonly SlowPoint[], plan: SlowPlan): { run: number; planned: number } {
  let [run, planned, age] = [0, 0, 0];
  let counted = plan.today;
  for (let index = points.length - 1; index > 0; index -= 1) {
    const [a, b] = [points[index - 1], points[index]];
    if (!a || !b || daysBetween(a.on, plan.today) > 1100) break;
    for (; counted > b.on; counted = addDays(counted, -1))
      age += plan.worksBySeason(counted) && !plan.isStopped(counted) ? 1 : 0;
    const weight = 2 ** (-age / 42);
    if (weight < 0.001) break;
    let hours = 0;
    for (let on = addDays(a.on, 1); on <= b.on; on = addDays(on, 1)) hours += hoursOn(plan, on);
    if (hours === 0) continue;
    run += weight * (b.life - a.life);
    planned += weight * hours;
  }
  return { run, planned };
}

export function lifeOnDay(points: readonly SlowPoint[], on: CivilDate): number {
  const after = points.find((point) => point.on >= on);
  const before = points.filter((point) => point.on < on).at(-1);
  if (!after) return before?.life ?? 0;
  if (!before || after.on === on) return after.life;
  const share = daysBetween(before.on, on) / daysBetween(before.on, after.on);
  return before.life + (after.life - before.life) * share;
}

/** Hours a day over the last 90 days, or over all that is known; null where that is less than a week. */
function ownRate(points: readonly SlowPoint[], today: CivilDate): number | null {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return null;
  const back = addDays(today, -90);
  const from = first.on > back ? first.on : back;
  const days = daysBetween(from, last.on);
  if (days >= 7) return (last.life - lifeOnDay(points, from)) / days;
  const all = daysBetween(first.on, last.on);
  return all >= 7 ? (last.life - first.life) / all : null;
}

function passed(points: readonly SlowPoint[], at: number): CivilDate | null {
  const index = points.findIndex((point) => point.life >= at);
  const [before, after] = [points[index - 1], points[index]];
  if (!after) return null;
  if (!before) return after.life === at ? after.on : null;
  const share = (at - before.life) / (after.life - before.life);
  return addDays(before.on, Math.floor(share * daysBetween(before.on, after.on) + 1e-6));
}

/** How many hours a day of the plan brings: the plan times the machine's factor, or its own rate; null where nobody can tell. */
function expectedBy(points: readonly SlowPoint[], plan: SlowPlan, isEngine: boolean) {
  if (points.length === 0) return null;
  if (!plan.isPlanned) {
    const rate = ownRate(points, plan.today);
    return rate === null || rate === 0 ? null : (on: CivilDate) => (plan.isStopped(on) ? 0 : rate);
  }
  const { run, planned } = weighed(points, plan);
  if (isEngine) {
    const theta = (15 + run) / (15 + planned);
    return (on: CivilDate) => theta * hoursOn(plan, on);
  }
  if (run === 0 || planned === 0) return null;
  return (on: CivilDate) => (run / planned) * hoursOn(plan, on);
}

/** A meter of its own, by its points; `start` is what it stands at before any. */
export function readMeter(
  name: MeterName,
  points: readonly SlowPoint[],
  start: number,
  plan: SlowPlan,
  lifeAt: SlowMeter['lifeAt'],
): SlowMeter {
  const last = points.at(-1);
  const expected = expectedBy(points, plan, name === 'engine');
  const horizon = addDays(plan.today, 3653);
  return {
    name,
    life: last?.life ?? start,
    lifeAt,
    reached(at) {
      if (!last) return null;
      if (at <= last.life) return passed(points, at);
      if (!expected) return null;
      let life = last.life;
      let on = last.on;
      while (life < at - 1e-6) {
        on = addDays(on, 1);
        if (on > horizon) return null;
        life += expected(on);
      }
      return on < plan.today ? plan.today : on;
    },
    lifeOn(wanted) {
      if (!last) return null;
      if (!expected) return ownRate(points, plan.today) === null ? null : last.life;
      let life = last.life;
      for (let on = addDays(last.on, 1); on <= wanted; on = addDays(on, 1)) life += expected(on);
      return life;
    },
  };
}

/** A share of the engine's hours since it was fitted. */
export function sharedMeter(
  name: MeterName,
  { share, hoursAtStart, engineAtStart }: { share: number; hoursAtStart: number; engineAtStart: number },
  engine: SlowMeter,
): SlowMeter {
  const of = (life: number) => Math.max(0, hoursAtStart + share * (life - engineAtStart));
  return {
    name,
    life: of(engine.life),
    lifeAt: (point) => of(point.life),
    reached: (at) => engine.reached(engineAtStart + (at - hoursAtStart) / share),
    lifeOn(on) {
      const life = engine.lifeOn(on);
      return life === null ? null : of(life);
    },
  };
}
