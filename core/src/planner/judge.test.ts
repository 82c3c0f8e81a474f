import { dayLoads, planChange, visitsJudge } from './judge.js';
import { one } from './dense.js';
import { plannedByHand } from './testing/byHand.js';
import { inventedSite } from './testing/invented.js';
import { walked } from './testing/walked.js';

const site = inventedSite({ machines: 8, weeks: 8, seed: 3, load: 0.7 });
const plan = plannedByHand(site, 'byMachine');

it('says what the visits of a machine cost, as walking them day by day does', () => {
  for (const [at, machine] of site.machines.entries()) {
    const visits = one(plan, at);
    const alone = walked({ ...site, machines: [machine] }, [visits]);
    expect(visitsJudge(site, at)(visits)).toBeCloseTo(alone.cost, 6);
  }
});

it('says no cost of what may not be: a day without a workshop, or work just after it was done', () => {
  const [first] = site.machines;
  const [day, next] = site.days;
  if (!first || !day || !next) throw new Error('The site is too small.');
  const judge = visitsJudge(site, 0);
  expect(judge([{ day: day.day + 1, items: [0] }])).toBeNull();
  const twice = [day, next].map((each) => ({ day: each.day, items: [first.items.length - 1] }));
  expect(judge(twice)).toBeNull();
});

it('says how full each workshop day is', () => {
  const loads = dayLoads(site, plan);
  const { minutes } = walked(site, plan);
  expect(loads.map(({ day }) => day)).toEqual(site.days.map(({ day }) => day));
  expect(loads.reduce((sum, { taken }) => sum + taken, 0)).toBeCloseTo(minutes, 6);
  expect(loads.reduce((sum, { visits }) => sum + visits, 0)).toBe(plan.flat().length);
  for (const load of loads) expect(load.taken).toBeLessThanOrEqual(load.minutes);
});

it('tells how a plan differs from the one before', () => {
  const before = [
    [
      { day: 1, items: [0, 1] },
      { day: 8, items: [2] },
    ],
    [{ day: 1, items: [0] }],
  ];
  const after = [
    [
      { day: 1, items: [1, 0] },
      { day: 9, items: [2] },
    ],
    [{ day: 1, items: [0, 3] }],
  ];
  expect(planChange(before, after)).toEqual({ kept: 1, changed: 1, added: 1, dropped: 1 });
  expect(planChange([], after)).toEqual({ kept: 0, changed: 0, added: 3, dropped: 0 });
});
