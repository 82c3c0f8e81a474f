import type { Measured } from './define.js';
import { fieldsOf, isInSpec, wantedWords } from './measurement.js';
import type { Measurement } from './measurement.js';

const usual = { isUsual: true };
const carded = { isUsual: false };

/** Each kind with figures just right and just wrong; the limits stand beside it, as the card or common practice has them. */
const CASES: readonly (readonly [
  name: string,
  measurement: Measurement,
  good: Measured,
  bad: Measured,
  wanted: string | null,
])[] = [
  [
    'a fan belt that gives 7-9 mm under the thumb',
    { kind: 'range', label: 'Fan belt', dimension: 'length', low: 7, high: 9 },
    { value: 9 },
    { value: 9.2 },
    '7–9 mm',
  ],
  [
    'pedals of 30-40 mm, alike within 5',
    { kind: 'freePlay', label: 'Pedals', low: 30, high: 40, equalWithin: 5, ...carded },
    { left: 31, right: 36 },
    { left: 31, right: 37 },
    '30–40 mm, both sides within 5 mm',
  ],
  [
    'a rear pair of 69-83 kPa',
    { kind: 'tyres', label: 'Rear', low: 69, high: 83, sidewallMaximum: 97 },
    { left: 76, right: 76 },
    { left: 76, right: 60 },
    '69–83 kPa, both alike, never above 97 kPa',
  ],
  [
    'a battery at rest (recharged below 12.4 V)',
    { kind: 'battery', label: 'Rest voltage' },
    { volts: 12.7 },
    { volts: 12.2 },
    '12.4 V or more',
  ],
  [
    'charging at 13.8-14.7 V',
    { kind: 'charging', label: 'Charging', low: 13.8, high: 14.7, idleLow: 13.2, ...usual },
    { volts: 14.2, idle: 13.4 },
    { volts: 14.2, idle: 12.6 },
    '13.8–14.7 V, at idle 13.2 V or more; common practice, the card does not say',
  ],
  [
    'a deck level within 3 mm and raked 3-9 mm',
    { kind: 'deck', label: 'Tips', sidewaysWithin: 3, low: 3, high: 9, ...usual },
    { left: 76, right: 78, front: 74, rear: 79 },
    { left: 76, right: 80, front: 74, rear: 79 },
    'sides within 3 mm, front 3–9 mm lower; common practice, the card does not say',
  ],
  [
    'a straight blade',
    { kind: 'bladeTips', label: 'Tips', within: 3, ...carded },
    { first: 80, second: 82 },
    { first: 80, second: 85 },
    'within 3 mm of each other',
  ],
  [
    'a fitting that takes 3 strokes',
    { kind: 'grease', label: 'Pivot', usual: 3 },
    { strokes: 3 },
    { strokes: 0 },
    'usually 3',
  ],
  [
    'bolts that are all tight',
    { kind: 'bolts', label: 'Bolts' },
    { loose: 0, checked: 8 },
    { loose: 2, checked: 8 },
    null,
  ],
];

describe('a measurement', () => {
  it.each(CASES)('of %s tells good from bad', (_name, measurement, good, bad) => {
    expect(isInSpec(measurement, good)).toBe(true);
    expect(isInSpec(measurement, bad)).toBe(false);
  });

  it.each(CASES)('of %s says what is wanted, in the units of the reader', (...one) => {
    const [, measurement, , , wanted] = one;
    expect(wantedWords(measurement, 'metric')).toBe(wanted);
  });

  it.each(CASES)(
    'of %s asks for the figures that it is judged by, and says nothing without them',
    (...one) => {
      const [, measurement, good] = one;
      const names = fieldsOf(measurement).map(({ name }) => name);
      expect(Object.keys(good).every((name) => names.includes(name))).toBe(true);
      expect(isInSpec(measurement, {})).toBeNull();
    },
  );

  it.each(CASES)('of %s says nothing while one of its figures is missing', (...one) => {
    const [, measurement, good] = one;
    // Not every book gives a voltage at idle.
    const needed = Object.keys(good).filter((name) => name !== 'idle');
    for (const name of needed)
      expect([name, isInSpec(measurement, { ...good, [name]: undefined })]).toEqual([name, null]);
  });

  it('asks for each figure by its name, in what it is measured', () => {
    const asked = CASES.map(([, measurement]) => [
      measurement.kind,
      fieldsOf(measurement).map(({ name, label, dimension }) => `${name}: ${label}, ${dimension ?? 'count'}`),
    ]);
    expect(Object.fromEntries(asked)).toEqual({
      range: ['value: Fan belt, length'],
      freePlay: ['left: Left, length', 'right: Right, length'],
      tyres: ['left: Left, pressure', 'right: Right, pressure'],
      battery: ['volts: Rest voltage, voltage'],
      charging: ['volts: Working speed, voltage', 'idle: Idle, voltage'],
      deck: ['left: Left, length', 'right: Right, length', 'front: Front, length', 'rear: Rear, length'],
      bladeTips: ['first: First tip, length', 'second: Second tip, length'],
      grease: ['strokes: Strokes, count'],
      bolts: ['loose: Loose, count', 'checked: Checked, count'],
    });
  });

  it('is given in inches and psi to who reads those', () => {
    const tyres = CASES.find(([, { kind }]) => kind === 'tyres')?.[1];
    // 69 kPa = 10.0 psi, 83 = 12.0, 97 = 14.1 (NIST Special Publication 811: 1 psi = 6.894757 kPa).
    expect(tyres && wantedWords(tyres, 'us')).toBe('10–12 psi, both alike, never above 14.1 psi');
  });

  it('judges charging without idle, which not every book gives', () => {
    const charging = CASES.find(([, { kind }]) => kind === 'charging')?.[1];
    expect(charging && isInSpec(charging, { volts: 14 })).toBe(true);
    expect(charging && isInSpec(charging, { volts: 13.2 })).toBe(false);
  });

  it('cannot have more loose bolts than were checked', () => {
    const bolts = CASES.find(([, { kind }]) => kind === 'bolts')?.[1];
    expect(bolts && isInSpec(bolts, { loose: 9, checked: 8 })).toBeNull();
    expect(bolts && isInSpec(bolts, { loose: 8, checked: 8 })).toBe(false);
  });
});
