import { inJug, JUGS, jugOf, markOf, measured } from './jugSizes.js';

const plain = (words: string) => words.replace(/\u00a0/g, ' ');
const litres = (key: string) => jugOf(key, 'us');

describe('the words of a jug', () => {
  // NIST Handbook 44 appendix C: 1 US quart is 0.946352946 L, 32 US fluid ounces.
  it.each([
    ['5 L', 3.7, '3.7 L'],
    ['5 L', 0.118, '120 mL'],
    ['5 L', 0.3, '0.3 L'],
    ['1 qt', 0.946352946, '1 qt'],
    ['5 qt', 0.06, '2 fl oz'],
    // A gallon jug speaks of no thousandths of a gallon.
    ['1 gal', 0.06, '2 fl oz'],
    ['1 gal', 1.892705892, '0.5 gal'],
    ['2 L', 0, '0 L'],
  ])('say in a jug of %s of %d L: %s', (key, amount, words) => {
    expect(plain(inJug(amount, litres(key)))).toBe(words);
  });

  it.each([
    ['5 L', 0.252, '250 mL'],
    ['20 L', 1.2, '1200 mL'],
    ['1 qt', 0.29573529562, '10 fl oz'],
  ])('measure by a cup beside one of %s: %d L are %s', (key, amount, words) => {
    expect(plain(measured(amount, litres(key)))).toBe(words);
  });

  it('go by marks that end at what the jug holds', () => {
    for (const jug of JUGS) {
      const marks = jug.litres / markOf(jug);
      expect([jug.key, marks >= 4 || jug.key === '2 L' || jug.key === '2.5 gal']).toEqual([jug.key, true]);
    }
    expect(markOf(litres('5 L'))).toBeCloseTo(1, 9);
    expect(markOf(litres('20 L'))).toBeCloseTo(5, 9);
    expect(markOf(litres('1 qt'))).toBeCloseTo(0.946352946 / 4, 6);
  });

  it('are those of the shop where nobody chose one', () => {
    expect([jugOf(undefined, 'metric').key, jugOf('a bucket', 'us').key]).toEqual(['5 L', '5 qt']);
  });
});
