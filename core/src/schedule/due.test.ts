import { answerOn, done, every, everyHours, item, judged, point, scheduleOn } from './testing/facts.js';

const OIL = item('oil', [everyHours(50), every(12, 'month')]);
/** It came with 192.4 h on the eve of the season and runs as planned, 7 h a week. */
const WORKING = {
  entry: { ...point('2026-03-23', 192.4), cameNew: false },
  participation: [{ seasonId: 'mowing', hoursPerWeek: 7 }],
};

describe('every 50 h or 12 months', () => {
  it('is overdue strictly past the hours, with how much over', () => {
    // Last done at 212.4 h, so due at 262.4 h; at 268.6 h it is 6.2 h over, 56.2 of 50 h used.
    const answer = answerOn('2026-05-13', 'oil', {
      items: [OIL],
      readings: [['2026-05-12', 268.6]],
      history: { oil: done(['2026-04-20', 212.4]) },
    });
    expect(answer).toMatchObject({
      state: 'overdue',
      baseline: { kind: 'completion', on: '2026-04-20', life: 212.4 },
      deciding: { kind: 'hours', at: 262.4, left: -6.2, overdue: true },
    });
    expect(answer.deciding?.used).toBeCloseTo(56.2 / 50);
  });

  it.each([
    // 5 h of 50 are its window: 257.4 is the first ripe hour, 262.4 still ripe, 262.5 overdue.
    ['2026-04-20', 257.3, 'coming'],
    ['2026-04-20', 257.4, 'ripe'],
    ['2026-04-20', 262.4, 'ripe'],
    ['2026-04-20', 262.5, 'overdue'],
    // 14 days of a year are its window: a year after 27 May is ripe on 13 May, after 13 May still, after 12 May over.
    ['2025-05-28', 213, 'coming'],
    ['2025-05-27', 213, 'ripe'],
    ['2025-05-13', 213, 'ripe'],
    ['2025-05-12', 213, 'overdue'],
    ['2025-06-13', 213, 'fine'],
    ['2025-06-12', 213, 'coming'],
  ])('done on %s at 212.4 h, now at %d h: %s', (on, life, state) => {
    // A machine that stood still but for one day: hours alone bring nothing within 30 days.
    const readings = [
      ['2026-02-10', life],
      ['2026-05-12', life],
    ] as const;
    const answer = answerOn('2026-05-13', 'oil', {
      items: [OIL],
      readings:
        state === 'coming' && life === 257.3
          ? [
              ['2026-05-05', 251.7],
              ['2026-05-12', life],
            ]
          : readings,
      history: { oil: done([on, 212.4]) },
    });
    expect(answer.state).toBe(state);
  });

  it('lets the limit that comes first decide, hours or calendar, and dates it', () => {
    // 7 h a week planned and run, 1 a day: 50 h after 20 May at 212.4 is 262.4; from 242.4 on 12 May 20 days: 1 June.
    const readings = [
      ['2026-03-24', 193.4],
      ['2026-05-12', 242.4],
    ] as const;
    const byHours = answerOn('2026-05-13', 'oil', {
      ...WORKING,
      items: [OIL],
      readings,
      history: { oil: done(['2025-06-20', 212.4]) },
    });
    expect(byHours.deciding).toMatchObject({ kind: 'hours', left: 20 });
    expect(byHours.expectedOn).toBe('2026-06-01');
    const byDate = answerOn('2026-05-13', 'oil', {
      ...WORKING,
      items: [OIL],
      readings,
      history: { oil: done(['2025-05-30', 212.4]) },
    });
    expect(byDate.deciding).toMatchObject({ kind: 'calendar', on: '2026-05-30' });
    expect(byDate).toMatchObject({
      earlyOn: expect.any(String),
      expectedOn: '2026-05-30',
      lateOn: '2026-05-30',
    });
  });

  it('gives the range in which it is expected, early before late', () => {
    const answer = answerOn('2026-05-13', 'oil', {
      ...WORKING,
      items: [item('oil', [everyHours(50)])],
      readings: [
        ['2026-03-24', 193.4],
        ['2026-05-12', 242.4],
      ],
      history: { oil: done(['2026-04-20', 212.4]) },
    });
    expect(String(answer.earlyOn) < String(answer.expectedOn)).toBe(true);
    expect(String(answer.expectedOn) < String(answer.lateOn)).toBe(true);
  });
});

describe('calendar intervals', () => {
  it.each([
    // Month ends clamp; leap years have a 29 February; a day is a day when the clocks change on it.
    [1, 'month', '2026-01-31', '2026-02-28'],
    [1, 'month', '2028-01-31', '2028-02-29'],
    [12, 'month', '2028-02-29', '2029-02-28'],
    [24, 'month', '2026-02-28', '2028-02-28'],
    [7, 'day', '2026-03-24', '2026-03-31'],
    [7, 'day', '2026-10-21', '2026-10-28'],
    [366, 'day', '2028-01-01', '2029-01-01'],
  ] as const)('every %i %s after %s is %s', (count, unit, doneOn, on) => {
    const answer = answerOn(doneOn, 'x', {
      items: [item('x', [every(count, unit)])],
      history: { x: done([doneOn, 10]) },
    });
    expect(answer.deciding).toMatchObject({ kind: 'calendar', on });
  });

  it('ripen within a tenth, at least a day and at most 14: a weekly one the day before', () => {
    const weekly = { items: [item('x', [every(7, 'day')])], history: { x: done(['2026-05-01', 10]) } };
    expect(answerOn('2026-05-06', 'x', weekly).state).toBe('coming');
    expect(answerOn('2026-05-07', 'x', weekly).state).toBe('ripe');
    expect(answerOn('2026-05-08', 'x', weekly).state).toBe('ripe');
    expect(answerOn('2026-05-09', 'x', weekly).state).toBe('overdue');
  });
});

describe('hours counted as multiples on the meter', () => {
  const onMeter = (life: number, over = {}) =>
    answerOn('2026-05-13', 'x', {
      items: [item('x', [everyHours(50, { grid: 'onMeter' })], over)],
      readings: [['2026-05-13', Math.max(life, 140)]],
      history: { x: done(['2026-05-01', life]) },
    }).deciding;

  it.each([
    // N = 50, window 5 h: more than 5 h above the last time. 96 + 5 = 101 → 150; 94.9 + 5 = 99.9 → 100; 130 → 150.
    [96, 150],
    [95, 150],
    [94.9, 100],
    [100, 150],
    [130, 150],
    [145, 200],
  ])('done at %d h, next at %d h', (life, at) => {
    expect(onMeter(life)).toMatchObject({ kind: 'hours', at });
  });

  it('follows a window of its own, and a duty factor', () => {
    // A window of 2 h: 96 + 2 = 98 → 100. Half of 50 h is 25, window 2.5: 96 + 2.5 = 98.5 → 100; 98 + 2.5 → 125.
    expect(onMeter(96, { window: { hours: 2, days: null } })).toMatchObject({ at: 100 });
    expect(onMeter(96, { dutyFactor: 0.5 })).toMatchObject({ at: 100 });
    expect(onMeter(98, { dutyFactor: 0.5 })).toMatchObject({ at: 125 });
  });

  it('begins with the first multiple of a new machine, however close it came to it', () => {
    const entry = { ...point('2026-04-01', 48), cameNew: true };
    expect(
      answerOn('2026-05-13', 'x', { items: [item('x', [everyHours(50)])], entry }, { grid: 'onMeter' }),
    ).toMatchObject({
      deciding: { at: 50, left: 2 },
    });
  });
});

describe('running-in', () => {
  const items = [
    item('oil', [{ kind: 'firstHours', hours: 5, meter: 'engine' }, everyHours(50), every(12, 'month')]),
    item('bolts', [{ kind: 'firstCalendar', count: 1, unit: 'month', inUse: null }, every(12, 'month')]),
  ];
  const entry = { ...point('2026-04-01', 0.4), cameNew: true };

  it('replaces the trigger of its kind while nothing was done, and leaves the other kind', () => {
    // 5 life hours, not 5 after the 0.4 it came with; the yearly limit of the oil still counts: 1 April 2027.
    const answer = answerOn('2026-04-10', 'oil', { items, entry, readings: [['2026-04-09', 4.2]] });
    expect(answer.limits.map((limit) => (limit.kind === 'hours' ? limit.at : limit.on))).toEqual([
      5,
      '2027-04-01',
    ]);
    // A month after going into service, 1 May; not a year.
    expect(answerOn('2026-04-10', 'bolts', { items, entry }).limits).toMatchObject([{ on: '2026-05-01' }]);
  });

  it('is over with the first time it was done', () => {
    // Done at 6.1 h: next 56.1 h.
    const history = { oil: done(['2026-04-12', 6.1]) };
    expect(answerOn('2026-04-20', 'oil', { items, entry, history }).limits).toContainEqual(
      expect.objectContaining({ at: 56.1 }),
    );
  });

  it('does not concern a machine bought used', () => {
    const used = { ...entry, cameNew: false };
    expect(answerOn('2026-04-20', 'oil', { items, entry: used }).state).toBe('noRecord');
    const declared = { oil: { completions: [], declared: [point('2026-03-01', 0)] } };
    expect(answerOn('2026-04-20', 'oil', { items, entry: used, history: declared }).limits).toContainEqual(
      expect.objectContaining({ at: 50 }),
    );
  });
});

describe('the baseline', () => {
  it('is the entry into service of a machine that came new, and none for a used one', () => {
    expect(answerOn('2026-05-13', 'oil', { items: [OIL] }).baseline.kind).toBe('enteredService');
    const used = { ...point('2025-04-01', 88), cameNew: false };
    expect(answerOn('2026-05-13', 'oil', { items: [OIL], entry: used })).toMatchObject({
      state: 'noRecord',
      deciding: null,
      limits: [],
      expectedOn: null,
    });
  });

  it('is what was declared until it is done', () => {
    const declared = { completions: [], declared: [point('2026-01-10', 80)] };
    const of = (history: object) =>
      answerOn('2026-05-13', 'oil', { items: [OIL], history: { oil: { ...declared, ...history } } });
    expect(of({}).baseline).toMatchObject({ kind: 'declared', life: 80 });
    expect(
      of(done(['2025-12-01', 70]).completions.length ? { completions: [point('2025-12-01', 70)] } : {})
        .baseline,
    ).toMatchObject({
      kind: 'completion',
      life: 70,
    });
  });

  it('is the latest time of those done early, late or entered out of order', () => {
    const history = { oil: done(['2026-03-01', 160], ['2026-01-05', 60], ['2026-02-01', 118]) };
    // 160 + 50 = 210.
    expect(answerOn('2026-05-13', 'oil', { items: [OIL], history }).limits).toContainEqual(
      expect.objectContaining({ at: 210 }),
    );
  });
});

describe('a judgement in place of the book', () => {
  const items = [
    item('belt', [everyHours(200)], { components: ['fanBelt'] }),
    item('look', [everyHours(50)], { components: ['fanBelt'], action: 'inspect' }),
  ];
  const readings = [['2026-05-13', 205]] as const;

  it('inspected and kept: due at its re-check point, and not done', () => {
    const kept = { ...done(), extensions: [judged('kept', ['2026-05-10', 204], 230, null)] };
    const answer = answerOn('2026-05-13', 'belt', { items, readings, history: { belt: kept } });
    expect(answer).toMatchObject({
      baseline: { kind: 'enteredService' },
      state: 'fine',
      deciding: { at: 230, left: 25 },
    });
    // Looking at it to keep it was an inspection: next at 204 + 50.
    expect(
      answerOn('2026-05-13', 'look', { items, readings, history: { belt: kept } }).deciding,
    ).toMatchObject({ at: 254 });
  });

  it('deferred: due at the new limit, hours or date, whichever comes first', () => {
    const deferred = { ...done(), extensions: [judged('deferred', ['2026-05-10', 204], 230, '2026-05-20')] };
    expect(answerOn('2026-05-13', 'belt', { items, readings, history: { belt: deferred } })).toMatchObject({
      state: 'coming',
      deciding: { kind: 'calendar', on: '2026-05-20', left: 7 },
    });
  });

  it('ends when the item is done', () => {
    const past = {
      ...done(['2026-05-12', 204.5]),
      extensions: [judged('deferred', ['2026-05-10', 204], 230, null)],
    };
    expect(
      answerOn('2026-05-13', 'belt', { items, readings, history: { belt: past } }).deciding,
    ).toMatchObject({ at: 404.5 });
  });
});

describe('a meter replaced between two services', () => {
  it('goes on counting life hours', () => {
    // The old meter ended at 60.0; the new one shows 40.0: life 100.0. Oil done at life 65.0 is due at 115.0.
    const { answers, life } = scheduleOn('2026-05-11', {
      items: [item('oil', [everyHours(50)])],
      segments: [
        { startsAt: Date.parse('2025-04-01') as never, offset: 0 },
        { startsAt: Date.parse('2026-04-15T12:00:00Z') as never, offset: 60 },
      ],
      readings: [
        ['2026-05-10', 40],
        ['2026-04-15', 0],
      ],
      history: { oil: done(['2026-04-20', 65]) },
    });
    expect(life).toBe(100);
    expect(answers[0]?.deciding).toMatchObject({ at: 115, left: 15 });
  });
});
