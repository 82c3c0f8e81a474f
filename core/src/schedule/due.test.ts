import fc from 'fast-check';
import { addDays, civilDate } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { lifeHours } from '../meter/lifeHours.js';
import type { UsageModel } from '../usage/usageModel.js';
import { dueOf } from './due.js';
import type { ItemHistory } from './baseline.js';
import type { ScheduleItem, Trigger } from './item.js';

const TODAY = civilDate('2026-05-13');
const OIL: ScheduleItem = {
  id: 'oil',
  name: 'Engine oil and filter',
  triggers: [
    { kind: 'everyHours', hours: 50 },
    { kind: 'everyCalendar', count: 12, unit: 'month' },
  ],
};
const NEW = { on: civilDate('2024-04-01'), life: lifeHours(0), cameNew: true };
const USED = { ...NEW, life: lifeHours(88), cameNew: false };
const NOTHING: ItemHistory = { completions: [], declared: [] };

/** Two hours a day from today's `life` on. */
function twoADay(life: number): UsageModel {
  return { hoursPerWeek: 14, dateReached: (at) => addDays(TODAY, Math.ceil((at - life) / 2)) };
}

function standing(life: number, today: CivilDate = TODAY) {
  return { today, life, usage: twoADay(life) };
}

function done(on: string, life: number): ItemHistory {
  return { completions: [{ on: civilDate(on), life: lifeHours(life) }], declared: [] };
}

function only(trigger: Trigger): ScheduleItem {
  return { id: 'x', name: 'x', triggers: [trigger] };
}

describe('the rule for due, every 50 h or 12 months', () => {
  it('is fine while both limits are far', () => {
    // Done at 366.0 h, so due at 416.0; from 370 h that is 46 h, at 2 h a day 23 days: coming.
    expect(dueOf(OIL, done('2026-05-01', 366), NEW, standing(370)).state).toBe('coming');
    // A machine that stands still has only the calendar: 1 May 2027 is 353 days off.
    const still = { today: TODAY, life: 370, usage: { hoursPerWeek: 0, dateReached: () => null } };
    expect(dueOf(OIL, done('2026-05-01', 366), NEW, still).state).toBe('fine');
  });

  it('is overdue strictly past the hours, with how much over', () => {
    // Last done at 212.4 h, so due at 262.4 h; at 268.6 h it is 6.2 h over.
    const answer = dueOf(OIL, done('2026-04-20', 212.4), NEW, standing(268.6));
    expect(answer).toMatchObject({
      state: 'overdue',
      baseline: { kind: 'completion', on: '2026-04-20', life: 212.4 },
      deciding: { kind: 'hours', at: 262.4, left: -6.2, overdue: true },
    });
    expect(answer.deciding?.used).toBeCloseTo(56.2 / 50);
  });

  it('is ripe, not overdue, exactly at the limit', () => {
    expect(dueOf(OIL, done('2026-04-20', 212.4), NEW, standing(262.4)).state).toBe('ripe');
    expect(dueOf(OIL, done('2025-05-13', 212.4), NEW, standing(215)).state).toBe('ripe');
    expect(dueOf(OIL, done('2025-05-12', 212.4), NEW, standing(215))).toMatchObject({
      state: 'overdue',
      deciding: { kind: 'calendar', on: '2026-05-12', left: -1 },
    });
  });

  it('becomes ripe within a tenth of the interval: 5 h of 50, 14 days of a year', () => {
    expect(dueOf(OIL, done('2026-04-20', 212.4), NEW, standing(257.4)).state).toBe('ripe');
    expect(dueOf(OIL, done('2026-04-20', 212.4), NEW, standing(257.3)).state).toBe('coming');
    expect(dueOf(OIL, done('2025-05-27', 212.4), NEW, standing(213)).state).toBe('ripe');
    expect(dueOf(OIL, done('2025-05-28', 212.4), NEW, standing(213)).state).toBe('coming');
  });

  it('lets the limit that comes first decide, hours or calendar', () => {
    // 20 h left at 2 h a day is 23 May; a year after 20 May 2025 is 20 May.
    const calendar = dueOf(OIL, done('2025-06-20', 212.4), NEW, standing(232.4));
    expect(calendar.deciding?.kind).toBe('hours');
    expect(calendar.expectedOn).toBe('2026-05-28');
    const hours = dueOf(OIL, done('2025-05-28', 212.4), NEW, standing(222.4));
    expect(hours.deciding?.kind).toBe('calendar');
    expect(hours.expectedOn).toBe('2026-05-28');
  });

  it('clamps month ends: done on 29 February, due on 28 February', () => {
    const yearly = only({ kind: 'everyCalendar', count: 12, unit: 'month' });
    expect(
      dueOf(yearly, done('2028-02-29', 10), NEW, standing(11, civilDate('2028-03-01'))).deciding,
    ).toMatchObject({
      on: '2029-02-28',
    });
  });
});

describe('the baseline', () => {
  it('is the entry into service of a machine that came new', () => {
    expect(dueOf(OIL, NOTHING, { ...NEW, on: civilDate('2026-04-01') }, standing(30)).baseline.kind).toBe(
      'enteredService',
    );
  });

  it('is none for a used machine: treated as due, in a state of its own', () => {
    expect(dueOf(OIL, NOTHING, USED, standing(90))).toMatchObject({
      state: 'noRecord',
      deciding: null,
      limits: [],
    });
  });

  it('is what was declared until it is done', () => {
    const declared = { completions: [], declared: [{ on: civilDate('2026-01-10'), life: lifeHours(80) }] };
    expect(dueOf(OIL, declared, USED, standing(90)).baseline).toMatchObject({ kind: 'declared', life: 80 });
    const both = { ...declared, completions: done('2025-12-01', 70).completions };
    expect(dueOf(OIL, both, USED, standing(90)).baseline).toMatchObject({ kind: 'completion', life: 70 });
  });

  it('does not depend on the order in which facts were entered', () => {
    const points = [done('2026-01-01', 10), done('2026-03-01', 60), done('2026-02-01', 30)].flatMap(
      (each) => each.completions,
    );
    fc.assert(
      fc.property(fc.shuffledSubarray(points, { minLength: 3 }), (completions) => {
        expect(dueOf(OIL, { completions, declared: [] }, NEW, standing(70)).baseline).toMatchObject({
          life: 60,
        });
      }),
      { seed: 4 },
    );
  });
});

describe('properties', () => {
  const RANK = ['overdue', 'noRecord', 'ripe', 'coming', 'fine'];

  it('running more never makes an item less due', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 212, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (life, more) => {
          const before = dueOf(OIL, done('2026-01-20', 212), NEW, standing(life));
          const later = dueOf(OIL, done('2026-01-20', 212), NEW, standing(life + more));
          return RANK.indexOf(later.state) <= RANK.indexOf(before.state);
        },
      ),
      { seed: 5 },
    );
  });

  it('doing it never makes it more due', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 700 }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (daysAgo, hoursAgo) => {
          const before = done(addDays(TODAY, -daysAgo), 400 - hoursAgo);
          const now = {
            ...before,
            completions: [...before.completions, { on: TODAY, life: lifeHours(400) }],
          };
          const [was, is] = [dueOf(OIL, before, NEW, standing(400)), dueOf(OIL, now, NEW, standing(400))];
          return RANK.indexOf(is.state) >= RANK.indexOf(was.state);
        },
      ),
      { seed: 6 },
    );
  });
});
