import { containersOf, fillsContainers } from './containers.js';

test('what came in as 4 × 5 L is four containers, of which one is open at most', () => {
  expect(containersOf([{ left: 20, container: 5 }])).toEqual([{ size: 5, full: 4, open: [] }]);
  // 1.9 L, then 3.1 L, then 0.1 L were drawn.
  expect(containersOf([{ left: 18.1, container: 5 }])).toEqual([{ size: 5, full: 3, open: [3.1] }]);
  expect(containersOf([{ left: 15, container: 5 }])).toEqual([{ size: 5, full: 3, open: [] }]);
  expect(containersOf([{ left: 14.9, container: 5 }])).toEqual([{ size: 5, full: 2, open: [4.9] }]);
});

test('quarts, kept to the millilitre, are whole', () => {
  expect(containersOf([{ left: 11.356, container: 0.946 }])).toEqual([{ size: 0.946, full: 12, open: [] }]);
  expect(containersOf([{ left: 10.883, container: 0.946 }])).toEqual([
    { size: 0.946, full: 11, open: [0.477] },
  ]);
});

test('containers are counted by size; what came in loose, or is used up, is in none', () => {
  const lots = [
    { left: 0, container: 5 },
    { left: 2.5, container: 5 },
    { left: 3, container: null },
    { left: 40, container: 20 },
    { left: 5, container: 5 },
  ];
  expect(containersOf(lots)).toEqual([
    { size: 5, full: 1, open: [2.5] },
    { size: 20, full: 2, open: [] },
  ]);
});

test.each([
  [20, 5, true],
  [20, 6, false],
  // Quarts, as they are kept in litres.
  [11.356, 0.946, true],
  [11.3, 0.946, false],
  [2, 5, false],
  [0.9, 0.3, true],
])('%s L can have come in containers of %s L: %s', (quantity, container, can) => {
  expect(fillsContainers(quantity, container)).toBe(can);
});
