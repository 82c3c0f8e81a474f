import { inUnit, parseQuantity } from '@yugator/core';
import type { Unit } from '@yugator/core';

/** A jug as it stands on the shelf, read in its own unit. */
export interface JugSize {
  readonly key: string;
  readonly litres: number;
  readonly unit: Unit;
}

function jug(text: string, unit: Unit): JugSize {
  return { key: text, litres: parseQuantity(text, 'volume', unit) ?? 0, unit };
}

/** The usual jugs and bottles. */
export const JUGS: readonly JugSize[] = [
  ...[jug('1 L', 'L'), jug('2 L', 'L'), jug('5 L', 'L'), jug('20 L', 'L')],
  ...[jug('1 qt', 'qt'), jug('5 qt', 'qt'), jug('1 gal', 'gal'), jug('2.5 gal', 'gal')],
];

/** The jug that goes by `key`; the usual one of the shop where none does. */
export function jugOf(key: unknown, units: 'metric' | 'us'): JugSize {
  const usual = units === 'metric' ? '5 L' : '5 qt';
  return JUGS.find((each) => each.key === key) ?? JUGS.find((each) => each.key === usual) ?? jug('1 L', 'L');
}

const DECIMALS: Partial<Record<Unit, number>> = { gal: 3 };

/** Litres in the unit of a jug: "3.35 qt". */
export function inJug(litres: number, { unit }: JugSize): string {
  return `${inUnit(litres, 'volume', unit, DECIMALS[unit] ?? 2)}\u00a0${unit}`;
}
