import { seeded } from '../usage/backTest/seeded.js';

/** Work as far as its timing goes. */
export interface Task {
  /** minutes of a pair of hands */
  readonly handsOn: number;
  /** minutes that pass by themselves afterwards */
  readonly handsOff: number;
}

/** `to` starts no sooner than `lag` minutes after `from` started. Indices of tasks. */
export interface Link {
  readonly from: number;
  readonly to: number;
  readonly lag: number;
}

export interface Plan {
  /** minutes from the beginning, by task */
  readonly starts: readonly number[];
  /** until the last task is over */
  readonly elapsed: number;
}

/** The links by the task that they lead to, and from. */
interface Net {
  readonly into: readonly (readonly Link[])[];
  readonly out: readonly (readonly Link[])[];
}

function netOf(count: number, links: readonly Link[]): Net {
  const into: Link[][] = Array.from({ length: count }, () => []);
  const out: Link[][] = Array.from({ length: count }, () => []);
  for (const link of links) {
    into[link.to]?.push(link);
    out[link.from]?.push(link);
  }
  return { into, out };
}

/** Tasks so that each comes after those it waits for. Throws where they wait for each other in a ring. */
export function inOrder(count: number, links: readonly Link[]): number[] {
  const { into, out } = netOf(count, links);
  const open = into.map((own) => own.length);
  const order = open.flatMap((missing, task) => (missing === 0 ? [task] : []));
  for (let at = 0; at < order.length; at += 1) {
    for (const { to } of out[order[at] ?? 0] ?? []) {
      const left = (open[to] ?? 0) - 1;
      open[to] = left;
      if (left === 0) order.push(to);
    }
  }
  if (order.length < count) throw new RangeError('Some steps wait for each other in a ring.');
  return order;
}

function lengthOf(task: Task | undefined): number {
  return task ? task.handsOn + task.handsOff : 0;
}

/** Minutes from the start of each task to the end of all, if hands were never short. */
function tailsOf(tasks: readonly Task[], links: readonly Link[]): number[] {
  const { out } = netOf(tasks.length, links);
  const tails = tasks.map(lengthOf);
  for (const task of inOrder(tasks.length, links).reverse()) {
    for (const { to, lag } of out[task] ?? []) {
      tails[task] = Math.max(tails[task] ?? 0, lag + (tails[to] ?? 0));
    }
  }
  return tails;
}

/** The longest chain of waiting: no number of hands is faster. */
export function criticalPath(tasks: readonly Task[], links: readonly Link[]): number {
  return Math.max(0, ...tailsOf(tasks, links));
}

function planned(tasks: readonly Task[], starts: readonly number[]): Plan {
  return { starts, elapsed: Math.max(0, ...starts.map((start, task) => start + lengthOf(tasks[task]))) };
}

/** Tasks that can begin, as those they wait for get their time. */
class Waiting {
  readonly tasks: number[];
  private readonly missing: number[];
  private readonly readyAt: number[];

  constructor(private readonly net: Net) {
    this.missing = net.into.map((own) => own.length);
    this.readyAt = net.into.map(() => 0);
    this.tasks = this.missing.flatMap((count, task) => (count === 0 ? [task] : []));
  }

  ready(task: number): number {
    return this.readyAt[task] ?? 0;
  }

  /** Takes a task that begins at `start` out, and lets those in that waited for it last. */
  begin(task: number, start: number): void {
    this.tasks.splice(this.tasks.indexOf(task), 1);
    for (const { to, lag } of this.net.out[task] ?? []) {
      this.readyAt[to] = Math.max(this.ready(to), start + lag);
      const left = (this.missing[to] ?? 0) - 1;
      this.missing[to] = left;
      if (left === 0) this.tasks.push(to);
    }
  }
}

function highest(tasks: readonly number[], rank: readonly number[]): number {
  return tasks.reduce((best, task) => ((rank[task] ?? 0) > (rank[best] ?? 0) ? task : best));
}

/** Hands are never idle while something can be done: of what can begin now, the highest rank first. What needs no hands begins at once. */
function busyPlan(rank: readonly number[], tasks: readonly Task[], net: Net, people: number): Plan {
  const waiting = new Waiting(net);
  const starts = tasks.map(() => 0);
  const free = Array.from({ length: people }, () => 0);
  while (waiting.tasks.length) {
    const hand = free.indexOf(Math.min(...free));
    const soonest = Math.min(...waiting.tasks.map((task) => waiting.ready(task)));
    const now = Math.max(free[hand] ?? 0, soonest);
    const next = highest(
      waiting.tasks.filter((task) => waiting.ready(task) <= now),
      rank,
    );
    const handsOn = tasks[next]?.handsOn ?? 0;
    const start = handsOn === 0 ? waiting.ready(next) : now;
    starts[next] = start;
    if (handsOn > 0) free[hand] = start + handsOn;
    waiting.begin(next, start);
  }
  return planned(tasks, starts);
}

interface Stretch {
  readonly from: number;
  readonly until: number;
}

/** The first time from `ready` on at which one pair of hands has `length` minutes between its stretches of work, in order. */
function firstGap(busy: readonly Stretch[], ready: number, length: number): number {
  let start = ready;
  for (const { from, until } of busy) {
    if (start + length <= from) return start;
    start = Math.max(start, until);
  }
  return start;
}

/** The highest rank first, each in the first gap that takes it: hands may wait for something that is worth it. */
function gapPlan(rank: readonly number[], tasks: readonly Task[], net: Net, people: number): Plan {
  const waiting = new Waiting(net);
  const starts = tasks.map(() => 0);
  const busy: Stretch[][] = Array.from({ length: people }, () => []);
  while (waiting.tasks.length) {
    const next = highest(waiting.tasks, rank);
    const handsOn = tasks[next]?.handsOn ?? 0;
    const ready = waiting.ready(next);
    const gaps = busy.map((own) => firstGap(own, ready, handsOn));
    const start = handsOn === 0 ? ready : Math.min(...gaps);
    const own = busy[gaps.indexOf(start)];
    if (handsOn > 0 && own) {
      const place = own.findIndex(({ from }) => from > start);
      own.splice(place < 0 ? own.length : place, 0, { from: start, until: start + handsOn });
    }
    starts[next] = start;
    waiting.begin(next, start);
  }
  return planned(tasks, starts);
}

/** Tries of other orders: many for a small job, few for a large one, so that neither takes long. */
const EFFORT = 12_000;
const MOST_TRIES = 150;
const SEED = 46;

/** What makes no plan faster than another, in minutes: sums of fractions are off by less. */
const SAME = 1e-9;

/** The order of the sheet, the longest chain first, and orders near that: of each task, how early it is wanted. */
function* ranksOf(tails: readonly number[]): Generator<readonly number[]> {
  yield tails.map((_tail, task) => -task);
  yield tails;
  const random = seeded(SEED);
  const tries = Math.min(MOST_TRIES, Math.floor(EFFORT / Math.max(1, tails.length ** 2)));
  for (let tried = 0; tried < tries; tried += 1) yield tails.map((tail) => tail * (0.4 + random()));
}

/** Minutes that no plan for so many people is under: that of its longest chain, and its work shared out evenly. */
function leastElapsed(tasks: readonly Task[], tails: readonly number[], people: number): number {
  const handsOn = tasks.reduce((sum, task) => sum + task.handsOn, 0);
  return Math.max(handsOn / people, ...tails);
}

/**
 * A plan for so many people, good but not proved best: the order of the sheet, the longest chain first, and a number of orders near
 * that, until one is as fast as any can be. The earliest of those that are equally fast stands, so that the order of the sheet is kept
 * where nothing is gained. `tasks` are in the order of the sheet; the same tasks give the same plan.
 */
export function planFor(tasks: readonly Task[], links: readonly Link[], people: number): Plan {
  const net = netOf(tasks.length, links);
  const tails = tailsOf(tasks, links);
  const least = leastElapsed(tasks, tails, people);
  let best: Plan = { starts: [], elapsed: Infinity };
  for (const rank of ranksOf(tails)) {
    for (const planBy of [busyPlan, gapPlan]) {
      if (best.elapsed <= least + SAME) return best;
      const plan = planBy(rank, tasks, net, people);
      if (plan.elapsed < best.elapsed - SAME) best = plan;
    }
  }
  return best;
}
