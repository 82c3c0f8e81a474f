import {
  baselineWords,
  limitWords,
  reasonWords,
  standingWords,
  unresolvedWords,
} from '../schedule/dueWords.js';
import { ruleWords } from '../schedule/triggerWords.js';
import { calendarLimit, dueLine, hoursLimit } from '../testing/fixtures.js';
import { tapeMarks } from '../schedule/hoursTape.js';
import { dayWords, momentWords, nearDayWords } from './dates.js';
import { hoursWords, moneyWords, parseFigure } from './figures.js';

const TODAY = '2027-05-13';
const hours = hoursLimit;
const calendar = calendarLimit;
const line = dueLine;

describe('the words of a schedule', () => {
  it('say why in one sentence', () => {
    expect(reasonWords(line(), TODAY)).toBe(
      'Engine oil and filter: 6.2 h over 50 h, last done 12 May at 212.4 h',
    );
    const unknown = line({
      state: 'noRecord',
      limits: [],
      baseline: { kind: 'noRecord', on: null, life: null },
    });
    expect(reasonWords(unknown, TODAY)).toBe(
      'Engine oil and filter: never recorded, say when it was last done',
    );
  });

  it.each([
    [hours({ left: 3.4, expectedOn: '2027-05-14' }), 'in 3.4 h, about tomorrow'],
    [hours({ left: 3.4, expectedOn: '2027-05-18' }), 'in 3.4 h, about Tuesday'],
    [hours({ left: 140, expectedOn: null }), 'in 140.0 h'],
    [hours({ left: 0 }), 'due now, every 50 h'],
    [calendar(), 'by 20 May'],
    [calendar({ left: 0, on: TODAY }), 'due today, every year'],
    [calendar({ left: -1, on: '2027-05-12' }), '1 day over a year'],
    [
      calendar({ rule: { kind: 'everyCalendar', count: 7, unit: 'day', inUse: null }, left: -9 }),
      '9 days over a week',
    ],
    [hours({ meter: 'loader', left: 3 }), 'in 3.0 loader h, about 10 May'],
    [
      calendar({ rule: { kind: 'seasonEdge', season: 'Mowing', edge: 'first', offsetDays: -14 }, left: -2 }),
      '2 days late, due 14 days before Mowing begins',
    ],
  ])('a limit: %#', (limit, words) => {
    expect(limitWords(limit, TODAY)).toBe(words);
  });

  it.each([
    ['noMeter', { kind: 'everyHours', hours: 10, meter: 'loader', grid: null }, 'needs its loader’s hours'],
    [
      'noSeason',
      { kind: 'seasonEdge', season: 'Hay', edge: 'last', offsetDays: 0 },
      'its season is not planned',
    ],
    [
      'noOtherItem',
      { kind: 'everyNth', n: 2, itemId: 'x', everyTimeAboveHours: null },
      'the item it goes with is not on record',
    ],
  ] as const)('say what a rule that cannot count is wanting: %s', (code, trigger, words) => {
    const line = dueLine({ state: 'noRecord', limits: [], unresolved: [{ code, trigger }] });
    expect(standingWords(line, TODAY)).toBe(words);
    expect(unresolvedWords(line)).toHaveLength(1);
  });

  it('tell days that wait for the machine from those that run on', () => {
    const days = (inUse: boolean | null) =>
      ruleWords([{ kind: 'everyCalendar', count: 40, unit: 'day', inUse }]);
    expect([days(null), days(true), days(false)]).toEqual([
      'every 40 days',
      'every 40 days in use',
      'every 40 days, rest or not',
    ]);
  });

  it('give the rule with its hours first', () => {
    const everyMonths = (count: number) =>
      ({ kind: 'everyCalendar', count, unit: 'month', inUse: null }) as const;
    expect(ruleWords([everyMonths(12), hours().rule])).toBe('every 50 h or a year');
    expect(ruleWords([everyMonths(24)])).toBe('every 2 years');
    expect(ruleWords([everyMonths(12)])).toBe('every year');
    expect(ruleWords([{ kind: 'firstHours', hours: 5, meter: 'engine' }, hours().rule])).toBe(
      'first at 5 h, then every 50 h',
    );
    const second = { kind: 'everyNth', n: 2, itemId: 'o', everyTimeAboveHours: 100 } as const;
    expect(ruleWords([second, second], () => 'Oil')).toBe(ruleWords([second], () => 'Oil'));
    expect(ruleWords([{ kind: 'everyNth', n: 2, itemId: 'o', everyTimeAboveHours: 100 }], () => 'Oil')).toBe(
      'with every 2nd "Oil", every time above 100 h a year',
    );
    expect(ruleWords([{ kind: 'storage', days: 30 }])).toBe('every 30 days in storage');
    expect(ruleWords([])).toBe('never by itself');
  });

  it('tell where the interval counts from', () => {
    expect(baselineWords({ kind: 'declared', on: '2026-11-02', life: 1190 }, TODAY)).toBe(
      'last done 2 Nov 2026 at 1\u2009190.0 h, as declared',
    );
    expect(baselineWords({ kind: 'enteredService', on: '2027-04-01', life: 0 }, TODAY)).toBe(
      'new on 1 Apr at 0.0 h',
    );
  });
});

describe('figures', () => {
  it.each([
    ['412.6', 412.6],
    ['412,6', 412.6],
    [' 1 196.7 ', 1196.7],
    ['1\u2009196.7', 1196.7],
    ['.5', 0.5],
    ['7.', 7],
    ['-3', -3],
  ])('typed as %p are %p', (typed, figure) => {
    expect(parseFigure(typed)).toBe(figure);
  });

  it.each(['', 'abc', '1.2.3', '12h', '1,234.5', 'Infinity', '1e3'])('typed as %p are none', (typed) => {
    expect(parseFigure(typed)).toBeNaN();
  });

  it('are shown as meters, jars and tills show them', () => {
    expect(hoursWords(12_345.64)).toBe('12\u2009345.6');
    expect(hoursWords(-0.5)).toBe('−0.5');
    expect(moneyWords(2890, 'GBP')).toBe('£28.90');
  });
});

describe('days', () => {
  it('are named by how near they are', () => {
    const near = ['2027-05-13', '2027-05-14', '2027-05-12', '2027-05-19', '2027-05-20', '2028-01-02'];
    expect(near.map((day) => nearDayWords(day, TODAY))).toEqual([
      ...['today', 'tomorrow', 'yesterday', 'on Wednesday', '20 May', '2 Jan 2028'],
    ]);
    expect(dayWords('2027-05-13', '2028-01-01')).toBe('13 May 2027');
  });

  it('go by the clock of the site', () => {
    expect(momentWords('2027-05-12T16:10:00Z', 'Europe/London', TODAY)).toBe('12 May, 17:10');
    expect(momentWords('2026-05-12T16:10:00Z', 'Europe/London', TODAY)).toBe('12 May 2026, 17:10');
    // The new year begins there half a day before it does in Greenwich.
    expect(momentWords('2026-12-31T23:30:00Z', 'Pacific/Auckland', '2027-01-01')).toBe('1 Jan, 12:30');
    expect(momentWords('2027-01-01T02:00:00Z', 'America/Los_Angeles', '2027-01-01')).toBe(
      '31 Dec 2026, 18:00',
    );
  });
});

describe('the tape', () => {
  it('places hours limits where they are, and calendar limits where the machine will be by then', () => {
    // 7 days at 14 h a week are 14 h.
    const marks = tapeMarks(
      [line(), line({ itemId: 'fuel', state: 'ripe', limits: [calendar()] })],
      14,
      TODAY,
    );
    expect(marks).toEqual([
      { itemId: 'oil', state: 'overdue', kind: 'hours', at: -6.2 },
      { itemId: 'fuel', state: 'ripe', kind: 'calendar', at: 14 },
    ]);
  });

  it('keeps what is far over at its left end, and leaves out what is beyond its right or has no place', () => {
    expect(tapeMarks([line({ limits: [hours({ left: -80 })] })], 14, TODAY)[0]?.at).toBe(-10);
    expect(tapeMarks([line({ limits: [hours({ left: 60.1 })] })], 14, TODAY)).toEqual([]);
    expect(tapeMarks([line({ limits: [calendar()] })], null, TODAY)).toEqual([]);
  });
});
