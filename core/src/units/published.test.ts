import { UNITS } from './units.js';

/**
 * Every unit of the trade against what is published. Liquid measures: NIST Handbook 44, appendix C, units of liquid volume. The others:
 * NIST SP 811, appendix B.8 (exact where it prints them bold, else to the digits that it prints).
 */
const PUBLISHED: Readonly<
  Record<string, Readonly<Record<string, readonly [value: number, digits: number]>>>
> = {
  volume: {
    L: [1, 12],
    mL: [0.001, 12],
    gal: [3.785411784, 12],
    qt: [0.946352946, 12],
    pt: [0.473176473, 12],
    cup: [0.2365882365, 12],
    // Printed in millilitres: 29.573 529 562 5.
    'fl oz': [0.0295735295625, 13],
  },
  torque: { N·m: [1, 12], lbf·ft: [1.355818, 6], lbf·in: [0.1129848, 7] },
  pressure: { kPa: [1, 12], bar: [100, 12], psi: [6.894757, 6] },
  length: { mm: [1, 12], cm: [10, 12], in: [25.4, 12], mil: [0.0254, 12] },
  // Horsepower (550 ft·lbf/s): 7.456999 E+02 W.
  power: { kW: [1, 12], hp: [0.7456999, 7] },
  voltage: { V: [1, 12] },
  share: { '%': [0.01, 12] },
  // Kept in degrees, as books print them.
  angle: { '°': [1, 12] },
};

describe('the units of the trade', () => {
  it('are those that are published, each to its last printed digit', () => {
    const ours: Readonly<Record<string, Readonly<Record<string, number>>>> = UNITS;
    expect(Object.keys(ours)).toEqual(Object.keys(PUBLISHED));
    for (const [dimension, units] of Object.entries(ours)) {
      expect([dimension, Object.keys(units)]).toEqual([dimension, Object.keys(PUBLISHED[dimension] ?? {})]);
      for (const [unit, factor] of Object.entries(units)) {
        const [value, digits] = PUBLISHED[dimension]?.[unit] ?? [NaN, 0];
        expect([unit, Number(factor.toFixed(digits))]).toEqual([unit, Number(value.toFixed(digits))]);
      }
    }
  });
});
