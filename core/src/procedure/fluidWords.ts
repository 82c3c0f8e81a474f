import type { ApprovedGrade } from '../fluids/viscosity.js';
import { shownValue } from '../units/quantity.js';
import type { UnitSystem } from '../units/units.js';
import type { MachineSpec } from './machineSetUp.js';

function gradeWords({ grade, category }: ApprovedGrade): string {
  return category ? `${grade} (${category})` : grade;
}

/** The grades of a fluid that its card approves: "10W-30 (API SJ or later) or 5W-30"; '' where the card names none. */
export function approvedWords(fluid: string, { fluids }: Pick<MachineSpec, 'fluids'>): string {
  const grades = fluids.find((each) => each.fluid === fluid)?.grades ?? [];
  return grades.map(gradeWords).join(' or ');
}

/** A fluid to fetch, with the grades that its card approves: "1.99 L engine oil, 10W-30 (API SJ or later)". */
export function fluidWords(
  { fluid, litres }: { readonly fluid: string; readonly litres: number },
  spec: Pick<MachineSpec, 'fluids'>,
  units: UnitSystem,
): string {
  const amount = `${shownValue(litres, 'volume', units)} ${fluid.toLowerCase()}`;
  return [amount, approvedWords(fluid, spec)].filter(Boolean).join(', ');
}
