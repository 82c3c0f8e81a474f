import { highsRuntime } from '../solver/testing/loadedHighs.js';
import { coarsen } from './coarsen.js';
import type { PlannerInstance, PlannerMachine } from './instance.js';
import { planSeason, plannerSolver } from './planSeason.js';
import { inventedSite } from './testing/invented.js';
import { plainMachine } from './testing/plain.js';
import { walked } from './testing/walked.js';

const HORIZON = 35;
const DAYS = [1, 4, 8, 11, 15, 18, 22, 29].map((day) => ({ day, minutes: 60, bays: 2 }));
const instance = (over: Partial<PlannerMachine> = {}): PlannerInstance => ({
  horizon: HORIZON,
  days: DAYS,
  machines: [plainMachine(HORIZON, [{ hours: 20 }, { days: 30 }], over)],
  readyCost: 8,
  layUpCost: 2,
  published: null,
});
const machineOf = (over: Partial<PlannerMachine>) => coarsen(instance(over), 14).machines[0];

it('takes the days of far weeks together, with the minutes and places of all', () => {
  expect(coarsen(instance(), 14).days).toEqual([
    ...DAYS.slice(0, 4),
    { day: 18, minutes: 120, bays: 4 },
    { day: 22, minutes: 60, bays: 2 },
    { day: 29, minutes: 60, bays: 2 },
  ]);
  expect(coarsen(instance(), HORIZON)).toEqual(instance());
});

it('has a machine missing in a week only where it is needed on all days of it', () => {
  expect(machineOf({ blocked: [4, 18] })?.blocked).toEqual([4]);
  expect(machineOf({ blocked: [15, 18] })?.blocked).toEqual([15, 18]);
  expect(machineOf({ blocked: [15] })?.blocked).toEqual([15]);
  const awayCost = Array.from({ length: HORIZON }, (_, day) => day);
  expect(machineOf({ awayCost, blocked: [15] })?.awayCost[18]).toBe(18);
  expect(machineOf({ awayCost })?.awayCost[18]).toBe(15);
});

it('keeps what is settled in its week, all of a week in one visit', () => {
  const locked = [
    { day: 4, items: [0] },
    { day: 15, items: [1] },
    { day: 18, items: [0] },
  ];
  expect(machineOf({ locked })?.locked).toEqual([
    { day: 4, items: [0] },
    { day: 18, items: [0, 1] },
  ]);
});

it('makes half a year one that is planned like any other', async () => {
  const far = coarsen(inventedSite({ machines: 6, weeks: 26, seed: 1, load: 0.7 }), 84);
  expect(far.days.filter(({ day }) => day >= 84).length).toBeLessThanOrEqual(14);
  let time = 0;
  const now = () => (time += 1);
  const found = planSeason(far, plannerSolver(await highsRuntime()), { milliseconds: 40, gap: 0.01, now });
  const judged = walked(far, found.plan);
  expect(judged.faults).toEqual([]);
  expect(judged.cost).toBeCloseTo(found.cost, 4);
});
