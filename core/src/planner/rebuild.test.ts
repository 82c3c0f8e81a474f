import { seeded } from '../usage/backTest/seeded.js';
import { visitsOf } from './column.js';
import { greedyPlan } from './greedy.js';
import { costOfChoice, Pool } from './pool.js';
import type { Choice } from './pool.js';
import { Rebuild } from './rebuild.js';
import { inventedSite } from './testing/invented.js';
import { walked } from './testing/walked.js';

const FREE = (days: number) => ({ minute: new Float64Array(days), bay: new Float64Array(days) });

describe.each([1, 2, 3])('plans made anew for the room that is left: site %i', (seed) => {
  const site = inventedSite({ machines: 12, weeks: 6, seed, load: 0.7 });
  const rebuilt = (looks: number) => {
    const pool = new Pool(site);
    const choice = greedyPlan(pool);
    const found: Choice[] = [];
    const begin = { choice, prices: FREE(site.days.length) };
    const rebuild = new Rebuild(pool, begin, seeded(seed), (better) => found.push(better));
    let left = looks;
    rebuild.run(() => left-- <= 0);
    return { choice, found };
  };

  it('are each cheaper than the one before, and keep to what is settled, days, bays and arrivals', () => {
    const { choice, found } = rebuilt(150);
    expect(found.length).toBeGreaterThan(2);
    let before = costOfChoice(choice);
    for (const better of found) {
      const { cost, faults } = walked(
        site,
        better.map((column) => visitsOf(site, column)),
      );
      expect(faults).toEqual([]);
      expect(cost).toBeCloseTo(costOfChoice(better), 4);
      expect(cost).toBeLessThan(before);
      before = cost;
    }
  });

  it('are the same for the same chance', () => {
    const costs = () => rebuilt(40).found.map(costOfChoice);
    expect(costs()).toEqual(costs());
  });
});
