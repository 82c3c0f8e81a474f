import fc from 'fast-check';
import {
  addDays,
  addMonths,
  civilDate,
  dateOfDayNumber,
  dayNumber,
  daysBetween,
  parseCivilDate,
} from './civilDate.js';
import type { CivilDate } from './civilDate.js';
import { instant, instantOnDay } from './instant.js';
import type { Instant } from './instant.js';
import { civilDateAt } from './zoneDay.js';

describe('civil dates', () => {
  it.each([
    ['2026-01-31', 1, '2026-02-28'],
    ['2028-01-31', 1, '2028-02-29'],
    ['2028-02-29', 12, '2029-02-28'],
    ['2026-08-31', 6, '2027-02-28'],
    ['2026-12-15', 1, '2027-01-15'],
    ['2026-03-31', -1, '2026-02-28'],
  ])('%s + %i months is %s: month ends clamp', (from, months, to) => {
    expect(addMonths(civilDate(from), months)).toBe(to);
  });

  it.each(['2026-02-29', '2026-13-01', '2026-1-1', '26-01-01', 'yesterday', ''])('refuses %p', (text) => {
    expect(parseCivilDate(text)).toBeNull();
    expect(() => civilDate(text)).toThrow(RangeError);
  });

  it('counts over the days on which clocks change', () => {
    // 2026: clocks go forward on 29 March and back on 25 October in Europe.
    expect(daysBetween(civilDate('2026-03-28'), civilDate('2026-03-30'))).toBe(2);
    expect(addDays(civilDate('2026-10-24'), 2)).toBe('2026-10-26');
  });

  it('undoes what it adds', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -20_000, max: 40_000 }),
        fc.integer({ min: -5000, max: 5000 }),
        (day, days) => {
          const date = addDays(civilDate('1990-01-01'), day);
          expect(daysBetween(date, addDays(date, days))).toBe(days);
        },
      ),
      { seed: 1 },
    );
  });
});

describe('date arithmetic', () => {
  it('agrees with the calendar of the platform on every day of four centuries', () => {
    for (let day = dayNumber(civilDate('1800-01-01')); day < dayNumber(civilDate('2200-01-01')); day += 1) {
      const text = new Date(day * 86_400_000).toISOString().slice(0, 10);
      if (dateOfDayNumber(day) !== text || dayNumber(text as CivilDate) !== day)
        throw new Error(`${text} is wrong.`);
    }
  });
});

describe('the date at a moment', () => {
  it('is that of the zone, not of UTC', () => {
    const lateEvening = instant('2026-11-23T23:30:00Z');
    expect(civilDateAt(lateEvening, 'Europe/London')).toBe('2026-11-23');
    expect(civilDateAt(lateEvening, 'Europe/Berlin')).toBe('2026-11-24');
    expect(civilDateAt(lateEvening, 'America/Chicago')).toBe('2026-11-23');
  });

  it.each([
    ['2026-07-01', 12, 'Europe/Berlin', '2026-07-01T10:00:00.000Z'],
    ['2026-01-01', 12, 'Europe/Berlin', '2026-01-01T11:00:00.000Z'],
    ['2026-03-29', 12, 'Europe/Berlin', '2026-03-29T10:00:00.000Z'],
    ['2026-10-25', 12, 'America/Chicago', '2026-10-25T17:00:00.000Z'],
  ])('%s %i:00 in %s is %s', (date, hour, zone, utc) => {
    expect(new Date(instantOnDay(civilDate(date), hour, zone)).toISOString()).toBe(utc);
  });

  it('is right up to the second of midnight on days when the clocks change', () => {
    // London goes to summer time on 29 March 2026 at 01:00 UTC: midnight of the 30th is 23:00 UTC of the 29th.
    expect(civilDateAt(instant('2026-03-29T22:59:59Z'), 'Europe/London')).toBe('2026-03-29');
    expect(civilDateAt(instant('2026-03-29T23:00:00Z'), 'Europe/London')).toBe('2026-03-30');
    // And back on 25 October at 01:00 UTC: midnight of the 26th is 00:00 UTC again.
    expect(civilDateAt(instant('2026-10-25T23:59:59Z'), 'Europe/London')).toBe('2026-10-25');
    expect(civilDateAt(instant('2026-10-26T00:00:00Z'), 'Europe/London')).toBe('2026-10-26');
  });

  it('agrees with the formatter of the platform at any moment, in any zone', () => {
    const zones = [
      'Europe/London',
      'America/Chicago',
      'Australia/Lord_Howe',
      'Asia/Kathmandu',
      'Pacific/Apia',
    ];
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2e9 }), fc.constantFrom(...zones), (seconds, timeZone) => {
        const at = (seconds * 1000) as Instant;
        const parts = new Intl.DateTimeFormat('en-CA', { timeZone, dateStyle: 'short' }).format(at);
        expect(civilDateAt(at, timeZone)).toBe(parts);
      }),
      { seed: 7, numRuns: 500 },
    );
  });

  it('refuses what names no moment', () => {
    expect(() => instant('soon')).toThrow(RangeError);
  });
});

describe('the day at a place', () => {
  // Clocks of Britain go forward at 1:00 on 28 March 2027 and back at 2:00 on 31 October (last Sundays).
  it.each([
    ['2027-03-27T23:59:59Z', '2027-03-27'],
    ['2027-03-28T00:00:00Z', '2027-03-28'],
    ['2027-03-28T22:59:59Z', '2027-03-28'],
    ['2027-03-28T23:00:00Z', '2027-03-29'],
    ['2027-10-30T23:00:00Z', '2027-10-31'],
    ['2027-10-31T23:59:59Z', '2027-10-31'],
    ['2027-11-01T00:00:00Z', '2027-11-01'],
    ['2027-07-01T22:59:59Z', '2027-07-01'],
    ['2027-07-01T23:00:00Z', '2027-07-02'],
  ])('in London at %s is %s, however often it is asked for', (at, day) => {
    expect([1, 2, 3].map(() => civilDateAt(instant(at), 'Europe/London'))).toEqual([day, day, day]);
  });
});
