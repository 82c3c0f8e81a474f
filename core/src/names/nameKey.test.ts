import { nameKey, repeatedNames } from './nameKey.js';

describe('the key of a name', () => {
  // As MariaDB compares with utf8mb4_unicode_520_ci; a test of the server holds this list against the database.
  it.each([
    ['Engine oil', 'engine OIL'],
    ['Müller', 'muller'],
    ['Straße', 'STRASSE'],
    ['Ｍ-07', 'm-07'],
    ['M-07 ', 'M-07'],
  ])('is the same for %j and %j', (a, b) => {
    expect(nameKey(a)).toBe(nameKey(b));
  });

  it('is another for other letters', () => {
    expect(nameKey('M-07')).not.toBe(nameKey('M07'));
    expect(nameKey('Oil')).not.toBe(nameKey('Oils'));
  });

  it('finds what stands twice', () => {
    expect(repeatedNames(['T-1', 't-1', 'T-2', 'T-1'])).toEqual([1, 3]);
  });
});
