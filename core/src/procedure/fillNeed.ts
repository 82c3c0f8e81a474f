import type { DipstickTarget, FillNeed, Prefill } from '../fluid/fillPlan.js';
import type { MachineSetUp } from './machineSetUp.js';
import type { FluidNeed, Step } from './step.js';

function prefillOf({ rules, fittings }: MachineSetUp): Prefill {
  if (rules.prefill === 'never' || fittings.oilFilter === 'none') return 'none';
  if (rules.prefill === 'quarterAndRoll') return 'quarter';
  return rules.prefill === 'full' || fittings.oilFilter === 'upright' ? 'full' : 'half';
}

/** Where the level of a fluid is to stand by the house rules; `said`: litres between its marks, as somebody said at the machine. */
export function dipstickTarget(
  { rules, figures }: Pick<MachineSetUp, 'rules' | 'figures'>,
  need: Pick<FluidNeed, 'betweenMarks'>,
  said: number | null,
): DipstickTarget {
  const shade = figures.shadeShare * betweenMarksOf(said, need).litres;
  return { target: rules.fillTarget, shade };
}

/** What a step fills, by the fittings of the machine and the house rules; null where it fills nothing. */
export function fillNeedOf(
  { fills, fluid }: Pick<Step, 'fills' | 'fluid'>,
  setUp: MachineSetUp,
): FillNeed | null {
  if (!fills) return null;
  const { litresWithFilter, litresWithoutFilter, firstPour, filterChanged } = fills;
  return {
    capacityWithFilter: litresWithFilter,
    capacityWithoutFilter: litresWithoutFilter,
    firstPourByBook: firstPour,
    filterChanged,
    // Only the engine's filter is filled beforehand.
    prefill: fluid === 'engineOil' && filterChanged ? prefillOf(setUp) : 'none',
    retained: 0,
    ...dipstickTarget(setUp, fills, null),
  };
}

/** Litres that a fluid need comes to. */
export function litresOfNeed({ litresWithFilter, litresWithoutFilter, filterChanged }: FluidNeed): number {
  return filterChanged ? litresWithFilter : (litresWithoutFilter ?? litresWithFilter);
}

/** Half a litre from mark to mark, where neither the card nor anybody says otherwise (common practice for small engines). */
const USUAL_BETWEEN_MARKS = 0.5;

/** Litres from the low to the full mark of a dipstick: as somebody said at the machine, else by its card, else as is usual. */
export function betweenMarksOf(
  said: number | null,
  { betweenMarks }: Pick<FluidNeed, 'betweenMarks'>,
): { readonly litres: number; readonly isUsual: boolean } {
  const known = said ?? betweenMarks;
  return { litres: known ?? USUAL_BETWEEN_MARKS, isUsual: known === null };
}
