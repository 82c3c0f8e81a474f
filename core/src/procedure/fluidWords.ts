import type { ApprovedGrade } from '../fluid/viscosity.js';
import { componentSpec } from '../component/components.js';
import type { Component } from '../component/components.js';
import { shownValue } from '../units/quantity.js';
import type { UnitSystem } from '../units/units.js';
import type { MachineSpec } from './machineSetUp.js';
import type { FetchedFluid } from './fluidsOf.js';

/** A grade as the card says it: "10W-30 (API SJ or later)". */
export function gradeWords({ grade, category }: ApprovedGrade): string {
  return category ? `${grade} (${category})` : grade;
}

/** The grades of a fluid that a card approves; none where it names none. */
export function approvedGrades(
  fluid: Component,
  { fluids }: Pick<MachineSpec, 'fluids'>,
): readonly ApprovedGrade[] {
  return fluids.find(({ component }) => component === fluid)?.grades ?? [];
}

/** The grades of a fluid that its card approves: "10W-30 (API SJ or later) or 5W-30"; '' where the card names none. */
export function approvedWords(fluid: Component, spec: Pick<MachineSpec, 'fluids'>): string {
  return approvedGrades(fluid, spec).map(gradeWords).join(' or ');
}

/** A fluid to fetch, with the grades that its card approves: "1.99 L engine oil, 10W-30 (API SJ or later)". */
export function fluidWords(
  { fluid, litres }: FetchedFluid,
  spec: Pick<MachineSpec, 'fluids'>,
  units: UnitSystem,
): string {
  const amount = `${shownValue(litres, 'volume', units)} ${componentSpec(fluid).words}`;
  return [amount, approvedWords(fluid, spec)].filter(Boolean).join(', ');
}
