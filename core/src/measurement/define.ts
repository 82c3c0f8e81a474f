import type { Dimension, UnitSystem } from '../units/units.js';

/** A figure that a measurement asks for. */
export interface MeasureField {
  readonly name: string;
  readonly label: string;
  /** null for a count */
  readonly dimension: Dimension | null;
}

/** Figures of a measurement, in SI, by the name of the field. */
export type Measured = Readonly<Record<string, number | undefined>>;

/** Where the limits of a measurement come from. */
export interface LimitsFrom {
  /** common practice: the machine's card says nothing */
  readonly isUsual: boolean;
}

/** What there is to know of one kind of measurement `M`. */
export interface MeasurementKind<M> {
  /** the figures that it asks for */
  readonly fields: (measurement: M) => MeasureField[];
  /** whether they are as they should be; null while one is missing or cannot be */
  readonly judge: (measurement: M, values: Measured) => boolean | null;
  /** what they are to come to, in the units of the reader; null where any figure will do */
  readonly wanted: (measurement: M, units: UnitSystem) => string | null;
}

/** A kind of measurement, checked to be whole. */
export function defineMeasurement<M extends { readonly kind: string }>(
  kind: MeasurementKind<M>,
): MeasurementKind<M> {
  return kind;
}

export function field(name: string, label: string, dimension: Dimension | null): MeasureField {
  return { name, label, dimension };
}
