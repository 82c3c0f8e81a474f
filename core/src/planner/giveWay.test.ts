import { seeded } from '../usage/backTest/seeded.js';
import { giveWay } from './giveWay.js';
import { Pool } from './pool.js';
import type { Choice } from './pool.js';
import { inventedSite } from './testing/invented.js';

/** Each machine as if it had the workshop to itself. */
function alone(pool: Pool): Choice {
  const { minutes, bays } = pool.nothing();
  const effort = { steps: 10, rounds: 1, near: 0.3 };
  return pool.searches.map((search) =>
    pool.keep(search.column(search.price({ minute: minutes, bay: bays }, effort, null).done)),
  );
}

const free = (pool: Pool) => ({ minute: pool.nothing().minutes, bay: pool.nothing().bays });

describe('machines that give way', () => {
  it.each([1, 2, 3, 4, 5, 6])('come to fit where each was planned by itself: site %i', (seed) => {
    const pool = new Pool(inventedSite({ machines: 10, weeks: 12, seed, load: 0.55 }));
    const choice = alone(pool);
    const given = [...choice];
    expect(pool.beyond(pool.loadOf(choice))).toBeGreaterThan(0);
    const fitting = giveWay(pool, choice, free(pool), { random: seeded(seed), upper: Infinity });
    if (!fitting) throw new Error('It does not come to fit.');
    expect(pool.beyond(pool.loadOf(fitting))).toBeLessThan(1e-6);
    expect(fitting.map(({ machine }) => machine)).toEqual(choice.map((_column, at) => at));
    expect(choice).toEqual(given);
  });

  it('come to nothing where that would be far dearer than the best that is known', () => {
    const pool = new Pool(inventedSite({ machines: 10, weeks: 12, seed: 1, load: 0.55 }));
    expect(giveWay(pool, alone(pool), free(pool), { random: seeded(1), upper: 0 })).toBeNull();
  });
});
