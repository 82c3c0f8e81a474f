import { one } from '../dense.js';
import type { PlannerInstance, PlannerItem, PlannerMachine, WorkshopDay } from '../instance.js';
import { normal, seeded } from '../../usage/backTest/seeded.js';
import { KINDS, LATE } from './kinds.js';
import type { Kind, Line } from './kinds.js';

/*
 * Invented sites for tests and figures: the same for the same seed. Four classes of machine with the work of their books; intervals and
 * minutes are common practice, all else is drawn.
 */

/** What a site is drawn from. */
export interface Wanted {
  readonly machines: number;
  readonly weeks: number;
  readonly seed: number;
  /** rough work against minutes of the workshop: 0.55 roomy, 0.7 usual, 0.85 too much; null: minutes as drawn */
  readonly load: number | null;
  readonly daysPerWeek?: number;
}

/** Draws by chance, in the order of asking. */
class Draw {
  constructor(private readonly random: () => number) {}

  chance(of: number): boolean {
    return this.random() < of;
  }

  between(low: number, high: number): number {
    return low + (high - low) * this.random();
  }

  whole(low: number, high: number): number {
    return Math.floor(this.between(low, high + 1));
  }

  normal(): number {
    return normal(this.random);
  }
}

/** Day of the year on which the horizon begins: spring, summer or autumn; of half a year the first of March. */
const BEGINS = [67, 150, 232] as const;
const HALF_YEAR_BEGINS = 60;
const SEASON_FROM = 91;
const SEASON_TO = 300;
const READY_DAYS = 3;
const WAKE_DAYS = 45;
const LAY_UP_DAYS = 14;

interface Site {
  readonly draw: Draw;
  readonly horizon: number;
  readonly begins: number;
  readonly events: readonly number[];
}

const WEEKDAYS: Readonly<Record<number, readonly number[]>> = {
  1: [1],
  2: [1, 3],
  3: [0, 2, 4],
  4: [0, 1, 2, 3],
};

function daysOf(site: Site, weeks: number, perWeek: number, mechanics: number): WorkshopDay[] {
  const { draw } = site;
  const days: WorkshopDay[] = [];
  const weekdays = WEEKDAYS[perWeek] ?? [0, 1, 2, 3, 4];
  for (let week = 0; week < weeks; week += 1) {
    for (const day of weekdays)
      days.push({ day: 7 * week + day, minutes: mechanics * draw.whole(24, 42) * 10, bays: 0 });
    // A Friday afternoon now and then.
    if (draw.chance(0.5)) days.push({ day: 7 * week + 4, minutes: draw.whole(15, 21) * 10, bays: 0 });
  }
  return days.filter(({ day }, at) => days.findIndex((each) => each.day === day) === at);
}

/** Hours by the day, with more of them in the middle of the year and none out of season. */
function hoursBy({ draw, horizon, begins }: Site, kind: Kind, span: readonly [number, number] | null) {
  const rate = kind.hoursPerWeek * Math.exp(0.4 * draw.normal());
  const days = [0, 1, 2, 3, 4].filter(() => draw.chance(0.75));
  const inUse = days.length ? days : [2];
  const sums = [0];
  for (let day = 0; day < horizon; day += 1) {
    const ofYear = begins + day;
    const wave = span
      ? 0.55 + 0.65 * Math.sin((Math.PI * (ofYear - 70)) / 250)
      : 0.75 + 0.3 * Math.sin((Math.PI * (ofYear - 60)) / 260);
    const works = (!span || (day >= span[0] && day < span[1])) && inUse.includes(day % 7);
    sums.push((sums.at(-1) ?? 0) + (works ? (rate * Math.max(0.15, wave)) / inUse.length : 0));
  }
  return { rate, inUse, sums };
}

function itemOf(
  draw: Draw,
  own: Line,
  opens: readonly string[],
  visits: readonly number[],
  rate: number,
): PlannerItem {
  const { hours, days } = own;
  const share = draw.chance(0.7) ? one(visits, draw.whole(0, 2)) : draw.between(0, 1);
  const usedHours = hours
    ? Math.min(hours * 1.06, share * hours * (draw.chance(0.06) ? 1.3 : 1))
    : share * 300;
  let usedDays = days ? share * days : (usedHours / rate) * 7;
  if (days && hours && draw.chance(0.5)) usedDays = Math.min(usedDays, (usedHours / rate) * 7 * 1.3 + 10);
  const [latePerHour, latePerDay] = LATE[own.late];
  return {
    id: own.id,
    hours,
    days,
    usedHours,
    usedDays: Math.round(usedDays),
    hoursToMark: own.isByMarks && hours ? hours - usedHours : null,
    minutes: own.minutes,
    access: own.opens.map((name) => opens.indexOf(name)),
    worth: own.worth,
    latePerHour,
    latePerDay,
    leastShare: own.minutes <= 10 && own.worth === 0 ? 0.4 : 0.6,
    notBefore: own.worth > 0 && draw.chance(0.05) ? draw.whole(4, 28) : 0,
    once: null,
    wakesUp: own.wakes === true,
    laysUp: own.lays === true,
  };
}

function once(id: string, minutes: number, latePerDay: number, from: number, due: number): PlannerItem {
  const nothing = {
    hours: null,
    days: null,
    usedHours: 0,
    usedDays: 0,
    hoursToMark: null,
    access: [],
    worth: 0,
  };
  const plain = { latePerHour: 0, leastShare: 0, notBefore: 0, wakesUp: false, laysUp: false };
  return { ...nothing, ...plain, id, minutes, latePerDay, once: { from, due } };
}

function withinHorizon(day: number | null, horizon: number): number | null {
  return day !== null && day > 0 && day < horizon ? day : null;
}

function seasonFrom(start: number): NonNullable<PlannerMachine['season']> {
  return { start, ready: Math.max(0, start - READY_DAYS), wakeFrom: Math.max(0, start - WAKE_DAYS) };
}

function machineOf(site: Site, at: number): PlannerMachine {
  const { draw, horizon, begins, events } = site;
  const by = draw.between(0, 1);
  let sum = 0;
  const kind = KINDS.find(({ share }) => (sum += share) > by) ?? one(KINDS, 0);
  const start = kind.isSeasonal ? SEASON_FROM + draw.whole(-8, 12) - begins : null;
  const end = kind.isSeasonal ? SEASON_TO + draw.whole(-12, 10) - begins : null;
  const span = start !== null && end !== null ? ([start, end] as const) : null;
  const { rate, inUse, sums } = hoursBy(site, kind, span);
  const need = Array.from({ length: 7 }, (_, day) =>
    inUse.includes(day) ? Math.round(draw.between(4, 30)) : 0,
  );
  const isWorking = (day: number) => !span || (day >= span[0] && day < span[1]);
  const blocked = draw.chance(0.5)
    ? events.flatMap((day) => [day - 1, day]).filter((day) => day < horizon)
    : [];
  const visits = [draw.between(0, 1), draw.between(0, 1), draw.between(0, 1)];
  const opens = Object.keys(kind.opens);
  const items = kind.lines.map((own) => itemOf(draw, own, opens, visits, rate));
  const begin = withinHorizon(start, horizon);
  const finish = withinHorizon(end, horizon);
  if (begin !== null) items.push(once('wake-up', 20, 8, Math.max(0, begin - WAKE_DAYS), begin - READY_DAYS));
  if (finish !== null) items.push(once('lay-up', 30, 4, finish, finish + LAY_UP_DAYS));
  return {
    id: `${at}`,
    setUp: Math.round(draw.between(...kind.setUp)),
    access: opens.map((name) => kind.opens[name] ?? 0),
    items,
    hoursBy: sums,
    spreadOfWeek: 0.35 * rate,
    spreadOfAll: 0.08,
    awayCost: Array.from({ length: horizon }, (_, day) => (isWorking(day) ? one(need, day % 7) : 0)),
    blocked,
    season: begin === null ? null : seasonFrom(begin),
    layUp: finish === null ? null : { end: finish, by: finish + LAY_UP_DAYS },
    locked: [],
    published: [],
  };
}

/** Rough minutes of all work: every item at its rhythm, a visit for each of the shortest. */
function roughMinutes({ machines, horizon }: Pick<PlannerInstance, 'machines' | 'horizon'>): number {
  return machines.reduce((sum, machine) => {
    const hours = one(machine.hoursBy, horizon);
    const times = machine.items.map((item) => {
      const byHours = item.hours ? (item.usedHours + hours) / item.hours : 0;
      const byDays = item.days ? (item.usedDays + horizon) / item.days : 0;
      return item.once ? 1 : Math.floor(Math.max(byHours, byDays));
    });
    const visits = Math.max(0, ...times.filter((_time, at) => !one(machine.items, at).once));
    const work = times.reduce((all, count, at) => all + count * one(machine.items, at).minutes, 0);
    return sum + work + visits * (machine.setUp + 9);
  }, 0);
}

/** Scales the minutes of days to a load, within bounds, and gives them bays. */
function fitted(days: readonly WorkshopDay[], needed: number, load: number | null): WorkshopDay[] {
  const there = days.reduce((sum, { minutes }) => sum + minutes, 0);
  const by = load === null ? 1 : Math.max(0.5, Math.min(1.6, needed / load / there));
  return days.map(({ day, minutes: drawn }) => {
    const minutes = Math.round((drawn * by) / 10) * 10;
    return { day, minutes, bays: Math.max(2, Math.round((minutes / 85) * 1.15)) };
  });
}

/** Now and then a visit of the first days is settled; two on a day might not fit. */
function withLocked(
  draw: Draw,
  machine: PlannerMachine,
  days: readonly WorkshopDay[],
  taken: Set<number>,
): PlannerMachine {
  if (!draw.chance(0.03)) return machine;
  const first = days.find(({ day }) => day <= 10 && !machine.blocked.includes(day) && !taken.has(day));
  if (!first) return machine;
  taken.add(first.day);
  const items = machine.items.map((item, at) => (at === 0 ? { ...item, notBefore: 0 } : item));
  return { ...machine, items, locked: [{ day: first.day, items: [0] }] };
}

/** An invented site. */
export function inventedSite({ machines: count, weeks, seed, load, daysPerWeek }: Wanted): PlannerInstance {
  const draw = new Draw(seeded(seed * 7919 + count * 31 + weeks));
  const horizon = weeks * 7;
  const begins = weeks > 16 ? HALF_YEAR_BEGINS : one(BEGINS, seed % BEGINS.length);
  const plain = { draw, horizon, begins, events: [] };
  const perWeek = daysPerWeek ?? (count <= 60 ? 2 : 4);
  const drawn = daysOf(plain, weeks, perWeek, count <= 20 ? 1 : 2);
  const events = Array.from({ length: Math.round(weeks / 5) }, () => draw.whole(10, horizon - 1));
  const machines = Array.from({ length: count }, (_, at) => machineOf({ ...plain, events }, at));
  const days = fitted(drawn, roughMinutes({ machines, horizon }), load).sort((a, b) => a.day - b.day);
  const taken = new Set<number>();
  return {
    horizon,
    days,
    machines: machines.map((machine) => withLocked(draw, machine, days, taken)),
    readyCost: 8,
    layUpCost: 2,
    published: null,
  };
}
