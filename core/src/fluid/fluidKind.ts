import type { Component } from '../component/components.js';
import { keysOf } from '../names/record.js';
import { CATEGORIES, CATEGORY_KEYS } from './categories.js';
import type { Category, CategoryFamily } from './categories.js';

/** What a fluid is sold as, and which families of categories it carries. */
export const FLUID_KINDS = {
  engineOil: { words: 'engine oil', families: ['gasoline', 'diesel'] },
  tractorFluid: { words: 'transmission and hydraulic oil', families: [] },
  hydrostaticOil: { words: 'hydrostatic oil', families: [] },
  hydraulicOil: { words: 'hydraulic oil', families: [] },
  gearOil: { words: 'gear oil', families: ['gear'] },
  steeringFluid: { words: 'power steering fluid', families: [] },
  brakeFluid: { words: 'brake fluid', families: ['brake'] },
  coolant: { words: 'coolant', families: ['coolant'] },
} as const satisfies Record<string, { words: string; families: readonly CategoryFamily[] }>;

export type FluidKind = keyof typeof FLUID_KINDS;

export const FLUID_KIND_KEYS: readonly FluidKind[] = keysOf(FLUID_KINDS);

/** What the label of a fluid says besides its kind: "10W-30 API SN". */
export function labelWords({
  grade,
  categories,
}: {
  readonly grade: string;
  readonly categories: readonly Category[];
}): string {
  return [grade, ...categories].filter(Boolean).join(' ');
}

/** The categories that the label of a kind of fluid may name, in the order in which they are offered. */
export function categoriesOf(kind: FluidKind): readonly Category[] {
  const families: readonly CategoryFamily[] = FLUID_KINDS[kind].families;
  return CATEGORY_KEYS.filter((category) => families.includes(CATEGORIES[category].family));
}

/**
 * The kinds that go into a component (common practice): hydrostatic drives of mowers take engine oil, hydrostatic or tractor fluid
 * by their maker; the card's own fluid narrows it.
 */
const TAKEN: Partial<Record<Component, readonly FluidKind[]>> = {
  engineOil: ['engineOil'],
  transmissionOil: ['tractorFluid', 'hydrostaticOil', 'gearOil'],
  transaxleOil: ['gearOil', 'hydrostaticOil', 'engineOil', 'tractorFluid'],
  frontAxleOil: ['gearOil', 'tractorFluid'],
  frontDifferentialOil: ['gearOil', 'tractorFluid'],
  hydroOil: ['hydrostaticOil', 'engineOil', 'tractorFluid'],
  hydraulicOil: ['hydraulicOil', 'tractorFluid'],
  steeringFluid: ['steeringFluid', 'tractorFluid'],
  gearboxOil: ['gearOil'],
  coolant: ['coolant'],
  brakeFluid: ['brakeFluid'],
};

/** The kinds of fluid that may go into a component at all; none for a component that takes none of the shelf. */
export function kindsTaken(component: Component): readonly FluidKind[] {
  return TAKEN[component] ?? [];
}
