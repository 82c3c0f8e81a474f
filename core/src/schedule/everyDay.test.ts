import fc from 'fast-check';
import { CONSEQUENCES } from '../component/consequence.js';
import { addDays, civilDate, daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { isRoundWork } from '../walk/roundWork.js';
import { DUE_STATES } from './dueState.js';
import { compareUrgency } from './order.js';
import type { Urgency } from './order.js';
import { answerOn, done, every, everyHours, item, scheduleOn } from './testing/facts.js';

/** What the everyday work rests on, whatever its intervals, lay-ups and rounds. */

const FIRST = civilDate('2026-04-01');
const later = (most: number) => fc.integer({ min: 0, max: most }).map((days) => addDays(FIRST, days));
const latestOf = (a: CivilDate, b: CivilDate) => (a > b ? a : b);

describe('a walk-round', () => {
  const intervals = fc.oneof(
    fc.integer({ min: 1, max: 10 }).map((hours) => everyHours(hours)),
    fc.integer({ min: 1, max: 14 }).map((days) => every(days, 'day')),
  );

  it('completes its lines: they count from its day and hours, and none of them is overdue', () => {
    const rounds = fc.array(fc.record({ day: later(200), hours: fc.integer({ min: 0, max: 50 }) }), {
      minLength: 1,
      maxLength: 8,
    });
    fc.assert(
      fc.property(intervals, rounds, (trigger, walked) => {
        const work = item('check', [trigger], { action: 'inspect' });
        expect(isRoundWork(work, 5)).toBe(true);
        // A machine that runs in time: each round finds at least the hours of the one before.
        const days = walked.map(({ day }) => day).sort();
        const hours = walked.map(({ hours: own }) => own).sort((a, b) => a - b);
        const points = days.map((day, at): [string, number] => [day, hours[at] ?? 0]);
        const [on, life] = points.at(-1) ?? ['', 0];
        const of = { items: [work], readings: points, history: { check: done(...points) } };
        const answer = answerOn(on, 'check', of);
        expect(answer.baseline).toMatchObject({ kind: 'completion', on, life });
        expect(['overdue', 'noRecord']).not.toContain(answer.state);
        // The order in which rounds are told makes no difference.
        const told = { ...of, history: { check: done(...points.toReversed()) } };
        expect(answerOn(on, 'check', told)).toEqual(answer);
      }),
    );
  });
});

describe('a calendar in use', () => {
  it('runs out on its day, or on the day of return where that is later, over whatever lay-up', () => {
    const kinds = fc.constantFrom('laidUp' as const, 'outOfService' as const);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 31 }),
        later(300),
        fc.integer({ min: 0, max: 120 }),
        fc.integer({ min: 0, max: 120 }),
        kinds,
        (interval, last, away, back, kind) => {
          const of = {
            items: [item('check', [every(interval, 'day')])],
            history: { check: done([last, 10]) },
          };
          const left = addDays(last, away);
          const returned = addDays(left, back);
          // While it is away it rests, though it was overdue before, and has no date.
          for (const on of new Set([left, addDays(left, Math.floor(back / 2)), returned])) {
            const answer = answerOn(on, 'check', { ...of, status: { kind, since: left } });
            expect([answer.state, answer.expectedOn]).toEqual(['resting', null]);
          }
          const due = latestOf(addDays(last, interval), returned);
          const answer = answerOn(returned, 'check', {
            ...of,
            status: { kind: 'inService', since: returned },
          });
          expect(answer.deciding).toMatchObject({ on: due, left: daysBetween(returned, due) });
          expect(answer.state).not.toBe('overdue');
          // A day past it is overdue, as in any other week.
          const past = answerOn(addDays(due, 1), 'check', {
            ...of,
            status: { kind: 'inService', since: returned },
          });
          expect(past).toMatchObject({ state: 'overdue', deciding: { left: -1 } });
        },
      ),
    );
  });

  it('does not hold up work by hours: the first of both to come decides once it works again', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 31 }), fc.integer({ min: 0, max: 90 }), (interval, hours) => {
        const work = item('check', [every(interval, 'day'), everyHours(50)]);
        const readings = [['2026-06-01', 100 + hours]] as const;
        const of = { items: [work], readings, history: { check: done(['2026-05-01', 100]) } };
        const { limits } = answerOn('2026-06-01', 'check', {
          ...of,
          status: { kind: 'inService', since: civilDate('2026-06-01') },
        });
        expect(limits.find(({ kind }) => kind === 'hours')).toMatchObject({ left: 50 - hours });
        const resting = scheduleOn('2026-06-01', {
          ...of,
          status: { kind: 'laidUp', since: civilDate('2026-05-20') },
        });
        expect(resting.answers.map(({ state }) => state)).toEqual(['resting']);
      }),
    );
  });
});

describe('the order of consequences', () => {
  const urgencies = fc.record({
    state: fc.constantFrom(...DUE_STATES),
    consequence: fc.constantFrom(...CONSEQUENCES),
    used: fc.integer({ min: 0, max: 4 }),
    expectedOn: fc.option(later(3)),
  });
  const sign = (a: Urgency, b: Urgency) => Math.sign(compareUrgency(a, b));

  it('is total: of any two one comes first or both are alike, and of three none goes round in a ring', () => {
    fc.assert(
      fc.property(urgencies, urgencies, urgencies, (a, b, c) => {
        // Plus nought: equals are alike both ways.
        expect(sign(a, b) + sign(b, a)).toBe(0);
        expect(sign(a, a)).toBe(0);
        if (sign(a, b) <= 0 && sign(b, c) <= 0) expect(sign(a, c)).toBeLessThanOrEqual(0);
        if (sign(a, b) === 0 && sign(b, c) === 0) expect(sign(a, c)).toBe(0);
      }),
      { numRuns: 2000 },
    );
  });

  it('is stable: however a list was shuffled, it comes out the same but for what is alike', () => {
    fc.assert(
      fc.property(fc.array(urgencies, { maxLength: 12 }), (list) => {
        const [forth, back] = [list.toSorted(compareUrgency), list.toReversed().toSorted(compareUrgency)];
        for (const [at, one] of forth.entries()) {
          const other = back[at];
          if (!other) throw new Error('A list grew shorter.');
          expect(sign(one, other)).toBe(0);
        }
      }),
    );
  });
});
