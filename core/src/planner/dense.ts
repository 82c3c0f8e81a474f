/*
 * Reads of dense arrays in the loops of the planner, where the index is known to be within. One function for each kind of array keeps the
 * engine from mixing them up, and the casts in one place.
 */

export function f64(values: Float64Array, at: number): number {
  return values[at] as number;
}

export function i32(values: Int32Array, at: number): number {
  return values[at] as number;
}

export function u8(values: Uint8Array, at: number): number {
  return values[at] as number;
}

export function one<T>(values: readonly T[], at: number): T {
  return values[at] as T;
}
