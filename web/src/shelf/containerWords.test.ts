import { stockWords } from '@yugator/core';
import { containerWords } from './containerWords.js';

test.each([
  [[{ left: 18.1, container: 5 }], '3 full of 5 L, 3.1 L in an open one'],
  [[{ left: 20, container: 5 }], '4 full of 5 L'],
  [[{ left: 2, container: 5 }], '2 L in an open one of 5 L'],
  [
    [
      { left: 2, container: 5 },
      { left: 1, container: 5 },
    ],
    '2 L and 1 L in open ones',
  ],
  [
    [
      { left: 5, container: 5 },
      { left: 60, container: 20 },
    ],
    '1 full of 5 L; 3 full of 20 L',
  ],
  [[{ left: 7, container: null }], ''],
])('%j are said as %s', (lots, words) => {
  const plain = containerWords(lots, 'litre', (quantity, unit) => stockWords(quantity, unit, 'metric'));
  expect(plain.replaceAll('\u00a0', ' ')).toBe(words);
});
