import { highsRuntime } from '../solver/testing/loadedHighs.js';
import { planSeason, plannerSolver } from './planSeason.js';
import { seeded } from '../usage/backTest/seeded.js';
import { withSettled } from './settled.js';
import { inventedSite } from './testing/invented.js';
import { walked } from './testing/walked.js';

it.each([1, 2, 3, 4, 5, 6])(
  'visits that somebody settles stand in every plan, whatever they are: site %i',
  async (seed) => {
    const random = seeded(seed);
    const site = inventedSite({ machines: 6, weeks: 8, seed, load: null });
    const of = <T>(list: readonly T[]): T[] =>
      list.length ? [list[Math.floor(random() * list.length)] as T] : [];
    const machines = site.machines.map((machine) => {
      // One or two a machine, on any day: early, late, one after the other, on days on which it is not to be missing.
      const days = new Set(
        [...of(site.days), ...(random() < 0.5 ? of(site.days) : [])].map(({ day }) => day),
      );
      const visits = [...days].map((day) => ({ day, items: of([...machine.items.keys()]) }));
      return withSettled({ ...machine, locked: [] }, [...visits, { day: 999, items: [0] }], site);
    });
    const settled = { ...site, machines, days: site.days.map((day) => ({ ...day, minutes: 900, bays: 9 })) };
    let time = 0;
    const now = () => (time += 1);
    const solver = plannerSolver(await highsRuntime());
    const { plan, cost, bound } = planSeason(settled, solver, { milliseconds: 100, gap: 0.02, now });
    expect([Number.isFinite(cost), bound <= cost]).toEqual([true, true]);
    for (const [at, { locked }] of machines.entries())
      for (const { day, items } of locked)
        expect(plan[at]?.find((visit) => visit.day === day)?.items).toEqual(
          expect.arrayContaining([...items]),
        );
    expect(walked(settled, plan).faults).toEqual([]);
    expect(walked(settled, plan).cost).toBeCloseTo(cost, 4);
  },
);
