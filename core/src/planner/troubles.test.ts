import type { PlannerInstance, PlannerItem, PlannerMachine } from './instance.js';
import { plainMachine } from './testing/plain.js';
import { planTroubles } from './troubles.js';

const HORIZON = 56;

/** One hour a day, so that the oil is due in ten days and late after fifteen. */
const machine = (over: Partial<PlannerMachine> = {}, item: Partial<PlannerItem> = {}): PlannerMachine =>
  plainMachine(HORIZON, [{ hours: 50, usedHours: 40, ...item }], over);

const instance = (...machines: PlannerMachine[]): PlannerInstance => ({
  horizon: HORIZON,
  days: [4, 8, 12, 16, 20].map((day) => ({ day, minutes: 60, bays: 1 })),
  machines,
  readyCost: 8,
  layUpCost: 2,
  published: null,
});

const on = (...days: number[]) => days.map((day) => ({ day, items: [0] }));
const troubles = (of: PlannerMachine, visits: { day: number; items: number[] }[], until = 28) =>
  planTroubles(instance(of), [visits], until);

it('a plan that holds has none', () => {
  expect(troubles(machine(), on(8))).toEqual([]);
});

it.each([
  ['after more hours than was thought', machine({}, { usedHours: 49 }), [8]],
  ['after more days', machine({}, { hours: null, days: 100, usedDays: 98 }), [16]],
  ['of work that is done once', machine({}, { hours: null, once: { from: 0, due: 6 } }), [8]],
])('work that is late on its day is told: %s', (_why, of, days) => {
  expect(troubles(of, on(...days))).toEqual([{ kind: 'late', machine: 0, day: days[0], items: [0] }]);
});

it('what is late today already is no news on its card', () => {
  expect(troubles(machine({}, { usedHours: 70 }), on(8))).toEqual([]);
});

it('what comes again is held against the time before it in the plan', () => {
  const short = machine({}, { hours: 10, usedHours: 2 });
  expect(troubles(short, on(8, 16))).toEqual([]);
  expect(troubles(short, on(4, 16))).toEqual([{ kind: 'late', machine: 0, day: 16, items: [0] }]);
});

it('what passes its limit soon and is on no card is told, not what does so later', () => {
  expect(troubles(machine(), [], 28)).toEqual([{ kind: 'notPlanned', machine: 0, items: [0] }]);
  expect(troubles(machine(), [], 14)).toEqual([]);
});

it('a card before its parts are here, on a closed day, or while its machine is needed', () => {
  expect(troubles(machine({}, { notBefore: 9 }), on(8))).toEqual([
    { kind: 'noParts', machine: 0, day: 8, items: [0] },
  ]);
  expect(troubles(machine(), on(9))).toEqual([{ kind: 'closed', machine: 0, day: 9 }]);
  expect(troubles(machine({ blocked: [8] }), on(8))).toEqual([{ kind: 'needed', machine: 0, day: 8 }]);
});

it('a day with more than there is time or room for is told once', () => {
  const both = instance(machine(), machine());
  expect(planTroubles(both, [on(8), on(8)], 28)).toEqual([{ kind: 'tooFull', day: 8 }]);
  const long = instance(machine({}, { minutes: 51 }));
  expect(planTroubles(long, [on(8)], 28)).toEqual([{ kind: 'tooFull', day: 8 }]);
});
