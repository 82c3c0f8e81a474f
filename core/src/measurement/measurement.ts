import type { UnitSystem } from '../units/units.js';
import { battery } from './battery.js';
import type { BatteryMeasurement } from './battery.js';
import { bladeTips } from './bladeTips.js';
import type { BladeTipsMeasurement } from './bladeTips.js';
import { bolts } from './bolts.js';
import type { BoltsMeasurement } from './bolts.js';
import { charging } from './charging.js';
import type { ChargingMeasurement } from './charging.js';
import { deck } from './deck.js';
import type { DeckMeasurement } from './deck.js';
import type { Measured, MeasureField, MeasurementKind } from './define.js';
import { freePlay } from './freePlay.js';
import type { FreePlayMeasurement } from './freePlay.js';
import { grease } from './grease.js';
import type { GreaseMeasurement } from './grease.js';
import { range } from './range.js';
import type { RangeMeasurement } from './range.js';
import { tyres } from './tyres.js';
import type { TyresMeasurement } from './tyres.js';

/** What a step measures; the figures it is judged by come from the machine. One file a kind. */
export type Measurement =
  | RangeMeasurement
  | FreePlayMeasurement
  | TyresMeasurement
  | BatteryMeasurement
  | ChargingMeasurement
  | DeckMeasurement
  | BladeTipsMeasurement
  | GreaseMeasurement
  | BoltsMeasurement;

type Kinds = { readonly [K in Measurement['kind']]: MeasurementKind<Extract<Measurement, { kind: K }>> };

const KINDS: Kinds = { range, freePlay, tyres, battery, charging, deck, bladeTips, grease, bolts };

function kindOf(measurement: Measurement): MeasurementKind<Measurement> {
  // The definition of a kind is given measurements of that kind only.
  return KINDS[measurement.kind] as MeasurementKind<Measurement>;
}

/** The figures that a measurement asks for. */
export function fieldsOf(measurement: Measurement): MeasureField[] {
  return kindOf(measurement).fields(measurement);
}

/** Whether what was measured is as it should be; null while a figure is missing or cannot be. */
export function isInSpec(measurement: Measurement, values: Measured): boolean | null {
  return kindOf(measurement).judge(measurement, values);
}

/** What a measurement is to come to, in the units of `units`, and whether that is common practice only; null where any figure will do. */
export function wantedWords(measurement: Measurement, units: UnitSystem): string | null {
  const wanted = kindOf(measurement).wanted(measurement, units);
  const isUsual = 'isUsual' in measurement && measurement.isUsual;
  return wanted && isUsual ? `${wanted}; common practice, the card does not say` : wanted;
}
