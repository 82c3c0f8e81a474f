import { USUAL_CHARGING } from '../check/battery.js';
import { USUAL_DECK, USUAL_TIPS_WITHIN } from '../check/deckLevel.js';
import { LOOKS } from '../check/looks.js';
import type { Look, LookKey } from '../check/looks.js';
import { isInSpec } from '../measurement/measurement.js';
import type { Measurement } from '../measurement/measurement.js';
import { foundGood, isToBeSet } from './foundGood.js';

const isUsual = true;
const PEDALS: Measurement = {
  kind: 'freePlay',
  label: 'Pedals',
  low: 30,
  high: 40,
  equalWithin: 3,
  isUsual,
};
const CHARGING: Measurement = { kind: 'charging', label: 'Charging', ...USUAL_CHARGING, isUsual };
const DECK: Measurement = { kind: 'deck', label: 'Tips', ...USUAL_DECK, isUsual };
const TIPS: Measurement = { kind: 'bladeTips', label: 'Tips', within: USUAL_TIPS_WITHIN, isUsual };

describe('what was measured', () => {
  it.each<[Measurement, Record<string, number>, boolean | null]>([
    [{ kind: 'range', label: 'Belt', dimension: 'length', low: 7, high: 9 }, { value: 8 }, true],
    [{ kind: 'range', label: 'Belt', dimension: 'length', low: 7, high: 9 }, {}, null],
    [PEDALS, { left: 34, right: 39 }, false],
    [{ ...PEDALS, equalWithin: 5 }, { left: 34, right: 39 }, true],
    [PEDALS, { left: 34 }, null],
    [
      { kind: 'tyres', label: 'Rear', low: 69, high: 97, sidewallMaximum: 150 },
      { left: 80, right: 82 },
      true,
    ],
    [{ kind: 'battery', label: 'Rest' }, { volts: 12.3 }, false],
    // 13.8 to 14.7 V at working speed, a little less at idle (common practice).
    [CHARGING, { volts: 14.2 }, true],
    [CHARGING, { volts: 14.2, idle: 12.4 }, false],
    [DECK, { left: 76, right: 78, front: 74, rear: 80 }, true],
    [{ ...DECK, high: 5 }, { left: 76, right: 78, front: 74, rear: 80 }, false],
    [DECK, { left: 76, right: 78, front: 74 }, null],
    [TIPS, { first: 80, second: 86 }, false],
    [{ ...TIPS, within: 6 }, { first: 80, second: 86 }, true],
    [{ kind: 'grease', label: 'Strokes', usual: 3 }, { strokes: 0 }, false],
    [{ kind: 'bolts', label: 'Bolts' }, { loose: 0, checked: 8 }, true],
    [{ kind: 'bolts', label: 'Bolts' }, { loose: 9, checked: 8 }, null],
  ])('%j at %j', (measurement, values, isGood) => {
    expect(isInSpec(measurement, values)).toBe(isGood);
  });
});

describe('what a step found', () => {
  const plugs = { kind: 'range', label: 'Gap', dimension: 'length', low: 0.73, high: 0.79 } as const;

  it('is good where both what was measured and what was seen are', () => {
    const step = { measurement: plugs, look: 'sparkPlug' as const };
    expect(foundGood(step, { value: 0.76, sight: 'tan' })).toBe(true);
    expect(foundGood(step, { value: 0.76, sight: 'worn' })).toBe(false);
    expect(foundGood(step, { value: 0.9, sight: 'tan' })).toBe(false);
    expect(foundGood(step, { value: 0.76 })).toBe(true);
    expect(foundGood(step, { note: 'looked fine' })).toBeNull();
  });

  it('is one of the sights, of which each look has a good one, and says why', () => {
    for (const [key, { question, sights }] of Object.entries<Look>(LOOKS)) {
      expect(question).toMatch(/[.?]$/);
      expect(sights.length).toBeGreaterThan(2);
      for (const { key: sight, reason, answer } of sights) {
        expect(reason).toMatch(/[.]$/);
        expect(foundGood({ measurement: null, look: key as LookKey }, { sight })).toBe(answer === 'keep');
      }
    }
  });
});

describe('what was measured', () => {
  const measurement = { kind: 'range', label: 'Belt', dimension: 'length', low: 7, high: 9 } as const;
  const setBy = 'Turn the rod.';

  it.each([
    ['out', { value: 12 }, true],
    ['right', { value: 8 }, false],
    ['not there yet', {}, false],
    ['out at first and set', { value: 12, 'again.value': 8 }, true],
  ] as const)('is to be set where it was found %s: %j', (_, found, isSet) => {
    expect(isToBeSet({ measurement, setBy }, found)).toBe(isSet);
  });

  it('is not where nothing can be set, or nothing is measured', () => {
    expect(isToBeSet({ measurement, setBy: null }, { value: 12 })).toBe(false);
    expect(isToBeSet({ measurement: null, setBy }, { value: 12 })).toBe(false);
  });
});
