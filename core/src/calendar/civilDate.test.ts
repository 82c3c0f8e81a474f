import fc from 'fast-check';
import { addDays, addMonths, civilDate, daysBetween, parseCivilDate } from './civilDate.js';
import { civilDateAt, instant, instantOnDay } from './instant.js';

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

  it('refuses what names no moment', () => {
    expect(() => instant('soon')).toThrow(RangeError);
  });
});
