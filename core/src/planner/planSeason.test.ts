import { highsRuntime } from '../solver/testing/loadedHighs.js';
import type { WorkshopDay } from './instance.js';
import { planSeason, plannerSolver, usualEffort } from './planSeason.js';
import type { FoundPlan, PlannerSolver } from './planSeason.js';
import { plannedByHand } from './testing/byHand.js';
import { bestOfAll } from './testing/everyPlan.js';
import { inventedSite } from './testing/invented.js';
import { tinySite } from './testing/tiny.js';
import { walked } from './testing/walked.js';

/** A clock that goes on by the same at each look, so that a run is the same on every machine. */
function steadyClock(step: number): () => number {
  let time = 0;
  return () => {
    time += step;
    return time;
  };
}

function withRoom(days: readonly WorkshopDay[], on: number): WorkshopDay[] {
  return days.map((day) => (day.day === on ? { ...day, minutes: 10_000, bays: 100 } : day));
}

let highs: PlannerSolver;
beforeAll(async () => {
  const { growing, solve } = plannerSolver(await highsRuntime());
  // The solver has a clock of its own; on a busy machine that must not decide what is found.
  highs = { growing, solve: (mip, { gap }, onBetter) => solve(mip, { gap, seconds: 600 }, onBetter) };
});

describe('how long is planned', () => {
  it.each<[string, number, boolean, number]>([
    ['a first plan', 84, false, 12_000],
    ['a plan of twelve weeks against the published one, done within four seconds', 84, true, 3_800],
    ['half a year, of which most was never published', 182, true, 12_000],
  ])('%s', (_what, horizon, isAgain, milliseconds) => {
    const published = isAgain ? { until: 28, addCost: 11 } : null;
    expect(usualEffort({ published, horizon }, () => 0)).toMatchObject({ milliseconds, gap: 0.01 });
  });
});

describe('on tiny sites, where every plan can be tried', () => {
  const seeds = Array.from({ length: 200 }, (_, at) => at + 1);

  it.each(seeds)('finds the best plan of site %i, and no bound above it', (seed) => {
    const site = tinySite(seed);
    const best = bestOfAll(site);
    const found = planSeason(site, highs, { milliseconds: 400, gap: 1e-9, now: steadyClock(1) });
    expect(found.bound).toBeLessThanOrEqual(best.cost + 1e-6);
    expect(found.cost).toBeCloseTo(best.cost, 4);
    const { cost, faults } = walked(site, found.plan);
    expect(faults).toEqual([]);
    expect(cost).toBeCloseTo(found.cost, 4);
  });
});

describe('on sites of the usual size', () => {
  const sites = [
    { machines: 8, weeks: 12, seed: 1, load: 0.7 },
    { machines: 12, weeks: 12, seed: 2, load: 0.85 },
    { machines: 12, weeks: 8, seed: 3, load: 0.55 },
    { machines: 20, weeks: 12, seed: 4, load: 0.7 },
    { machines: 20, weeks: 6, seed: 5, load: 0.85 },
  ];

  it.each(sites)(
    'keeps to what is settled, days, bays and arrivals, and costs what it says: %o',
    (wanted) => {
      const site = inventedSite(wanted);
      const told: FoundPlan[] = [];
      const effort = { milliseconds: 40, gap: 0.001, now: steadyClock(1) };
      const found = planSeason(site, highs, effort, (better) => told.push(better));
      for (const { plan, cost, bound } of [...told, found]) {
        const judged = walked(site, plan);
        expect(judged.faults).toEqual([]);
        expect(judged.cost).toBeCloseTo(cost, 4);
        // No plan that is ever found costs less than a bound that was told.
        expect(bound).toBeLessThanOrEqual(found.cost + 1e-6);
      }
      // Each is better than the one before, or its bound is.
      for (const [at, { cost, bound }] of told.entries()) {
        const before = told[at - 1];
        if (!before) continue;
        expect(cost <= before.cost && bound >= before.bound).toBe(true);
      }
    },
  );

  it.each([1, 2, 3])('proves the plan of five machines best, or within a hundredth: site %i', (seed) => {
    const site = inventedSite({ machines: 5, weeks: 4, seed, load: 0.7 });
    const effort = { milliseconds: 20_000, gap: 0.01, now: steadyClock(100) };
    const found = planSeason(site, highs, effort);
    expect((found.cost - found.bound) / found.cost).toBeLessThanOrEqual(0.01 + 1e-9);
    expect(walked(site, found.plan)).toMatchObject({ faults: [] });
  });

  it.each([1, 2, 3])('costs less than what a careful person plans by hand: site %i', (seed) => {
    const site = inventedSite({ machines: 20, weeks: 12, seed, load: 0.7 });
    const { plan } = planSeason(site, highs, { milliseconds: 20, gap: 0.01, now: steadyClock(1) });
    for (const rule of ['byItem', 'byMachine'] as const) {
      const byHand = walked(site, plannedByHand(site, rule));
      expect(byHand.faults).toEqual([]);
      expect(walked(site, plan).cost).toBeLessThan(0.85 * byHand.cost);
    }
  });

  it('plans on where what somebody settled is more than there is on a day', () => {
    const plain = inventedSite({ machines: 10, weeks: 6, seed: 3, load: 0.7 });
    const on = plain.days[2];
    if (!on) throw new Error('there are more days');
    const machines = plain.machines.map((machine, at) =>
      at < 6 ? { ...machine, blocked: [], locked: [{ day: on.day, items: [0, 1, 2] }] } : machine,
    );
    const days = plain.days.map((day) => (day === on ? { ...day, minutes: 60, bays: 1 } : day));
    const site = { ...plain, days, machines };
    const told: FoundPlan[] = [];
    const found = planSeason(site, highs, { milliseconds: 60, gap: 0.001, now: steadyClock(1) }, (better) =>
      told.push(better),
    );
    for (const at of [0, 1, 2, 3, 4, 5])
      expect(found.plan[at]?.find(({ day }) => day === on.day)?.items).toEqual(
        expect.arrayContaining([0, 1, 2]),
      );
    // Nobody else comes on that day, no other day is too full, and it is better than the first plan.
    expect(
      found.plan
        .slice(6)
        .flat()
        .filter(({ day }) => day === on.day),
    ).toEqual([]);
    expect(walked({ ...site, days: withRoom(days, on.day) }, found.plan).faults).toEqual([]);
    expect(found.cost).toBeLessThan(0.99 * (told[0]?.cost ?? 0));
    expect(found.bound).toBeLessThanOrEqual(found.cost + 1e-6);
  });

  it('gives the same plan for the same site', () => {
    const site = inventedSite({ machines: 10, weeks: 12, seed: 7, load: 0.7 });
    const run = () => planSeason(site, highs, { milliseconds: 60, gap: 0.001, now: steadyClock(1) });
    expect(run()).toEqual(run());
  });

  it('is a plan even when there is no time at all', () => {
    const site = inventedSite({ machines: 10, weeks: 12, seed: 8, load: 0.85 });
    const { plan, bound } = planSeason(site, highs, { milliseconds: 0, gap: 0, now: steadyClock(1) });
    expect(walked(site, plan).faults).toEqual([]);
    expect(bound).toBeLessThan(Infinity);
  });
});
