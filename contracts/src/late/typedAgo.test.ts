import { MOST_DAYS_AGO, readTypedAgo } from './typedAgo.js';

test.each([
  ['0', 0],
  ['90', 90],
  [String(MOST_DAYS_AGO * 86_400), MOST_DAYS_AGO * 86_400],
])('%s seconds are an age', (header, seconds) => {
  expect(readTypedAgo(header)).toBe(seconds);
});

test.each([
  ['', 'nothing'],
  ['-1', 'what is still to come'],
  ['1.5', 'a part of a second'],
  ['1e3', 'another way to write a figure'],
  [' 5', 'a blank'],
  ['5, 6', 'a header sent twice'],
  [String(MOST_DAYS_AGO * 86_400 + 1), 'more than a write may wait'],
  ['9'.repeat(30), 'more than a figure holds'],
])('%j is none: %s', (header) => {
  expect(readTypedAgo(header)).toBeNull();
});
