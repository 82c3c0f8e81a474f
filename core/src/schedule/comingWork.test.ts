import fc from 'fast-check';
import { addDays, civilDate, dateOfDayNumber, dayNumber } from '../calendar/civilDate.js';
import { lastRun } from '../usage/passed.js';
import { machineSchedule } from './machineSchedule.js';
import { scheduleContext } from './scheduleContext.js';
import { done, every, everyHours, item, scheduleOn } from './testing/facts.js';
import { stoppedOn, workingTime } from './workingTime.js';
import type { MachineStatus } from './workingTime.js';
import { randomMachine } from './testing/randomMachine.js';

describe('the work that is coming, whatever the machine', () => {
  const DAYS = 364;
  const scheduled = fc.integer({ min: 2000, max: 900_000 }).map((seed) => {
    const { facts, site, today } = randomMachine(seed);
    const schedule = machineSchedule(facts, scheduleContext(site, today));
    const day = dayNumber(today);
    const stopped = stoppedOn(facts.status, lastRun(schedule.points) ?? day);
    const again = workingTime(schedule.plan, facts.status, stopped, day).workingDayFrom(day);
    const workingOn = again === null ? null : dateOfDayNumber(again);
    return { schedule, today, workingOn, until: addDays(today, DAYS) };
  });
  const runs = { seed: 5, numRuns: 200 };

  it('begins with what the schedule says of each item, of what rests when the machine works again; what has no date does not come', () => {
    fc.assert(
      fc.property(scheduled, ({ schedule, today, workingOn, until }) => {
        const coming = schedule.comingUntil(until);
        for (const { item, state, expectedOn, earlyOn } of schedule.answers) {
          const first = coming.find((each) => each.item.id === item.id);
          const from = state === 'resting' ? workingOn : today;
          const isThere =
            from !== null && from <= until && expectedOn !== null && (earlyOn ?? expectedOn) <= until;
          expect([item.id, first !== undefined]).toEqual([item.id, isThere]);
          if (first && expectedOn !== null && from !== null)
            expect(first.expectedOn).toBe(expectedOn < from ? from : expectedOn);
        }
      }),
      runs,
    );
  });

  it('comes in order, within the days asked for, once at most today', () => {
    fc.assert(
      fc.property(scheduled, ({ schedule, today, until }) => {
        const coming = schedule.comingUntil(until);
        for (const id of new Set(coming.map(({ item }) => item.id))) {
          const own = coming.filter(({ item }) => item.id === id);
          expect(own.map(({ nth }) => nth)).toEqual(own.map((_each, at) => at));
          const days = own.map(({ expectedOn }) => expectedOn);
          expect(days).toEqual([...days].sort());
          expect(days.filter((day) => day === today).length).toBeLessThanOrEqual(1);
          for (const { earlyOn, expectedOn, lateOn } of own) {
            expect(earlyOn !== null && earlyOn >= today && earlyOn <= until).toBe(true);
            expect(earlyOn !== null && earlyOn <= expectedOn).toBe(true);
            if (lateOn !== null) expect(lateOn >= expectedOn).toBe(true);
          }
        }
      }),
      runs,
    );
  });
});

describe('worked by hand', () => {
  const dates = (today: string, triggers: Parameters<typeof item>[1], doneOn: string, until: string) =>
    scheduleOn(today, { items: [item('a', triggers)], history: { a: done([doneOn, 10]) } })
      .comingUntil(civilDate(until))
      .map(({ expectedOn, nth }) => [nth, expectedOn]);

  it('what is due every half year comes twice a year', () => {
    expect(dates('2027-01-01', [every(6, 'month')], '2026-11-01', '2027-12-31')).toEqual([
      [0, '2027-05-01'],
      [1, '2027-11-01'],
    ]);
  });

  it('what was missed several times is done once today, and comes again where its interval ends', () => {
    expect(dates('2027-01-10', [every(1, 'month')], '2026-08-01', '2027-03-15')).toEqual([
      [0, '2027-01-10'],
      [1, '2027-02-01'],
      [2, '2027-03-01'],
    ]);
  });

  it('what counts days in use comes when the machine works again, not through the winter', () => {
    const participation = [{ seasonId: 'mowing', hoursPerWeek: 8 }];
    const weekly = [every(14, 'day', true)];
    const coming = (status: MachineStatus) =>
      scheduleOn('2027-01-10', {
        items: [item('a', weekly)],
        history: { a: done(['2026-10-20', 10]) },
        participation,
        status,
      })
        .comingUntil(civilDate('2027-04-30'))
        .map(({ expectedOn }) => expectedOn);
    // Its day fell into the rest: it is wanted when the season begins again on 24 March, and every 14 days from then.
    expect(coming({ kind: 'inService', since: null })).toEqual(['2027-03-24', '2027-04-07', '2027-04-21']);
    expect(coming({ kind: 'laidUp', since: civilDate('2026-11-01') })).toEqual([]);
  });

  it('what ran out before the machine came to rest comes when it works again', () => {
    const coming = scheduleOn('2027-01-10', {
      items: [item('a', [everyHours(5)])],
      history: { a: done(['2026-09-01', 10]) },
      participation: [{ seasonId: 'mowing', hoursPerWeek: 8 }],
      readings: [['2026-10-20', 20]],
    }).comingUntil(civilDate('2027-03-25'));
    expect(coming[0]?.expectedOn).toBe('2027-03-24');
  });

  it('what has no interval comes once', () => {
    const first = [{ kind: 'firstCalendar', count: 30, unit: 'day', inUse: null } as const];
    const schedule = scheduleOn('2025-04-10', { items: [item('a', first)] });
    const coming = schedule.comingUntil(civilDate('2026-04-10'));
    expect(coming.map(({ expectedOn }) => expectedOn)).toEqual(['2025-05-01']);
  });
});
