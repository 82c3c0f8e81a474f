import { solveWithHighs } from '../solver/highs.js';
import type { HighsRuntime } from '../solver/highs.js';
import type { SolveMip } from '../solver/mip.js';
import type { Column } from './column.js';
import { visitsOf } from './column.js';
import { chosenBy, compactModel } from './compact.js';
import { Exchange } from './exchange.js';
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
/** Machines with more days in the workshop are searched exactly only so far. */
const MANY_DAYS = 33;
/** Part of the time after the first program that may go into the bound. */
const BOUND_SHARE = 0.4;
const MOST_BOUND_ROUNDS = 12;
/** Reduced cost up to which plans are made, and are in short lists. */
const MADE_TO = 40;
const LISTED_TO = 60;
/** On small sites the first plan is far from the bound, and so are plans that matter. */
const FEW_MACHINES = 10;

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

  private readonly isOver = (): boolean =>
    this.passed > this.until || this.cost - this.bound.least <= this.effort.gap * Math.abs(this.cost);

  /** The first bound, plans by chance, and rounds of prices and plans. */
  private begin(master: Master): void {
    const first: PricingEffort = { steps: 10, rounds: 1, near: 0.3, exact: 0 };
    this.raise(priceAll(this.pool, this.bound.prices, first, null).bound, this.bound.prices);
    if (this.isOver()) return;
    seedPool(this.pool, this.random);
    master.addNew();
    this.bound = generateColumns(this.pool, master, this.bound, () => this.passed > this.until);
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
      const slice = turn === 0 ? 500 : Math.min(2000, Math.max(700, bounding.last));
      choice = this.exchange(turn % 4 === 3 ? this.best : choice, slice);
      const mayBound = bounding.rounds < 1 || bounding.spent < BOUND_SHARE * (this.passed - began);
      if (!bounding.isTight && !this.isOver() && mayBound) {
        const before = this.passed;
        bounding.isTight = this.tighten(master, bounding.rounds);
        bounding.rounds += 1;
        bounding.last = this.passed - before;
        bounding.spent += bounding.last;
      } else if (bounding.isTight && turn % 4 === 3) {
        answer = master.solve();
        widen(this.pool, answer, this.random, { tries: 20, most: this.reach(MADE_TO) });
      }
    }
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
    const isBig = this.pool.searches.some(({ table }) => table.n > MANY_DAYS);
    const effort: PricingEffort = {
      steps: isBig ? 100 : 40,
      rounds: 1,
      near: 0.3,
      exact: isBig ? 3_000 : 20_000,
    };
    const before = this.bound.least;
    const { bound, isFound } = priceAll(this.pool, answer.prices, effort, answer);
    this.raise(bound, answer.prices);
    master.addNew();
    this.tell();
    const isNear = (answer.cost - this.bound.least) / answer.cost < 0.0005;
    const isSlow = round >= 3 && this.bound.least - before < 0.0003 * this.bound.least;
    return isNear || !isFound || isSlow || round >= MOST_BOUND_ROUNDS;
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
    return length <= FEW_MACHINES && gap < 1e12 ? Math.max(least, (3 * gap) / length) : least;
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
