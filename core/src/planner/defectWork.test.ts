import { civilDate } from '../calendar/civilDate.js';
import { highsRuntime } from '../solver/testing/loadedHighs.js';
import { mendBy, mendingItem, mendingMinutes, usualMinutes } from './defectWork.js';
import type { PlannableDefect } from './defectWork.js';
import type { PlannerInstance } from './instance.js';
import { loadAhead } from './loadAhead.js';
import { planSeason, plannerSolver } from './planSeason.js';
import { plainMachine } from './testing/plain.js';
import { planTroubles } from './troubles.js';

const TODAY = civilDate('2027-05-10');
const HORIZON = 84;

const defect = (over: Partial<PlannableDefect> = {}): PlannableDefect => ({
  id: 'belt',
  severity: 'soon',
  foundOn: TODAY,
  minutes: null,
  ...over,
});

/** A machine with nothing to do but this. */
function withDefect(of: PlannableDefect): PlannerInstance {
  const item = mendingItem(of, TODAY);
  return {
    horizon: HORIZON,
    days: Array.from({ length: 24 }, (_, at) => ({ day: 1 + at * 3, minutes: 120, bays: 1 })),
    machines: [plainMachine(HORIZON, item ? [item] : [])],
    readyCost: 8,
    layUpCost: 2,
    published: null,
  };
}

it('what is to be mended soon is mended within a fortnight, what stops a machine at once, what is watched at no day', () => {
  expect(mendBy(defect())).toBe('2027-05-24');
  expect(mendBy(defect({ severity: 'stop' }))).toBe('2027-05-10');
  expect(mendBy(defect({ severity: 'watch' }))).toBeNull();
});

it('takes as long as somebody said, and as usual where nobody did', () => {
  expect(mendingItem(defect({ minutes: 95 }), TODAY)).toMatchObject({ id: 'belt', minutes: 95 });
  expect(mendingItem(defect(), TODAY)?.minutes).toBe(usualMinutes('soon'));
  expect(mendingItem(defect({ severity: 'stop' }), TODAY)?.minutes).toBe(usualMinutes('stop'));
  expect([mendingItem(defect({ severity: 'watch' }), TODAY), usualMinutes('watch')]).toEqual([null, null]);
  // Watched, and mended along the way all the same.
  expect(
    [{ minutes: null }, { minutes: 20 }].map((said) => mendingMinutes({ severity: 'watch', ...said })),
  ).toEqual([0, 20]);
});

it('is done once, counted from the day on which it was found', () => {
  expect(mendingItem(defect({ foundOn: civilDate('2027-05-05') }), TODAY)?.once).toEqual({
    from: 0,
    due: 9,
  });
  // However long ago it should have been.
  expect(mendingItem(defect({ foundOn: civilDate('2026-01-05') }), TODAY)?.once).toEqual({
    from: 0,
    due: -1,
  });
});

it.each([
  ['in time, where it is to be soon', defect(), 14],
  ['at the first chance, where its machine is stopped', defect({ severity: 'stop' }), 1],
  ['at the first chance, where it should have been', defect({ foundOn: civilDate('2027-03-01') }), 1],
])('has a visit of its own: %s', async (_why, of, until) => {
  const { growing, solve } = plannerSolver(await highsRuntime());
  let t = 0;
  const effort = { milliseconds: 400, gap: 1e-9, now: () => (t += 1) };
  const [visits] = planSeason(withDefect(of), { growing, solve }, effort).plan;
  expect(visits).toEqual([{ day: expect.any(Number), items: [0] }]);
  expect(visits?.[0]?.day).toBeLessThanOrEqual(until);
});

it('asks for no visit while it is only watched', async () => {
  const { growing, solve } = plannerSolver(await highsRuntime());
  let t = 0;
  const effort = { milliseconds: 400, gap: 1e-9, now: () => (t += 1) };
  expect(planSeason(withDefect(defect({ severity: 'watch' })), { growing, solve }, effort).plan).toEqual([
    [],
  ]);
});

it('is news where no visit mends it in time, and no news once it is late', () => {
  const late = (of: PlannableDefect) => planTroubles(withDefect(of), [[]], 28);
  expect(late(defect())).toEqual([{ kind: 'notPlanned', machine: 0, items: [0] }]);
  expect(late(defect({ severity: 'stop' }))).toEqual([{ kind: 'notPlanned', machine: 0, items: [0] }]);
  expect(late(defect({ foundOn: civilDate('2027-03-01') }))).toEqual([]);
});

it('counts in the year ahead in the week in which it is to be done, this one where it is late', () => {
  const weeksOf = (of: PlannableDefect) =>
    loadAhead(withDefect(of)).weeks.flatMap(({ expected }, week) => (expected > 0 ? [week] : []));
  expect(weeksOf(defect())).toEqual([2]);
  expect(weeksOf(defect({ foundOn: civilDate('2027-03-01') }))).toEqual([0]);
});
