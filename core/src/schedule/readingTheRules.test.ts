import { civilDate } from '../calendar/civilDate.js';
import type { Attachment } from '../meter/attachment.js';
import type { EveryNth, Trigger } from './trigger.js';
import { answerOn, done, every, everyHours, item, judged, scheduleOn } from './testing/facts.js';

/** How rules are read where they meet: one example by hand for each (docs/schedule.md has them in a mechanic's words). */

const MOWS = { participation: [{ seasonId: 'mowing', hoursPerWeek: 7 }] };
const nth = (n: number, itemId: string): EveryNth => ({
  kind: 'everyNth',
  n,
  itemId,
  everyTimeAboveHours: null,
});

describe('the limit that comes first', () => {
  it('decides even if another is already ripe', () => {
    // 1 h a week: the 10 h left of 100 (ripe) last ten weeks, until April. The date is 21 February, 20 days off: coming.
    const oil = item('oil', [everyHours(100), every(12, 'month')]);
    const answer = answerOn('2026-02-01', 'oil', {
      items: [oil],
      readings: [
        ['2025-11-03', 177],
        ['2026-02-01', 190],
      ],
      history: { oil: done(['2025-02-21', 100]) },
    });
    expect(answer.limits.map(({ kind, ripe }) => [kind, ripe])).toEqual([
      ['calendar', false],
      ['hours', true],
    ]);
    expect(answer).toMatchObject({
      state: 'coming',
      expectedOn: '2026-02-21',
      deciding: { on: '2026-02-21' },
    });
  });

  it('is never one in hand while another was passed', () => {
    // Exactly 100.0 h since 1 October, not over; the date was 15 October.
    const oil = item('oil', [everyHours(50), every(6, 'month')]);
    const answer = answerOn('2026-11-01', 'oil', {
      items: [oil],
      readings: [
        ['2026-04-15', 50],
        ['2026-10-01', 100],
      ],
      history: { oil: done(['2026-04-15', 50]) },
    });
    expect(answer).toMatchObject({ state: 'overdue', deciding: { on: '2026-10-15' } });
  });

  it('may come any day now, where it is ripe and nobody can say how much the machine runs', () => {
    // One reading tells no habit: 5 h of 50 left are within the window, a year of the calendar is far away.
    const oil = item('oil', [everyHours(50), every(12, 'month')]);
    const answer = answerOn('2026-05-12', 'oil', {
      items: [oil],
      readings: [['2026-05-12', 57.4]],
      history: { oil: done(['2026-05-10', 12.4]) },
      entry: { on: civilDate('2026-05-12'), life: 57.4 as never, cameNew: false },
    });
    expect(answer).toMatchObject({ state: 'ripe', deciding: { kind: 'hours', left: 5 } });
  });
});

describe('every n-th time', () => {
  const dusty = item('oil', [everyHours(50)], { dutyFactor: 0.5 });

  it('goes with the other item, its duty factor included', () => {
    // Every third of a 50 h line that dust halves: 3 × 25 = 75 h.
    const filter = item('filter', [nth(3, 'oil')]);
    const answer = answerOn('2025-06-01', 'filter', {
      items: [dusty, filter],
      readings: [['2025-05-01', 20]],
    });
    expect(answer.deciding).toMatchObject({ kind: 'hours', at: 75 });
  });

  it('counts regular intervals from a running-in on', () => {
    // First at 8 h, then every 50: the third time is at 108 h.
    const oil = item('oil', [{ kind: 'firstHours', hours: 8, meter: 'engine' }, everyHours(50)]);
    const answer = answerOn('2025-06-01', 'filter', {
      items: [oil, item('filter', [nth(3, 'oil')])],
      readings: [['2025-05-01', 5]],
    });
    expect(answer).toMatchObject({ state: 'fine', deciding: { at: 108 } });
  });

  it('is ripe on its very day, and overdue from the next', () => {
    const of = {
      items: [item('oil', [everyHours(50)]), item('filter', [nth(2, 'oil')])],
      history: { oil: done(['2025-09-01', 50], ['2026-05-12', 100]) },
      readings: [['2026-05-12', 100]] as const,
    };
    expect(answerOn('2026-05-12', 'filter', of)).toMatchObject({ state: 'ripe', deciding: { left: 0 } });
    expect(answerOn('2026-05-13', 'filter', of)).toMatchObject({ state: 'overdue', deciding: { left: -1 } });
  });

  it('follows a judgement on the other item', () => {
    // Oil was put off at 100 h until 120 h: the second time, with the filter, is then; a third 50 h later.
    const oil = item('oil', [everyHours(50)]);
    const history = {
      oil: { ...done(['2025-09-01', 50]), extensions: [judged('deferred', ['2026-05-01', 100], 120, null)] },
    };
    const at = (n: number) =>
      answerOn('2026-05-02', 'filter', {
        items: [oil, item('filter', [nth(n, 'oil')])],
        history,
        readings: [['2026-05-01', 100]],
      }).deciding;
    expect(at(2)).toMatchObject({ at: 120 });
    expect(at(3)).toMatchObject({ at: 170 });
  });

  it('goes with a line that goes with another, and no further, however many lines go with each other', () => {
    const chain = [
      item('a', [everyHours(50)]),
      item('b', [nth(2, 'a')]),
      item('c', [nth(3, 'b')]),
      item('d', [nth(2, 'c')]),
    ];
    const at = (id: string) => answerOn('2025-06-01', id, { items: chain }).deciding;
    // Twice 50 h, three times that; the fourth in the row would be the twelfth time of the first, and is not reckoned.
    expect([at('b'), at('c')]).toMatchObject([{ at: 100 }, { at: 300 }]);
    expect(answerOn('2025-06-01', 'd', { items: chain }).unresolved).toMatchObject([{ code: 'noOtherItem' }]);
    // A book in which each of 200 lines goes with eight others is answered like any.
    const ids = Array.from({ length: 200 }, (_, index) => index);
    const knot = ids.map((index) =>
      item(
        `k${index}`,
        Array.from({ length: 8 }, (_, step) => nth(50, `k${(index + step + 1) % 200}`)),
      ),
    );
    expect(scheduleOn('2025-06-01', { items: knot }).answers).toHaveLength(200);
  });

  it('says nothing of a time that no calendar is about', () => {
    const rare = item('rare', [{ kind: 'everyCalendar', count: 3650, unit: 'month', inUse: null }]);
    const rarer = item('rarer', [nth(50, 'rare')]);
    const answer = answerOn('2026-06-01', 'rarer', { items: [rare, rarer] });
    expect(answer).toMatchObject({ state: 'fine', limits: [] });
  });

  it('shares the window of the other item', () => {
    // Every second 25 h: due at 50; 2.5 h before, as for 25 h, not 5 h.
    const items = [item('grease', [everyHours(25)]), item('clean', [nth(2, 'grease')])];
    const stateAt = (life: number) =>
      answerOn('2025-06-01', 'clean', { items, readings: [['2025-05-31', life]], history: {} }).deciding
        ?.ripe;
    expect([stateAt(47.4), stateAt(47.5)]).toEqual([false, true]);
  });
});

describe('running-in', () => {
  it('takes the place of the interval of the same meter, in whatever words', () => {
    // Deck hours of a machine without a deck meter are the engine's: first at 5 in place of every 25.
    const triggers: Trigger[] = [
      { kind: 'firstHours', hours: 5, meter: 'deck' },
      everyHours(25, { meter: 'engine' }),
    ];
    expect(answerOn('2025-05-01', 'x', { items: [item('x', triggers)] }).limits).toMatchObject([{ at: 5 }]);
  });
});

describe('hours on the meter', () => {
  it('are multiples of the interval itself, not of its rounding', () => {
    // Every 33.3 h, a quarter sooner: 24.975 h; the fourth multiple is 99.9 h. Of the rounded 24.98 it would be 99.92.
    const dusty = item('x', [everyHours(33.3, { grid: 'onMeter' })], { dutyFactor: 0.75 });
    const answer = answerOn('2026-05-12', 'x', {
      items: [dusty],
      history: { x: done(['2026-05-01', 74.9]) },
      readings: [['2026-05-12', 84]],
    });
    expect(answer.deciding).toMatchObject({ at: 99.9 });
  });
});

describe('the edge of the working time', () => {
  it('is that after the last time, however long ago that was', () => {
    const edge: Trigger = { kind: 'seasonEdge', season: null, edge: 'first', offsetDays: 0 };
    const answer = answerOn('2030-05-01', 'x', {
      ...MOWS,
      items: [item('x', [edge])],
      history: { x: done(['2025-10-01', 10]) },
    });
    expect(answer.deciding).toMatchObject({ on: '2026-03-24', overdue: true });
  });
});

describe('what was done of a line that the machine does not have any more', () => {
  it('still renews', () => {
    const look = item('look', [everyHours(25)], { action: 'inspect', components: ['airFilter'] });
    const replace = item('replace', [everyHours(100)], { components: ['airFilter'] });
    const history = { replace: done(['2026-05-01', 90]) };
    const readings = [['2026-05-10', 100]] as const;
    const asked = answerOn('2026-05-12', 'look', { items: [look, replace], history, readings });
    const left = answerOn('2026-05-12', 'look', { items: [look], omitted: [replace], history, readings });
    expect(left).toEqual(asked);
    expect(left).toMatchObject({ state: 'fine', baseline: { life: 90 } });
  });
});

describe('records dated after today', () => {
  it('do not count, nor do readings', () => {
    const oil = item('oil', [everyHours(50)]);
    const of = {
      items: [oil],
      history: { oil: done(['2026-04-01', 50], ['2026-06-01', 90]) },
      readings: [
        ['2026-05-01', 70],
        ['2026-06-01', 90],
      ] as const,
    };
    expect(answerOn('2026-05-12', 'oil', of)).toMatchObject({
      baseline: { life: 50 },
      deciding: { left: 30 },
    });
  });
});

describe('ten years', () => {
  it('is as far as dates are told', () => {
    const due = (months: number) =>
      answerOn('2026-05-12', 'x', {
        items: [item('x', [every(months, 'month')])],
        history: { x: done(['2026-05-12', 1]) },
      }).expectedOn;
    expect([due(120), due(121)]).toEqual(['2036-05-12', null]);
  });
});

describe('a judgement', () => {
  const hours: Attachment = {
    meter: 'loader',
    hours: { kind: 'share', share: 0.2, hoursAtStart: 0, engineAtStart: 0 },
  };

  it('counts the hours of the meter it names', () => {
    const pins = item('pins', [everyHours(10, { meter: 'loader' })]);
    const until30 = { ...judged('kept', ['2026-05-01', 100], 30, null), meter: 'loader' as const };
    const answer = answerOn('2026-05-12', 'pins', {
      items: [pins],
      attachments: [hours],
      readings: [['2026-05-10', 120]],
      history: { pins: { completions: [], declared: [], extensions: [until30] } },
    });
    // 24 of the loader's hours at 120 of the engine's: 6 left.
    expect(answer.deciding).toMatchObject({ meter: 'loader', at: 30, left: 6 });
  });

  it('without any limit says nothing', () => {
    const oil = item('oil', [everyHours(50)]);
    const history = {
      oil: { ...done(['2026-04-01', 50]), extensions: [judged('kept', ['2026-05-01', 60], null, null)] },
    };
    expect(answerOn('2026-05-12', 'oil', { items: [oil], history }).deciding).toMatchObject({ at: 100 });
  });
});
