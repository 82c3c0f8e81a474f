import { seeded } from '../usage/backTest/seeded.js';
import { hopefulArcs, mayHave } from './hopeful.js';
import type { HopefulArcs } from './hopeful.js';
import type { SeasonPlan } from './instance.js';
import { Pool } from './pool.js';
import { nodeOfDay } from './tables.js';
import { bestOfAll } from './testing/everyPlan.js';
import { tinySite } from './testing/tiny.js';

/** The arcs of a plan: by machine and item the places from one time of it to the next. */
function arcsOf({ instance, searches }: Pool, plan: SeasonPlan) {
  return searches.flatMap(({ table }, machine) =>
    table.items.map((_item, item) => {
      const nodes = (plan[machine] ?? [])
        .filter(({ items }) => items.includes(item))
        .map(({ day }) =>
          nodeOfDay(
            table,
            instance.days.findIndex((each) => each.day === day),
          ),
        );
      const path = [0, ...nodes, table.n + 1];
      const places = nodes.map((node, at) => (path[at] ?? 0) * table.width + node);
      return { machine, item, places: [...places, (path.at(-2) ?? 0) * table.width + table.n + 1] };
    }),
  );
}

function drawn(days: number, random: () => number) {
  return { minute: Float64Array.from({ length: days }, random), bay: new Float64Array(days) };
}

const count = (arcs: HopefulArcs) =>
  arcs.flat().reduce((sum, own) => sum + own.reduce((a, b) => a + b, 0), 0);

describe('arcs that a plan of so much may have', () => {
  const seeds = Array.from({ length: 100 }, (_, at) => at + 1);

  it.each(seeds)('are all that the best plan has, whatever the prices: site %i', (seed) => {
    const site = tinySite(seed);
    const pool = new Pool(site);
    const best = bestOfAll(site);
    const prices = drawn(site.days.length, seeded(seed));
    const arcs = hopefulArcs(pool, prices, best.cost);
    for (const { machine, item, places } of arcsOf(pool, best.plan))
      for (const place of places) expect(mayHave(arcs, machine, item, place)).toBe(true);
  });

  it('are the fewer the nearer the plan is to the best', () => {
    const site = tinySite(1);
    const pool = new Pool(site);
    const { cost } = bestOfAll(site);
    const free = drawn(site.days.length, () => 0);
    const [near, far] = [cost, 2 * cost].map((upper) => count(hopefulArcs(pool, free, upper)));
    expect(near).toBeLessThan(far ?? 0);
  });
});
