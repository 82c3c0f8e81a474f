import { keysOf } from '../names/record.js';

/**
 * Units of the trade by what they measure, each with the factor to the SI unit that `core` reckons in.
 * Factors: NIST SP 811 appendix B.8 and NIST Handbook 44 appendix C.
 */
const LITRES_OF_US_GALLON = 3.785411784;
const NEWTON_METRES_OF_LBF_FT = 1.3558179483314;
const KILOPASCAL_OF_PSI = 6.894757293168;

export const UNITS = {
  /** litres */
  volume: {
    L: 1,
    mL: 0.001,
    gal: LITRES_OF_US_GALLON,
    qt: LITRES_OF_US_GALLON / 4,
    pt: LITRES_OF_US_GALLON / 8,
    cup: LITRES_OF_US_GALLON / 16,
    'fl oz': LITRES_OF_US_GALLON / 128,
  },
  /** newton metres */
  torque: { N·m: 1, lbf·ft: NEWTON_METRES_OF_LBF_FT, lbf·in: NEWTON_METRES_OF_LBF_FT / 12 },
  /** kilopascal */
  pressure: { kPa: 1, bar: 100, psi: KILOPASCAL_OF_PSI },
  /** millimetres */
  length: { mm: 1, cm: 10, in: 25.4, mil: 0.0254 },
  /** kilowatts; hp is the mechanical horsepower of 550 ft·lbf/s */
  power: { kW: 1, hp: 0.745699871582 },
  /** volts */
  voltage: { V: 1 },
  /** parts of one */
  share: { '%': 0.01 },
  /** degrees */
  angle: { '°': 1 },
} as const;

export type Dimension = keyof typeof UNITS;
export type UnitOf<D extends Dimension> = keyof (typeof UNITS)[D] & string;
export type Unit = { [D in Dimension]: UnitOf<D> }[Dimension];

/** The units of a dimension, in the order in which they are shown. */
export function unitsOf(dimension: Dimension): readonly Unit[] {
  return keysOf<Unit>(UNITS[dimension]);
}

/** How a crew likes to read its figures. */
export const UNIT_SYSTEMS = ['metric', 'us'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

interface Shown {
  readonly unit: Unit;
  /** decimals it is shown with */
  readonly decimals: number;
}

const OF_BOTH = {
  voltage: { unit: 'V', decimals: 2 },
  share: { unit: '%', decimals: 1 },
  angle: { unit: '°', decimals: 0 },
} as const;

const SHOWN: Record<UnitSystem, Record<Dimension, Shown>> = {
  metric: {
    volume: { unit: 'L', decimals: 2 },
    torque: { unit: 'N·m', decimals: 1 },
    pressure: { unit: 'kPa', decimals: 0 },
    length: { unit: 'mm', decimals: 2 },
    power: { unit: 'kW', decimals: 1 },
    ...OF_BOTH,
  },
  us: {
    volume: { unit: 'qt', decimals: 2 },
    torque: { unit: 'lbf·ft', decimals: 1 },
    pressure: { unit: 'psi', decimals: 1 },
    length: { unit: 'in', decimals: 3 },
    power: { unit: 'hp', decimals: 1 },
    ...OF_BOTH,
  },
};

/** The unit that `system` shows `dimension` in, with its decimals. */
export function shownUnit(dimension: Dimension, system: UnitSystem): Shown {
  return SHOWN[system][dimension];
}

/** The factor of `unit` to the SI unit; null where `dimension` has no such unit. */
export function factorOf(unit: string, dimension: Dimension): number | null {
  const factors: Readonly<Record<string, number>> = UNITS[dimension];
  return factors[unit] ?? null;
}
