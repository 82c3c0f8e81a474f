import fc from 'fast-check';
import { inUnit, parseQuantity, parseRange, shownRange } from './quantity.js';
import { UNIT_SYSTEMS, UNITS } from './units.js';
import type { Dimension, Unit } from './units.js';

describe('quantities typed in units of the trade', () => {
  it.each([
    // NIST Handbook 44 appendix C: 1 US gal = 3.785411784 L = 4 qt = 8 pt = 128 fl oz.
    ['1 gal', 'volume', 3.785411784],
    ['2.1 qt', 'volume', 2.1 * 0.946352946],
    ['67 oz', 'volume', 67 * 0.0295735295625],
    ['1 1/2 pt', 'volume', 1.5 * 0.473176473],
    ['1,9 l', 'volume', 1.9],
    ['500 mL', 'volume', 0.5],
    // NIST SP 811 appendix B.8: 1 lbf·ft = 1.355818 N·m, 1 lbf·in = 0.1129848 N·m.
    ['15 lbf·ft', 'torque', 20.337269224971],
    ['15 ft-lb', 'torque', 20.337269224971],
    ['100 in.lb', 'torque', 11.298482902762],
    ['25 Nm', 'torque', 25],
    // 1 psi = 6.894757 kPa.
    ['30 psi', 'pressure', 206.84271879504],
    ['1.4 bar', 'pressure', 140],
    // 1 in = 25.4 mm; a plug gap of 0.030 in.
    ['0.030 in', 'length', 0.762],
    ['1/2"', 'length', 12.7],
    // 1 hp = 745.6999 W.
    ['25 hp', 'power', 18.64249678955],
    ['25', 'power', 25],
    ['20 %', 'share', 0.2],
    ['33.5 percent', 'share', 0.335],
    ['75°', 'angle', 75],
    ['90 deg', 'angle', 90],
  ] as [string, Dimension, number][])('%s of %s', (text, dimension, si) => {
    const fallback = Object.keys(UNITS[dimension])[0] as Unit;
    expect(parseQuantity(text, dimension, fallback)).toBeCloseTo(si, 9);
  });

  it.each(['', 'some', '2 qt of oil', '-3 qt', '1/0 qt', '2 psi', '3 qt 2', '5-3 qt'])(
    'refuses "%s" as a volume',
    (text) => {
      expect(parseRange(text, 'volume', 'L')).toBeNull();
    },
  );

  it('takes ranges, but not where one value is meant', () => {
    expect(parseRange('30-40 mm', 'length', 'mm')).toEqual({ low: 30, high: 40 });
    expect(parseRange('7 to 9', 'length', 'mm')).toEqual({ low: 7, high: 9 });
    expect(parseRange('10–14 psi', 'pressure', 'kPa')?.high).toBeCloseTo(96.527, 3);
    expect(parseQuantity('30-40 mm', 'length', 'mm')).toBeNull();
    // Both ends are brought into SI: 1 lbf·ft is 1.3558179483314 N·m (NIST SP 811).
    expect(parseRange(' 15 - 18 lbf·ft ', 'torque', 'N·m')).toEqual({
      low: expect.closeTo(20.337, 3),
      high: expect.closeTo(24.405, 3),
    });
    expect(parseRange('7-7', 'length', 'mm')).toEqual({ low: 7, high: 7 });
  });

  it.each(['9-7 mm', '7-', '-9', '7-x mm', 'x-9 mm', '7-9 psi', '7-9 cubits', '1/0-2 mm', ''])(
    'takes no range for %j',
    (text) => {
      expect(parseRange(text, 'length', 'mm')).toBeNull();
    },
  );
});

describe('quantities shown', () => {
  it('stand in the units of the crew', () => {
    expect(shownRange({ low: 1.987, high: 1.987 }, 'volume', 'metric')).toBe('1.99 L');
    expect(shownRange({ low: 1.987, high: 1.987 }, 'volume', 'us')).toBe('2.1 qt');
    expect(shownRange({ low: 68.95, high: 96.53 }, 'pressure', 'us')).toBe('10–14 psi');
  });

  it('come back the same when typed again, in every unit', () => {
    const dimensions = Object.keys(UNITS) as Dimension[];
    for (const dimension of dimensions) {
      for (const unit of Object.keys(UNITS[dimension]) as Unit[]) {
        fc.assert(
          fc.property(fc.integer({ min: 0, max: 10_000_000 }), (thousandths) => {
            const typed = String(thousandths / 1000);
            const si = parseQuantity(`${typed} ${unit}`, dimension, unit);
            expect(inUnit(si ?? NaN, dimension, unit, 3)).toBe(typed);
          }),
          { seed: 13, numRuns: 50 },
        );
      }
    }
    expect(UNIT_SYSTEMS).toHaveLength(2);
  });
});
