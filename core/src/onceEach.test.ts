import { onceEach } from './onceEach.js';

describe('what is made once for each key', () => {
  it('is made by the first who asks, and is the same for all after them', () => {
    const asked: string[] = [];
    const make = onceEach((key) => {
      asked.push(key);
      return { key };
    });
    const [pound, dollar, again] = [make('GBP'), make('USD'), make('GBP')];
    expect([pound, dollar]).toEqual([{ key: 'GBP' }, { key: 'USD' }]);
    expect(again).toBe(pound);
    expect(asked).toEqual(['GBP', 'USD']);
  });

  it('is asked for anew where making it failed', () => {
    let isBroken = true;
    const make = onceEach((key) => {
      if (isBroken) throw new RangeError(key);
      return key;
    });
    expect(() => make('Nowhere/Here')).toThrow(RangeError);
    isBroken = false;
    expect(make('Nowhere/Here')).toBe('Nowhere/Here');
  });
});
