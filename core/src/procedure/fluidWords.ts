import type { ApprovedGrade } from '../fluids/viscosity.js';
import { shownValue } from '../units/quantity.js';
import type { UnitSystem } from '../units/units.js';
import type { MachineSpec } from './machineSetUp.js';

function gradeWords({ grade, category }: ApprovedGrade): string {
  return category ? `${grade} (${category})` : grade;
}

/** A fluid to fetch, with the grades that its card approves: "1.99 L engine oil, 10W-30 (API SJ or later)". */
export function fluidWords(
  { fluid, litres }: { readonly fluid: string; readonly litres: number },
  { fluids }: Pick<MachineSpec, 'fluids'>,
  units: UnitSystem,
): string {
  const grades = fluids.find((each) => each.fluid === fluid)?.grades ?? [];
  const amount = `${shownValue(litres, 'volume', units)} ${fluid.toLowerCase()}`;
  return [amount, grades.map(gradeWords).join(' or ')].filter(Boolean).join(', ');
}
