import { addDays, civilDate } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { machineSchedule } from '../schedule/machineSchedule.js';
import { scheduleContext } from '../schedule/scheduleContext.js';
import { done, every, everyHours, facts, item, SITE } from '../schedule/testing/facts.js';
import { randomMachine } from '../schedule/testing/randomMachine.js';
import { seeded } from '../usage/backTest/seeded.js';
import { plannerMachine } from './fromSchedule.js';
import { usedOn } from './lateness.js';
import { USUAL_MARGINS } from './seasonEdges.js';
import { lateWork } from './simulate.js';
import type { SimulatedVisit } from './simulate.js';

const HORIZON = 84;

/** What a machine is found to be late with, on a day with its facts and these visits. */
function found(
  of: ReturnType<typeof facts>,
  today: CivilDate,
  visits: readonly SimulatedVisit[],
  site = SITE,
) {
  const context = scheduleContext(site, today);
  const schedule = machineSchedule(of, context);
  const late = lateWork({ facts: of, schedule }, visits, context, (on) => scheduleContext(site, on));
  return { schedule, late };
}

describe('what is late when it is done, by the rules of the schedule', () => {
  const today = civilDate('2027-05-10');
  /** An hour a day since the beginning of April. */
  const mower = facts({
    readings: [
      ['2027-04-10', 100],
      ['2027-04-24', 114],
      ['2027-05-10', 130],
    ],
    items: [item('oil', [everyHours(25)]), item('belts', [every(30, 'day')])],
    history: { oil: done(['2027-04-24', 114]), belts: done(['2027-04-30', 120]) },
  });

  it('is what is past its hours or its days, as far as the machine runs as is expected', () => {
    // Oil is due at 139, belts on 30 May, day 20.
    const visits = [{ day: 25, itemIds: ['belts'] }];
    expect(found(mower, today, visits).late).toEqual([{ itemId: 'belts', day: 25, hours: 0, days: 5 }]);
    const { schedule, late } = found(mower, today, [{ day: 50, itemIds: ['oil'] }]);
    const then = schedule.usage.lifeOn(addDays(today, 50))?.expected ?? 0;
    expect(late).toEqual([{ itemId: 'oil', day: 50, hours: expect.closeTo(then - 139, 1), days: 0 }]);
  });

  it('counts from the last time that it was done in the plan', () => {
    const visits = [15, 44, 80].map((day) => ({ day, itemIds: ['belts'] }));
    expect(found(mower, today, visits).late).toEqual([{ itemId: 'belts', day: 80, hours: 0, days: 6 }]);
  });

  it('is nothing of what is done in time, or not at all', () => {
    expect(found(mower, today, [{ day: 10, itemIds: ['oil', 'belts'] }]).late).toEqual([]);
    expect(found(mower, today, []).late).toEqual([]);
  });
});

describe('the planner and the schedule', () => {
  /** Intervals that the planner counts as the schedule does: from the last time, in engine hours or days. */
  const isExact = (triggers: readonly { readonly kind: string }[]) =>
    triggers.length > 0 &&
    triggers.every(
      (trigger) =>
        (trigger.kind === 'everyHours' && 'meter' in trigger && trigger.meter === 'engine') ||
        (trigger.kind === 'everyCalendar' && 'unit' in trigger && trigger.unit === 'day'),
    ) &&
    new Set(triggers.map(({ kind }) => kind)).size === triggers.length;

  it.each([1, 2, 3, 4])('agree on what is late by how much, where the planner is exact: %i', (block) => {
    let compared = 0;
    for (let seed = block * 1000; seed < block * 1000 + 120; seed += 1) {
      const { facts: all, site, today } = randomMachine(seed);
      const items = all.items.filter(({ triggers }) => isExact(triggers));
      const of = { ...all, items, omitted: [], attachments: [], history: plainHistory(all.history, today) };
      const random = seeded(seed);
      const days = [7, 30, 62].map((day) => day + Math.floor(random() * 10));
      const visits = days.map((day) => ({ day, itemIds: items.map(({ id }) => id) }));
      const { schedule, late } = found(of, today, visits, site);
      const machine = plannerMachine(
        {
          id: 'm',
          schedule,
          setUp: 0,
          shared: [],
          items: schedule.answers.map((answer) => ({
            answer,
            minutes: 1,
            needs: [],
            worth: 0,
            notBefore: 0,
          })),
          defects: [],
          annual: 'autumn',
          locked: [],
          published: [],
        },
        { today, horizon: HORIZON, grid: site.grid, margins: USUAL_MARGINS },
      );
      for (const own of machine.items)
        for (const [at, day] of days.entries()) {
          const used = usedOn(machine, own, days[at - 1] ?? null, day);
          const there = late.find((each) => each.itemId === own.id && each.day === day);
          // Of what nobody knows the last time the schedule sets no limit, and the planner has it due now.
          const isKnown =
            at > 0 || schedule.answers.some(({ item: { id }, limits }) => id === own.id && limits.length > 0);
          if (own.hours !== null && own.hoursToMark === null && isKnown) {
            compared += 1;
            expect([seed, own.id, day, there?.hours ?? 0]).toEqual([
              seed,
              own.id,
              day,
              expect.closeTo(Math.max(0, used.hours - own.hours), 0),
            ]);
          }
        }
    }
    expect(compared).toBeGreaterThan(50);
  });
});

/** Only what was done or declared until a day: a judgement sets a limit of its own. */
function plainHistory(history: ReturnType<typeof facts>['history'], today: CivilDate) {
  const until = ({ on }: { readonly on: CivilDate }) => on <= today;
  return new Map(
    [...history].map(
      ([id, { completions, declared }]) =>
        [id, { completions: completions.filter(until), declared: declared.filter(until) }] as const,
    ),
  );
}
