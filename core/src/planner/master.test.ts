import { highsRuntime } from '../solver/testing/loadedHighs.js';
import { seeded } from '../usage/backTest/seeded.js';
import { generateColumns, priceAll } from './generate.js';
import { greedyPlan } from './greedy.js';
import { Master } from './master.js';
import type { GrowingRuntime } from './master.js';
import { costOfChoice, Pool } from './pool.js';
import { inventedSite } from './testing/invented.js';
import { seedPool } from './variants.js';

let highs: GrowingRuntime;
beforeAll(async () => {
  highs = await highsRuntime();
});

/** The relaxed program of a site, from its first plan until it hardly falls any more. */
function relaxed(machines: number, minutesPart: number) {
  const site = inventedSite({ machines, weeks: 6, seed: 5, load: 0.85 });
  const days = site.days.map((day) => ({ ...day, minutes: Math.round(minutesPart * day.minutes) }));
  const pool = new Pool({ ...site, days });
  const greedy = greedyPlan(pool);
  seedPool(pool, seeded(1));
  const master = new Master(highs, pool);
  const prices = { minute: new Float64Array(days.length), bay: new Float64Array(days.length) };
  generateColumns(pool, master, { least: -Infinity, prices }, () => false, 60);
  return { pool, master, greedy };
}

describe('the relaxed program', () => {
  it('buys no time, however far behind a workshop is: the bound is that of the workshop as it is', () => {
    const { pool, master, greedy } = relaxed(8, 0.4);
    const answer = master.solve();
    expect(master.makeOvertimeDearer()).toBe(false);
    // A minute is worth more here than the first overtime costs.
    expect(Math.max(...answer.prices.minute)).toBeGreaterThan(4);
    const { bound } = priceAll(pool, answer.prices, { steps: 40, rounds: 1, near: 0.1, exact: 200 }, answer);
    expect(bound).toBeGreaterThan(0.85 * answer.cost);
    expect(bound).toBeLessThanOrEqual(costOfChoice(greedy));
    master.dispose();
  });

  it('draws of each machine a plan that it takes, in time each of them', () => {
    const { pool, master } = relaxed(8, 1);
    const answer = master.solve();
    const taken = new Set(
      pool.all.filter((_column, at) => (answer.shares[at] ?? 0) > 1e-6).map(({ key }) => key),
    );
    expect(taken.size).toBeGreaterThan(8);
    const random = seeded(3);
    const drawn = new Set<string>();
    for (let time = 0; time < 400; time += 1) {
      const choice = master.drawn(answer, random);
      expect(choice.map(({ machine }) => machine)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
      for (const { key } of choice) drawn.add(key);
    }
    expect([...drawn].filter((key) => !taken.has(key))).toEqual([]);
    for (const column of master.mostTaken(answer)) expect(drawn.has(column.key)).toBe(true);
    master.dispose();
  });
});
