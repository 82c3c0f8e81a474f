import { expectedFrom, PLAIN_CLIMATE } from './climate.js';

const CLIMATE = Array.from({ length: 12 }, (_, at) => ({ low: at - 10, high: at + 10 }));

test.each([
  ['2027-05-13', 12, -10, 21],
  ['2027-05-13', 1, -6, 14],
  ['2027-05-31', 3, -6, 16],
  ['2027-11-02', 3, -10, 21],
  ['2027-01-01', 24, -10, 21],
])('from %s for %s months: %s to %s °C', (from, months, low, high) => {
  expect(expectedFrom(CLIMATE, from, months)).toEqual({ low, high });
});

test('a year that nobody described has none', () => {
  expect(expectedFrom([], '2027-05-13')).toBeNull();
});

test('the plain year has twelve months, none colder at its warmest', () => {
  expect(PLAIN_CLIMATE).toHaveLength(12);
  for (const { low, high } of PLAIN_CLIMATE) expect(low).toBeLessThan(high);
});
