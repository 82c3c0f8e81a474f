import { mayBeDone } from '../arc.js';
import { one } from '../dense.js';
import type { PlannedVisit, PlannerInstance, PlannerItem, PlannerMachine, SeasonPlan } from '../instance.js';
import { shareOf, usedOn } from '../lateness.js';

/*
 * Two rules that a careful person could plan by with paper: each item on the first workshop day after it falls due, or everything of a
 * machine when its first item falls due. Both keep to minutes, bays, days, parts and what is settled.
 */

export type HandRule = 'byItem' | 'byMachine';

/** A sensible rule for what is to be done before a season: a week before it has to be ready. */
const WAKE_BEFORE = 7;

interface Visit {
  readonly day: number;
  readonly items: number[];
}

/** An item that waits: since when it is due, and how much it weighs. */
interface Waiting {
  readonly machine: number;
  readonly item: number;
  readonly due: number;
  readonly weight: number;
}

class Paper {
  readonly visits: Visit[][];
  private readonly last: (number | null)[][];
  private readonly left: Map<number, { minutes: number; bays: number }>;

  constructor(private readonly instance: PlannerInstance) {
    this.visits = instance.machines.map(() => []);
    this.last = instance.machines.map(({ items }) => items.map(() => null));
    this.left = new Map(instance.days.map(({ day, minutes, bays }) => [day, { minutes, bays }]));
  }

  machine(at: number): PlannerMachine {
    return one(this.instance.machines, at);
  }

  visitOn(machine: number, day: number): Visit | undefined {
    return one(this.visits, machine).find((visit) => visit.day === day);
  }

  lastOf(machine: number, item: number): number | null {
    return one(one(this.last, machine), item);
  }

  /** Minutes that some items take more on a day, beside what is done on it already. */
  more(at: number, day: number, items: readonly number[]): number {
    const machine = this.machine(at);
    const visit = this.visitOn(at, day);
    const opened = new Set((visit?.items ?? []).flatMap((item) => one(machine.items, item).access));
    let minutes = visit ? 0 : machine.setUp;
    for (const item of items) {
      minutes += one(machine.items, item).minutes;
      for (const access of one(machine.items, item).access) {
        if (!opened.has(access)) minutes += one(machine.access, access);
        opened.add(access);
      }
    }
    return minutes;
  }

  hasRoom(at: number, day: number, items: readonly number[]): boolean {
    const left = this.left.get(day);
    if (!left) return false;
    return (
      this.more(at, day, items) <= left.minutes && (this.visitOn(at, day) !== undefined || left.bays > 0)
    );
  }

  /** Takes room for what is settled, so that nothing else fills it. */
  reserve(by: 1 | -1): void {
    for (const [at, { locked }] of this.instance.machines.entries())
      for (const { day, items } of locked) {
        const left = this.left.get(day);
        if (!left || this.visitOn(at, day)) continue;
        left.minutes -= by * this.more(at, day, items);
        left.bays -= by;
      }
  }

  put(at: number, day: number, items: readonly number[]): void {
    const left = this.left.get(day);
    if (!left || items.length === 0) return;
    left.minutes -= this.more(at, day, items);
    const known = this.visitOn(at, day);
    if (!known) left.bays -= 1;
    const visit = known ?? { day, items: [] };
    if (!known) one(this.visits, at).push(visit);
    for (const item of items) {
      visit.items.push(item);
      one(this.last, at)[item] = day;
    }
  }

  /** Whether an item may be done on a day. */
  isAllowed(at: number, item: number, day: number): boolean {
    const machine = this.machine(at);
    const own = one(machine.items, item);
    if (this.visitOn(at, day)?.items.includes(item)) return false;
    if (machine.locked.some((visit) => visit.day > day && visit.items.includes(item))) return false;
    const from = this.lastOf(at, item);
    if (own.once) return from === null && day >= Math.max(own.once.from, own.notBefore);
    const of = { instance: this.instance, machine, item: own, place: item };
    return mayBeDone(of, { from, to: day, isEnd: false }, shareOf(own, usedOn(machine, own, from, day)));
  }

  /** The first day on which an item is due, as it is expected. */
  dueOn(at: number, item: number): number {
    const machine = this.machine(at);
    const own = one(machine.items, item);
    const from = this.lastOf(at, item);
    if (own.once) return from === null ? own.once.due : Infinity;
    const share = (day: number) => shareOf(own, usedOn(machine, own, from, day));
    let day = from ?? 0;
    while (day <= this.instance.horizon && share(day) < 1) day += 1;
    return Math.min(day, this.wakeDay(machine, own, from), this.layUpDay(machine, own, from, share));
  }

  private wakeDay({ season }: PlannerMachine, { wakesUp }: PlannerItem, from: number | null): number {
    return season && wakesUp && (from ?? -1) < season.wakeFrom ? season.ready - WAKE_BEFORE : Infinity;
  }

  private layUpDay(
    { layUp }: PlannerMachine,
    { laysUp }: PlannerItem,
    from: number | null,
    share: (day: number) => number,
  ): number {
    return layUp && laysUp && (from ?? -1) < layUp.end && share(layUp.end) > 0.2 ? layUp.end : Infinity;
  }

  /** What is due by a day and may be done on it, all machines. */
  waiting(day: number): Waiting[] {
    return this.instance.machines.flatMap((machine, at) =>
      machine.blocked.includes(day)
        ? []
        : machine.items.flatMap((own, item) => {
            const due = this.dueOn(at, item);
            if (due > day || !this.isAllowed(at, item, day)) return [];
            const weight = own.latePerHour * 3 + own.latePerDay * 2 + (own.once || own.wakesUp ? 5 : 0);
            return [{ machine: at, item, due, weight: weight * (1 + day - due) }];
          }),
    );
  }
}

function byItem(paper: Paper, day: number): void {
  for (const { machine, item } of paper.waiting(day).sort((a, b) => b.weight - a.weight))
    if (paper.isAllowed(machine, item, day) && paper.hasRoom(machine, day, [item]))
      paper.put(machine, day, [item]);
}

function byMachine(paper: Paper, day: number): void {
  const sums = new Map<number, { weight: number; due: Set<number> }>();
  for (const { machine, item, weight } of paper.waiting(day)) {
    const before = sums.get(machine) ?? { weight: 0, due: new Set<number>() };
    sums.set(machine, { weight: before.weight + weight, due: before.due.add(item) });
  }
  for (const [at, { due }] of [...sums].sort((a, b) => b[1].weight - a[1].weight)) {
    const { items } = paper.machine(at);
    const all = [...items.keys()].filter((item) => paper.isAllowed(at, item, day));
    const machine = paper.machine(at);
    const share = (item: number) => {
      const own = one(items, item);
      return shareOf(own, usedOn(machine, own, paper.lastOf(at, item), day));
    };
    // What does not fit is left: first what is not due, of that what is used least.
    all.sort((a, b) => Number(due.has(b)) - Number(due.has(a)) || share(b) - share(a));
    while (all.length && !paper.hasRoom(at, day, all)) all.pop();
    if (all.some((item) => due.has(item))) paper.put(at, day, all);
  }
}

/** A plan by one of the rules. */
export function plannedByHand(instance: PlannerInstance, rule: HandRule): SeasonPlan {
  const paper = new Paper(instance);
  paper.reserve(1);
  for (const { day } of instance.days) {
    for (const [at, { locked }] of instance.machines.entries())
      for (const visit of locked)
        if (visit.day === day) {
          paper.reserve(-1);
          paper.put(at, day, visit.items);
          paper.reserve(1);
        }
    if (rule === 'byItem') byItem(paper, day);
    else byMachine(paper, day);
  }
  return paper.visits.map((visits): PlannedVisit[] => [...visits].sort((a, b) => a.day - b.day));
}
