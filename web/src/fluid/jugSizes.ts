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

/** Litres between two marks on the side of a jug: a quarter of its unit on small ones, a whole on others, five on large ones. */
export function markOf({ litres, unit }: JugSize): number {
  const size = Number(inUnit(litres, 'volume', unit, 2));
  const step = size > 10 ? 5 : size >= 2 ? 1 : 0.25;
  return (litres / size) * step;
}

/** Litres below which the unit of a jug is too large a measure. */
const SMALL = 0.3;

/** Litres to be measured by a cup with a scale: to 5 mL, or to the fluid ounce. */
export function measured(litres: number, { unit }: JugSize): string {
  return unit === 'L'
    ? `${Math.round((litres * 1000) / 5) * 5}\u00a0mL`
    : `${inUnit(litres, 'volume', 'fl oz', 0)}\u00a0fl oz`;
}

/** Litres in the unit of a jug, small amounts as a cup measures them: "3.35 qt", "6 fl oz", "120 mL". */
export function inJug(litres: number, jug: JugSize): string {
  return litres > 0 && litres < SMALL
    ? measured(litres, jug)
    : `${inUnit(litres, 'volume', jug.unit, 2)}\u00a0${jug.unit}`;
}
