import { shownRange, shownValue } from '../units/quantity.js';
import type { UnitSystem } from '../units/units.js';
import { RECHARGE_BELOW_VOLTS } from '../checks/battery.js';
import type { Measurement } from './step.js';

type Words = {
  readonly [K in Measurement['kind']]: (
    measurement: Extract<Measurement, { kind: K }>,
    units: UnitSystem,
  ) => string | null;
};

const WORDS: Words = {
  range: (range, units) => shownRange(range, range.dimension, units),
  freePlay: (range, units) =>
    `${shownRange(range, 'length', units)}, both sides within ${shownValue(range.equalWithin, 'length', units)}`,
  tyres: (spec, units) =>
    `${shownRange(spec, 'pressure', units)}, both alike, never above ${shownValue(spec.sidewallMaximum, 'pressure', units)}`,
  battery: (_battery, units) => `${shownValue(RECHARGE_BELOW_VOLTS, 'voltage', units)} or more`,
  charging: (volts, units) =>
    `${shownRange(volts, 'voltage', units)}, at idle ${shownValue(volts.idleLow, 'voltage', units)} or more`,
  deck: (limits, units) =>
    `sides within ${shownValue(limits.sidewaysWithin, 'length', units)}, front ${shownRange(limits, 'length', units)} lower`,
  bladeTips: ({ within }, units) => `within ${shownValue(within, 'length', units)} of each other`,
  grease: ({ usual }) => `usually ${usual}`,
  bolts: () => null,
};

/** What a measurement is to come to, in the units of `units`, and whether that is common practice only; null where any figure will do. */
export function wantedWords(measurement: Measurement, units: UnitSystem): string | null {
  // The words of a kind are given a measurement of that kind.
  const words = WORDS[measurement.kind] as (of: Measurement, units: UnitSystem) => string | null;
  const wanted = words(measurement, units);
  const isUsual = 'isUsual' in measurement && measurement.isUsual;
  return wanted && isUsual ? `${wanted}; common practice, the card does not say` : wanted;
}
