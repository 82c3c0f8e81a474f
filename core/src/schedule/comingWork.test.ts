import fc from 'fast-check';
import { addDays, civilDate } from '../calendar/civilDate.js';
import { machineSchedule } from './machineSchedule.js';
import { scheduleContext } from './scheduleContext.js';
import { done, every, item, scheduleOn } from './testing/facts.js';
import { randomMachine } from './testing/randomMachine.js';

describe('the work that is coming, whatever the machine', () => {
  const DAYS = 364;
  const scheduled = fc.integer({ min: 2000, max: 900_000 }).map((seed) => {
    const { facts, site, today } = randomMachine(seed);
    const schedule = machineSchedule(facts, scheduleContext(site, today));
    return { schedule, today, until: addDays(today, DAYS) };
  });
  const runs = { seed: 5, numRuns: 200 };

  it('begins with what the schedule says of each item, and nothing that rests or has no date comes', () => {
    fc.assert(
      fc.property(scheduled, ({ schedule, today, until }) => {
        const coming = schedule.comingUntil(until);
        for (const { item, state, expectedOn, earlyOn } of schedule.answers) {
          const first = coming.find((each) => each.item.id === item.id);
          const isThere = state !== 'resting' && expectedOn !== null && (earlyOn ?? expectedOn) <= until;
          expect([item.id, first !== undefined]).toEqual([item.id, isThere]);
          if (first && expectedOn !== null)
            expect(first.expectedOn).toBe(expectedOn < today ? today : expectedOn);
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

  it('what has no interval comes once', () => {
    const first = [{ kind: 'firstCalendar', count: 30, unit: 'day', inUse: null } as const];
    const schedule = scheduleOn('2025-04-10', { items: [item('a', first)] });
    const coming = schedule.comingUntil(civilDate('2026-04-10'));
    expect(coming.map(({ expectedOn }) => expectedOn)).toEqual(['2025-05-01']);
  });
});
