import fc from 'fast-check';
import { criticalPath, inOrder, planFor } from './plan.js';
import type { Link, Plan, Task } from './plan.js';
import { fastestByTrying } from './testing/exhaustivePlan.js';

const MINUTES = fc.integer({ min: 0, max: 15 });

/** Small jobs: tasks that may only wait for earlier ones. */
const JOBS = fc
  .array(fc.record({ handsOn: MINUTES, handsOff: fc.oneof(fc.constant(0), MINUTES) }), {
    minLength: 1,
    maxLength: 7,
  })
  .chain((tasks) =>
    fc.record({
      tasks: fc.constant(tasks),
      waits: fc.array(fc.tuple(fc.nat(6), fc.nat(6), fc.boolean()), { maxLength: 8 }),
    }),
  )
  .map(({ tasks, waits }) => ({ tasks, links: linksFrom(tasks, waits) }));

function linksFrom(tasks: readonly Task[], waits: readonly [number, number, boolean][]): Link[] {
  return waits.flatMap(([a, b, isForAll]) => {
    const [from, to] = [Math.min(a, b), Math.max(a, b)];
    const task = tasks[from];
    if (!task || from === to || to >= tasks.length) return [];
    return [{ from, to, lag: task.handsOn + (isForAll ? task.handsOff : 0) }];
  });
}

function busiest({ starts }: Plan, tasks: readonly Task[]): number {
  return Math.max(
    ...starts.map(
      (at) =>
        starts.filter((other, index) => other <= at && at < other + (tasks[index]?.handsOn ?? 0)).length,
    ),
  );
}

describe('a plan', () => {
  it('shares work between two as evenly as it can be, though the order of the sheet does not', () => {
    const minutes = [5, 5, 10].map((handsOn) => ({ handsOn, handsOff: 0 }));
    expect(planFor(minutes, [], 1)).toEqual({ starts: [0, 5, 10], elapsed: 20 });
    expect(planFor(minutes, [], 2).elapsed).toBe(10);
  });

  it('fills what passes by itself with other work', () => {
    // Warm up 1 + 6, then drain 4 + 8; greasing 10 waits for nothing: 1 + 6 + 4 + 8 = 19 with it inside, 29 without.
    const tasks = [
      { handsOn: 1, handsOff: 6 },
      { handsOn: 4, handsOff: 8 },
      { handsOn: 6, handsOff: 0 },
    ];
    const links = [{ from: 0, to: 1, lag: 7 }];
    expect(planFor(tasks, links, 1)).toEqual({ starts: [0, 7, 1], elapsed: 19 });
  });

  it('keeps what waits, needs no more hands than there are, and lies between the longest chain and the sum', () => {
    fc.assert(
      fc.property(JOBS, fc.integer({ min: 1, max: 2 }), ({ tasks, links }, people) => {
        const plan = planFor(tasks, links, people);
        for (const { from, to, lag } of links)
          expect(plan.starts[to]).toBeGreaterThanOrEqual((plan.starts[from] ?? 0) + lag);
        expect(busiest(plan, tasks)).toBeLessThanOrEqual(people);
        const sum = tasks.reduce((total, { handsOn, handsOff }) => total + handsOn + handsOff, 0);
        expect(plan.elapsed).toBeGreaterThanOrEqual(criticalPath(tasks, links));
        expect(plan.elapsed).toBeLessThanOrEqual(sum);
      }),
      { seed: 7, numRuns: 1500 },
    );
  });

  it('is within 5 % of the fastest that trying every order finds', () => {
    fc.assert(
      fc.property(JOBS, ({ tasks, links }) => {
        expect(planFor(tasks, links, 1).elapsed).toBeLessThanOrEqual(1.05 * fastestByTrying(tasks, links));
      }),
      { seed: 8, numRuns: 500 },
    );
  });

  it('of steps that wait for each other in a ring is refused', () => {
    const ring = [
      { from: 0, to: 1, lag: 1 },
      { from: 1, to: 0, lag: 1 },
    ];
    expect(() => inOrder(2, ring)).toThrow(RangeError);
  });
});
