import { seeded } from '../usage/backTest/seeded.js';
import { one } from './dense.js';
import { visitMinutesOf } from './instance.js';
import type { PlannerInstance } from './instance.js';
import { Pool } from './pool.js';
import type { DayPrices } from './prices.js';
import { ownPlans } from './testing/everyPlan.js';
import { tinySite } from './testing/tiny.js';

/** What the cheapest of all plans of a machine costs at prices: each tried, reckoned by the walker. */
function cheapest(site: PlannerInstance, machine: number, { minute, bay }: DayPrices): number {
  const own = one(site.machines, machine);
  const costs = ownPlans(site, machine).map(({ cost, visits }) =>
    visits.reduce((sum, { day, items }) => {
      const at = site.days.findIndex((each) => each.day === day);
      return sum + (minute[at] ?? 0) * visitMinutesOf(own, items) + (bay[at] ?? 0);
    }, cost),
  );
  return Math.min(...costs);
}

function drawnPrices(days: number, random: () => number): DayPrices {
  const level = 4 * random();
  return {
    minute: Float64Array.from({ length: days }, () => level * random()),
    bay: Float64Array.from({ length: days }, () => 60 * level * random() * random()),
  };
}

const seeds = Array.from({ length: 100 }, (_, at) => at + 1);

describe('the exact search of one machine', () => {
  it.each(seeds)('finds the cheapest of all plans at any prices: site %i', (seed) => {
    const site = tinySite(seed);
    const pool = new Pool(site);
    const random = seeded(seed);
    for (const [machine, search] of pool.searches.entries()) {
      const prices = drawnPrices(site.days.length, random);
      const best = cheapest(site, machine, prices);
      // From a bad split as from a good one.
      search.price(prices, { steps: seed % 2 === 0 ? 1 : 60, rounds: 0, near: 0 }, null);
      const found = search.exact(best + 500, { most: 5_000, near: 0 });
      expect(found.cost).toBeCloseTo(best, 4);
      expect(found.bound).toBeGreaterThan(best - 0.1);
      expect(found.done && search.cost(found.done)).toBeCloseTo(best, 4);
    }
  });

  it.each([1, 3, 9])('knows of no bound above the cheapest plan after %i branches', (most) => {
    for (const seed of seeds.slice(0, 40)) {
      const site = tinySite(seed);
      const pool = new Pool(site);
      const random = seeded(1000 + seed);
      for (const [machine, search] of pool.searches.entries()) {
        const prices = drawnPrices(site.days.length, random);
        const best = cheapest(site, machine, prices);
        search.price(prices, { steps: 3, rounds: 0, near: 0 }, null);
        const { bound, cost } = search.exact(best + 500, { most, near: 0 });
        expect(bound).toBeLessThanOrEqual(best + 1e-6);
        expect(cost).toBeGreaterThanOrEqual(best - 1e-6);
      }
    }
  });

  it('finds nothing where nothing costs less', () => {
    const site = tinySite(1);
    const search = one(new Pool(site).searches, 0);
    const prices = { minute: new Float64Array(site.days.length), bay: new Float64Array(site.days.length) };
    const best = cheapest(site, 0, prices);
    search.price(prices, { steps: 3, rounds: 0, near: 0 }, null);
    expect(search.exact(best - 1, { most: 500, near: 0 })).toEqual({
      done: null,
      cost: best - 1,
      bound: best - 1,
    });
  });
});
