import { holidaysOf, NoCalendar } from './holidays.js';

const SPAN = { from: '2026-12-01', until: '2027-12-31' };

const calendar = (...events: string[][]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//holidays//EN',
    ...events.flatMap((lines, at) => [
      'BEGIN:VEVENT',
      `UID:${at}`,
      'DTSTAMP:20260101T000000Z',
      ...lines,
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
    '',
  ].join('\r\n');

it('a whole day is a day off, and its end is the day after (RFC 5545, 3.6.1)', () => {
  const text = calendar(
    ['DTSTART;VALUE=DATE:20261225', 'DTEND;VALUE=DATE:20261227', 'SUMMARY:Christmas'],
    ['DTSTART;VALUE=DATE:20270101', 'SUMMARY:New Year'],
  );
  expect(holidaysOf(text, SPAN)).toEqual([
    { on: '2026-12-25', note: 'Christmas' },
    { on: '2026-12-26', note: 'Christmas' },
    { on: '2027-01-01', note: 'New Year' },
  ]);
});

it('what comes every year comes in the years that are looked at, by its rule', () => {
  // The last Monday of May: 31 May 2027.
  const text = calendar([
    'DTSTART;VALUE=DATE:20000529',
    'RRULE:FREQ=YEARLY;BYMONTH=5;BYDAY=-1MO',
    'SUMMARY:Spring holiday',
  ]);
  expect(holidaysOf(text, SPAN)).toEqual([{ on: '2027-05-31', note: 'Spring holiday' }]);
});

it('a day named twice is told once, and what was cancelled or is out of time is not', () => {
  const text = calendar(
    ['DTSTART;VALUE=DATE:20270325', 'SUMMARY:Good day'],
    ['DTSTART;VALUE=DATE:20270325', 'SUMMARY:The same'],
    ['DTSTART;VALUE=DATE:20270401', 'STATUS:CANCELLED', 'SUMMARY:Off'],
    ['DTSTART;VALUE=DATE:20250401', 'SUMMARY:Past'],
  );
  expect(holidaysOf(text, SPAN)).toEqual([{ on: '2027-03-25', note: 'Good day' }]);
});

it('an event at an hour is the day on which it begins, wherever its zone is', () => {
  const text = calendar(['DTSTART:20270610T220000Z', 'DTEND:20270611T030000Z', 'SUMMARY:Night fair']);
  expect(holidaysOf(text, SPAN)).toEqual([{ on: '2027-06-10', note: 'Night fair' }]);
});

it('an event that never ends comes to an end', () => {
  const text = calendar(['DTSTART;VALUE=DATE:19000101', 'RRULE:FREQ=DAILY', 'SUMMARY:Always']);
  expect(holidaysOf(text, SPAN).length).toBeLessThanOrEqual(396);
});

it.each(['', 'on,what\n2027-01-01,New Year', 'BEGIN:VCALENDAR\nBEGIN:VEVENT\nEND'])(
  'what is no calendar is refused with a sentence: %j',
  (text) => {
    expect(() => holidaysOf(text, SPAN)).toThrow(NoCalendar);
  },
);

it('letters beyond what a reason holds are cut off', () => {
  const [first] = holidaysOf(calendar(['DTSTART;VALUE=DATE:20270325', `SUMMARY:${'x'.repeat(200)}`]), SPAN);
  expect(first?.note).toHaveLength(80);
});
