import { stockWords } from './stock.js';

describe('a quantity of stock', () => {
  // 1 US gallon = 3.785 411 784 L (NIST Handbook 44, appendix C).
  it.each([
    [3, 'piece', 'us', '3'],
    [2.5, 'piece', 'metric', '2.5'],
    [4.1, 'litre', 'metric', '4.1\u00a0L'],
    [60, 'litre', 'metric', '60\u00a0L'],
    [1.99, 'litre', 'us', '2.1\u00a0qt'],
    [-3.785411784, 'litre', 'us', '-4\u00a0qt'],
    [7.57, 'litre', 'us', '2\u00a0gal'],
    [-60, 'litre', 'us', '-15.85\u00a0gal'],
    [0, 'litre', 'us', '0\u00a0qt'],
  ] as const)('%d %s, %s', (quantity, unit, system, words) => {
    expect(stockWords(quantity, unit, system)).toBe(words);
  });
});
