import { solveWithHighs } from '../solver/highs.js';
import type { HighsRuntime } from '../solver/highs.js';
import type { SolveMip } from '../solver/mip.js';
import type { Column } from './column.js';
import { visitsOf } from './column.js';
import { chosenBy, compactModel } from './compact.js';
import { Exchange, FEW_MACHINES } from './exchange.js';
import { generateColumns, priceAll } from './generate.js';
import type { Bound, PricingEffort } from './generate.js';
import { greedyPlan } from './greedy.js';
import { hopefulArcs } from './hopeful.js';
import type { PlannerInstance, SeasonPlan } from './instance.js';
import { Master } from './master.js';
import type { GrowingRuntime, MasterAnswer } from './master.js';
import { costOfChoice, Pool } from './pool.js';
import type { Choice } from './pool.js';
import { seeded } from '../usage/backTest/seeded.js';
import { seedPool, widen } from './variants.js';

/** How long is planned, and how near to the best is near enough. */
export interface PlanEffort {
  readonly milliseconds: number;
  /** share of the cost */
  readonly gap: number;
  /** a clock, in milliseconds */
  readonly now: () => number;
  /** the same plan for the same instance, as far as the same time is given */
  readonly seed?: number;
}

/** A first plan may take so long; one of a season against a published plan, which changes little, less. */
const FIRST_MS = 12_000;
const AGAIN_MS = 3_800;
const SEASON_DAYS = 84;

/** Within a hundredth of the best possible, or after a while the best that was found. */
export function usualEffort(
  { published, horizon }: Pick<PlannerInstance, 'published' | 'horizon'>,
  now: () => number,
): PlanEffort {
  const isAgain = published !== null && horizon <= SEASON_DAYS;
  return { milliseconds: isAgain ? AGAIN_MS : FIRST_MS, gap: 0.01, now };
}

/** How far planning has come. */
export interface PlanProgress {
  readonly cost: number;
  /** no plan costs less; -Infinity while nobody knows */
  readonly bound: number;
}

export interface FoundPlan extends PlanProgress {
  readonly plan: SeasonPlan;
}

/** What the planner solves with. */
export interface PlannerSolver {
  readonly growing: GrowingRuntime;
  readonly solve: SolveMip;
}

/** As much of the solver `highs` as is used; whoever plans loads it, in a worker. */
export function plannerSolver(highs: GrowingRuntime & HighsRuntime): PlannerSolver {
  return { growing: highs, solve: solveWithHighs(highs) };
}

/** Sites of so many machines are proved by the one program for the whole, after a part of the time. */
const COMPACT_MACHINES = 5;
const SMALL_SEARCH = 0.15;
const LEAST_PROOF_SECONDS = 1;
/** A good plan is known by then: what is wanted is the proof. */
const FOR_SOLUTIONS = 0.01;
/** So near to each other, as a share of the cost, relaxed program and bound are one. */
const NEAR_BOUND = 0.0001;
/** Branches of the exact search of a machine: few at first, which raise the bound most for their time. */
const FIRST_BRANCHES = 12;
const MOST_BRANCHES = 400;
/** How long plans are exchanged at a time. */
const FIRST_SLICE_MS = 500;
const SLICE_MS = 700;
const MOST_SLICE_MS = 2_000;
/** Of so many turns one begins at the best plan, and on few machines one at plans by chance: measured, more of either is no better. */
const BEST_EVERY = 4;
const DRAWN_EVERY = 8;
/** Part of the time after the first program that may go into the bound. */
const BOUND_SHARE = 0.4;
const MOST_BOUND_ROUNDS = 12;
/** Reduced cost up to which plans are made, and are in short lists. */
const MADE_TO = 40;
const LISTED_TO = 60;

/** One run of the planner: the best plan so far, and what is known of the best possible. */
class Planning {
  private readonly pool: Pool;
  private readonly began: number;
  private readonly random: () => number;
  private best: Choice;
  private cost: number;
  private bound: Bound;
  private until: number;

  constructor(
    private readonly instance: PlannerInstance,
    private readonly effort: PlanEffort,
    private readonly onBetter: (found: FoundPlan) => void,
  ) {
    this.began = effort.now();
    this.until = effort.milliseconds;
    this.random = seeded((effort.seed ?? 1) + 77);
    this.pool = new Pool(instance);
    this.best = greedyPlan(this.pool);
    this.cost = costOfChoice(this.best);
    const days = instance.days.length;
    this.bound = {
      least: -Infinity,
      prices: { minute: new Float64Array(days), bay: new Float64Array(days) },
    };
    this.tell();
  }

  run({ growing, solve }: PlannerSolver): FoundPlan {
    const { length } = this.instance.machines;
    const isSmall = length > 0 && length <= COMPACT_MACHINES;
    const master = new Master(growing, this.pool);
    if (isSmall) this.until = SMALL_SEARCH * this.effort.milliseconds;
    try {
      this.begin(master);
      this.search(master);
    } finally {
      master.dispose();
    }
    this.until = this.effort.milliseconds;
    if (isSmall && !this.isOver()) this.prove(solve);
    return this.found();
  }

  private get passed(): number {
    return this.effort.now() - this.began;
  }

  private readonly isTimeOver = (): boolean => this.passed > this.until;

  private readonly isOver = (): boolean =>
    this.isTimeOver() || this.cost - this.bound.least <= this.effort.gap * Math.abs(this.cost);

  /** The first bound, plans by chance, and rounds of prices and plans. */
  private begin(master: Master): void {
    const first: PricingEffort = { steps: 10, rounds: 1, near: 0.3, exact: 0 };
    this.raise(priceAll(this.pool, this.bound.prices, first, null).bound, this.bound.prices);
    if (this.isOver()) return;
    seedPool(this.pool, this.random);
    master.addNew();
    this.bound = generateColumns(this.pool, master, this.bound, this.isTimeOver);
    this.tell();
  }

  /** Exchanges for the plan and exact rounds for the bound, in turn, until it is near enough or time is over. */
  private search(master: Master): void {
    if (this.isOver()) return;
    let answer = master.solve();
    widen(this.pool, answer, this.random, { tries: 40, most: this.reach(MADE_TO) });
    const began = this.passed;
    let choice: Choice = master.mostTaken(answer);
    const bounding = { spent: 0, last: 0, rounds: 0, isTight: false };
    for (let turn = 0; !this.isOver(); turn += 1) {
      const slice = turn === 0 ? FIRST_SLICE_MS : Math.min(MOST_SLICE_MS, Math.max(SLICE_MS, bounding.last));
      choice = this.exchange(this.beginning(turn, choice, master), slice);
      const mayBound = bounding.rounds < 1 || bounding.spent < BOUND_SHARE * (this.passed - began);
      if (!bounding.isTight && !this.isOver() && mayBound) {
        const before = this.passed;
        bounding.isTight = this.tighten(master, bounding.rounds);
        bounding.rounds += 1;
        bounding.last = this.passed - before;
        bounding.spent += bounding.last;
      } else if (bounding.isTight && turn % BEST_EVERY === BEST_EVERY - 1) {
        answer = master.solve();
        widen(this.pool, answer, this.random, { tries: 20, most: this.reach(MADE_TO) });
      }
    }
  }

  /** Where a turn begins: where the last one came to, now and then at the best plan, on few machines also at one by chance. */
  private beginning(turn: number, choice: Choice, master: Master): Choice {
    if (turn % BEST_EVERY === BEST_EVERY - 1) return this.best;
    if (turn % DRAWN_EVERY !== 1 || !this.areFew) return choice;
    master.addNew();
    return master.drawn(master.solve(), this.random);
  }

  private get areFew(): boolean {
    return this.instance.machines.length <= FEW_MACHINES;
  }

  /** The whole of a small site as one program: the best plan, or nearly, and the proof. */
  private prove(solve: SolveMip): void {
    const compact = compactModel(this.pool, hopefulArcs(this.pool, this.bound.prices, this.cost));
    const seconds = Math.max(LEAST_PROOF_SECONDS, (this.until - this.passed) / 1000);
    const solution = solve(compact.mip, { gap: this.effort.gap, seconds, forSolutions: FOR_SOLUTIONS });
    if (!solution) return;
    this.better(chosenBy(compact, solution, this.pool));
    this.raise(Math.min(solution.bound + compact.constant, this.cost), this.bound.prices);
    this.tell();
  }

  private exchange(from: Choice, milliseconds: number): Choice {
    const until = this.passed + milliseconds;
    const { prices } = this.bound;
    const begin = { choice: from, prices, reach: this.reach(LISTED_TO), upper: this.cost };
    const exchange = new Exchange(this.pool, begin, this.random, (choice) => this.better(choice));
    return exchange.run(() => this.isOver() || this.passed > until);
  }

  /** A round of exact plans at the prices of the program; whether more of them would hardly raise the bound. */
  private tighten(master: Master, round: number): boolean {
    const answer: MasterAnswer = master.solve();
    const branches = Math.min(MOST_BRANCHES, FIRST_BRANCHES * 4 ** round);
    const near = (NEAR_BOUND * answer.cost) / this.instance.machines.length;
    const effort: PricingEffort = { steps: 40, rounds: 1, near, exact: branches, isOver: this.isTimeOver };
    const before = this.bound.least;
    const { bound, isFound } = priceAll(this.pool, answer.prices, effort, answer);
    this.raise(bound, answer.prices);
    master.addNew();
    this.tell();
    if (master.makeOvertimeDearer()) return false;
    const isNear = (answer.cost - this.bound.least) / answer.cost < 2 * NEAR_BOUND;
    const isSlow = !isFound || this.bound.least - before < 0.0003 * this.bound.least;
    return isNear || (branches === MOST_BRANCHES && isSlow) || round >= MOST_BOUND_ROUNDS;
  }

  private raise(least: number, prices: Bound['prices']): void {
    if (least > this.bound.least) this.bound = { least, prices };
  }

  private better(choice: Choice): void {
    const cost = costOfChoice(choice);
    if (cost >= this.cost - 1e-6) return;
    this.best = choice;
    this.cost = cost;
    this.tell();
  }

  /** Wider on small sites, where one plan more or less is much of the whole. */
  private reach(least: number): number {
    const gap = this.cost - this.bound.least;
    const { length } = this.instance.machines;
    return this.areFew && gap < 1e12 ? Math.max(least, (3 * gap) / length) : least;
  }

  private found(): FoundPlan {
    const plan = this.best.map((column: Column) => visitsOf(this.instance, column));
    return { plan, cost: this.cost, bound: this.bound.least };
  }

  private tell(): void {
    this.onBetter(this.found());
  }
}

/**
 * Plans the visits of a season: at once a plan that can be used, then better ones until it is near enough to the best possible or time
 * is over. Every better one, and every better bound, is told.
 */
export function planSeason(
  instance: PlannerInstance,
  solver: PlannerSolver,
  effort: PlanEffort,
  onBetter: (found: FoundPlan) => void = () => undefined,
): FoundPlan {
  return new Planning(instance, effort, onBetter).run(solver);
}
