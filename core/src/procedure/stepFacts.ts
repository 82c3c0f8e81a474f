import type { Component } from '../component/components.js';
import { CAUTIONS } from './caution.js';
import { sheetSteps } from './compose.js';
import type { MachineSetUp, WorkItem } from './machineSetUp.js';
import { WASTE_KEYS, wasteOf } from '../fluid/waste.js';
import type { Waste } from '../fluid/waste.js';
import { drainedLitres } from './fluidsOf.js';
import type { Step } from './step.js';

/** Whether a step can maim: its cautions are acknowledged before it is ticked off. */
export function canMaim({ cautions }: Pick<Step, 'cautions'>): boolean {
  return cautions.some((key) => CAUTIONS[key].maims);
}

/** What gets a label by the fill cap when it is changed. */
const LABELLED: ReadonlySet<Component> = new Set<Component>(['engineOil', 'engineOilFilter']);

/** Whether an item changes the engine's oil or its filter: both get a label. */
export function getsLabel({ action, components }: Pick<WorkItem, 'action' | 'components'>): boolean {
  return action === 'replace' && components.some((component) => LABELLED.has(component));
}

/** Minutes of hands that some items of a job take together, what they share counted once; of a job without items those of the visit itself. */
export function handsOnMinutes(setUp: MachineSetUp, itemIds: readonly string[]): number {
  const items = setUp.items.filter(({ id }) => itemIds.includes(id));
  if (items.length === 0 && setUp.items.length > 0) return 0;
  return Math.ceil(sheetSteps({ ...setUp, items }).reduce((sum, step) => sum + step.handsOn, 0));
}

/** Litres that some items of a job drain, by the container that they go into; those that drain nothing, none. */
export function drainedWaste(
  setUp: MachineSetUp,
  itemIds: readonly string[],
): { waste: Waste; litres: number }[] {
  const items = setUp.items.filter(({ id }) => itemIds.includes(id));
  if (items.length === 0) return [];
  const drained = drainedLitres(sheetSteps({ ...setUp, items }));
  return WASTE_KEYS.flatMap((waste) => {
    const own = drained.filter(({ fluid }) => wasteOf(fluid) === waste);
    const litres = Math.round(own.reduce((sum, each) => sum + each.litres, 0) * 100) / 100;
    return litres > 0 ? [{ waste, litres }] : [];
  });
}
