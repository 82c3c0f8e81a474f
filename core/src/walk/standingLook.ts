import type { Component, ComponentClass } from '../component/components.js';
import type { LookKey } from '../check/looks.js';

/** What is looked at on every walk-round, whatever its books say. */
export interface StandingLook {
  readonly key: string;
  /** what good looks like */
  readonly words: string;
  /** the pictures that help where it is not so; null where there are none */
  readonly look: LookKey | null;
  /** what may be wanting there, and is topped up on the spot; none where nothing is */
  readonly fluids?: readonly Component[];
  /** null for every class */
  readonly classes: readonly ComponentClass[] | null;
}

/** From the ground up, as one walks round it (common practice). */
export const STANDING_LOOKS: readonly StandingLook[] = [
  { key: 'drips', words: 'No drips beneath', look: null, classes: null },
  {
    key: 'engineOil',
    words: 'Engine oil between its marks, brown and clear',
    look: 'engineOil',
    fluids: ['engineOil'],
    classes: null,
  },
  {
    key: 'hydraulic',
    words: 'Hydraulic or transmission oil at its mark',
    look: 'hydraulicOil',
    fluids: ['hydraulicOil', 'transmissionOil', 'hydroOil', 'transaxleOil'],
    classes: ['compactTractor', 'utilityVehicle', 'zeroTurn'],
  },
  {
    key: 'screen',
    words: 'Screen and fins free of grass',
    look: null,
    classes: null,
  },
  {
    key: 'airIndicator',
    words: 'Air indicator green, or the filter box closed',
    look: 'airFilter',
    classes: null,
  },
  { key: 'tyres', words: 'Tyres full and whole', look: 'tyre', classes: null },
  {
    key: 'guards',
    words: 'Guards, chute and shields in place',
    look: null,
    classes: null,
  },
  {
    key: 'safetyStart',
    words: 'It starts only as it should, and stops when the seat is left',
    look: null,
    classes: null,
  },
];

/** What is looked at on a machine of a class. */
export function standingLooks(machineClass: ComponentClass): readonly StandingLook[] {
  return STANDING_LOOKS.filter(({ classes }) => classes === null || classes.includes(machineClass));
}
