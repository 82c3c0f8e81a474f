import { one } from '../dense.js';
import type { PlannedVisit, PlannerInstance, PlannerItem, PlannerMachine, SeasonPlan } from '../instance.js';

/*
 * What a plan costs, walked day by day with a state of its own: no arcs, no tables, no shared formulas. Slow and plain, to hold the
 * planner against.
 */

interface Walked {
  readonly cost: number;
  readonly minutes: number;
  /** hours past limits when things were done, or at the end, weighted by what an hour costs */
  readonly lateness: number;
  /** what the plan may not do, in words */
  readonly faults: readonly string[];
}

/** How an item stands: the machine's hours and the day when it was last done, both from today. */
interface Standing {
  doneHours: number;
  doneDay: number;
  nextMark: number;
  /** null until it is done within the plan */
  lastVisit: number | null;
}

function steep(past: number, limit: number): number {
  if (past <= 0) return 0;
  return past > 0.1 * limit ? 2.5 * past - 0.15 * limit : past;
}

class Walk {
  cost = 0;
  minutes = 0;
  lateness = 0;
  readonly faults: string[] = [];
  private readonly standing: Standing[];

  constructor(
    private readonly instance: PlannerInstance,
    private readonly machine: PlannerMachine,
  ) {
    this.standing = machine.items.map(({ usedHours, usedDays, hoursToMark }) => ({
      doneHours: -usedHours,
      doneDay: -usedDays,
      nextMark: hoursToMark ?? 0,
      lastVisit: null,
    }));
  }

  private hours(day: number): number {
    return one(this.machine.hoursBy, day);
  }

  private used(item: PlannerItem, at: Standing, day: number): { hours: number; days: number } {
    const hours =
      item.hoursToMark !== null && item.hours !== null
        ? item.hours - (at.nextMark - this.hours(day))
        : this.hours(day) - at.doneHours;
    return { hours, days: day - at.doneDay };
  }

  private share(item: PlannerItem, at: Standing, day: number): number {
    const { hours, days } = this.used(item, at, day);
    return Math.max(item.hours ? hours / item.hours : 0, item.days ? days / item.days : 0);
  }

  private late(item: PlannerItem, at: Standing, day: number): number {
    const { hours, days } = this.used(item, at, day);
    const byDays = item.days ? item.latePerDay * steep(days - item.days, item.days) : 0;
    const limit = item.hours;
    if (limit === null) return byDays;
    const run = this.hours(day) - (at.lastVisit === null ? 0 : this.hours(at.lastVisit));
    const weeks = (day - (at.lastVisit ?? 0)) / 7;
    const { spreadOfWeek, spreadOfAll } = this.machine;
    const away = run <= 0 ? 0 : 1.2816 * Math.sqrt(spreadOfWeek ** 2 * weeks + (spreadOfAll * run) ** 2);
    const of = (more: number) => Math.max(byDays, item.latePerHour * steep(hours + more - limit, limit));
    return 0.3 * of(-Math.min(away, Math.max(0, run))) + 0.4 * of(0) + 0.3 * of(away);
  }

  private isToWake(item: PlannerItem, at: Standing): boolean {
    const { season } = this.machine;
    return season !== null && item.wakesUp && (at.lastVisit ?? -1) < season.wakeFrom;
  }

  private isToLayUp(item: PlannerItem, at: Standing): boolean {
    const { layUp } = this.machine;
    return (
      layUp !== null &&
      item.laysUp &&
      (at.lastVisit ?? -1) < layUp.end &&
      this.share(item, at, layUp.end) > 0.2
    );
  }

  private unready(item: PlannerItem, at: Standing, day: number): number {
    const { season, layUp } = this.machine;
    let cost = 0;
    if (season && day > season.ready) {
      const isDue = (at.lastVisit ?? -1) < season.ready && this.share(item, at, season.ready) > 1;
      if (this.isToWake(item, at) || isDue)
        cost += this.instance.readyCost * Math.min(30, day - season.ready);
    }
    if (layUp && day > layUp.by && this.isToLayUp(item, at))
      cost += this.instance.layUpCost * (day - layUp.by);
    return cost;
  }

  private isSettled(item: PlannerItem, day: number): boolean {
    const { items, locked } = this.machine;
    return locked.some((visit) => visit.day === day && visit.items.includes(items.indexOf(item)));
  }

  private once(item: PlannerItem, at: Standing, day: number, isEnd: boolean): void {
    const { once } = item;
    if (!once) return;
    if (at.lastVisit !== null) {
      if (!isEnd) this.faults.push(`${item.id} is done twice`);
      return;
    }
    if (!isEnd && day < Math.max(once.from, item.notBefore) && !this.isSettled(item, day))
      this.faults.push(`${item.id} is done too early`);
    this.cost += item.latePerDay * steep(day - once.due, 14);
  }

  private judgeTime(place: number, at: Standing, day: number, share: number): void {
    const item = one(this.machine.items, place);
    const { season, layUp } = this.machine;
    const isWoken =
      this.isToWake(item, at) && season !== null && day >= season.wakeFrom && day < season.start;
    const isLaidUp = this.isToLayUp(item, at) && layUp !== null && day >= layUp.end;
    if (this.isSettled(item, day)) return;
    if (share < item.leastShare && !isWoken && !isLaidUp)
      this.faults.push(`${item.id} is done before its least share`);
    if (day < item.notBefore) this.faults.push(`${item.id} is done before its parts are here`);
    const isFar = item.hoursToMark === null && at.lastVisit !== null && share > 2.2;
    if (isFar) this.faults.push(`${item.id} is done far too late`);
  }

  private finish(place: number, day: number, isEnd: boolean): void {
    const item = one(this.machine.items, place);
    const at = one(this.standing, place);
    if (item.once) {
      this.once(item, at, day, isEnd);
      return;
    }
    const sunk = at.lastVisit === null ? this.sunk(item) : 0;
    this.cost += Math.max(0, this.late(item, at, day) - sunk) + this.unready(item, at, day);
    const share = this.share(item, at, day);
    const used = Math.min(1, Math.max(0, share));
    const { hours } = this.used(item, at, day);
    this.lateness += item.hours ? item.latePerHour * Math.max(0, hours - item.hours) : 0;
    if (isEnd) {
      const { horizon } = this.instance;
      const perDay = Math.max(1e-6, this.hours(horizon) / horizon);
      const interval = Math.min(item.hours ? item.hours / perDay : Infinity, item.days ?? Infinity);
      this.cost += (item.minutes + 0.25 * this.machine.setUp * (interval < horizon ? 1 : 0.3)) * used;
    } else {
      this.cost += item.worth * (item.hoursToMark === null ? 1 : 0.25) * (1 - used);
      this.judgeTime(place, at, day, share);
    }
  }

  private sunk(item: PlannerItem): number {
    const { usedHours, usedDays, hoursToMark } = item;
    const today = { doneHours: -usedHours, doneDay: -usedDays, nextMark: hoursToMark ?? 0, lastVisit: null };
    return this.late(item, today, 0);
  }

  private note(place: number, day: number): void {
    const item = one(this.machine.items, place);
    const at = one(this.standing, place);
    if (item.hoursToMark !== null && item.hours !== null)
      while (at.nextMark - this.hours(day) <= (1 - item.leastShare) * item.hours + 1e-12)
        at.nextMark += item.hours;
    at.doneHours = this.hours(day);
    at.doneDay = day;
    at.lastVisit = day;
  }

  private visit({ day, items }: PlannedVisit): number {
    const { setUp, access, blocked, locked, awayCost, published } = this.machine;
    if (items.length === 0) this.faults.push('a visit does nothing');
    if (blocked.includes(day) && !locked.some((visit) => visit.day === day))
      this.faults.push(`it is missing on day ${day}`);
    const opened = new Set<number>();
    let minutes = setUp;
    for (const place of items) {
      const item = one(this.machine.items, place);
      for (const each of item.access) opened.add(each);
      minutes += item.minutes;
      this.finish(place, day, false);
      this.note(place, day);
    }
    for (const each of opened) minutes += one(access, each);
    this.minutes += minutes;
    this.cost += minutes + one(awayCost, day);
    const told = published.find((visit) => visit.day === day);
    const { published: plan } = this.instance;
    if (plan && told) this.cost -= told.dropCost;
    else if (plan && day <= plan.until) this.cost += plan.addCost;
    return minutes;
  }

  /** Walks the visits; returns the minutes of each. */
  go(visits: readonly PlannedVisit[]): number[] {
    this.cost += this.machine.published.reduce((sum, { dropCost }) => sum + dropCost, 0);
    for (const [at, { day }] of visits.entries())
      if (at > 0 && day <= one(visits, at - 1).day) this.faults.push('its visits are not in order');
    for (const { day, items } of this.machine.locked) {
      const own = visits.find((visit) => visit.day === day);
      if (!items.every((place) => own?.items.includes(place))) this.faults.push(`day ${day} is settled`);
    }
    const minutes = visits.map((visit) => this.visit(visit));
    for (const place of this.machine.items.keys()) this.finish(place, this.instance.horizon, true);
    return minutes;
  }
}

/** What a plan costs, and what of it may not be. */
export function walked(instance: PlannerInstance, plan: SeasonPlan): Walked {
  const faults: string[] = [];
  const taken = new Map<number, { minutes: number; bays: number }>();
  const sum = { cost: 0, minutes: 0, lateness: 0 };
  for (const [at, machine] of instance.machines.entries()) {
    const walk = new Walk(instance, machine);
    const visits = one(plan, at);
    for (const [index, minutes] of walk.go(visits).entries()) {
      const { day } = one(visits, index);
      const before = taken.get(day) ?? { minutes: 0, bays: 0 };
      taken.set(day, { minutes: before.minutes + minutes, bays: before.bays + 1 });
    }
    sum.cost += walk.cost;
    sum.minutes += walk.minutes;
    sum.lateness += walk.lateness;
    faults.push(...walk.faults.map((fault) => `${machine.id}: ${fault}`));
  }
  for (const [on, { minutes, bays }] of taken) {
    const day = instance.days.find((each) => each.day === on);
    if (!day) faults.push(`there is no workshop on day ${on}`);
    else if (minutes > day.minutes + 1e-6)
      faults.push(`day ${on} has ${day.minutes} minutes, not ${minutes}`);
    else if (bays > day.bays) faults.push(`day ${on} has ${day.bays} bays, not ${bays}`);
  }
  return { ...sum, faults };
}
