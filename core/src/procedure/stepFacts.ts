import type { Component } from '../component/components.js';
import { CAUTIONS } from './caution.js';
import { sheetSteps } from './compose.js';
import type { MachineSetUp, WorkItem } from './machineSetUp.js';
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

/** Minutes of hands that some items of a job take together, what they share counted once. */
export function handsOnMinutes(setUp: MachineSetUp, itemIds: readonly string[]): number {
  const items = setUp.items.filter(({ id }) => itemIds.includes(id));
  if (items.length === 0) return 0;
  return Math.ceil(sheetSteps({ ...setUp, items }).reduce((sum, step) => sum + step.handsOn, 0));
}

/** Fluids that never go in with the used oil: each has a container and a collector of its own. */
const NO_OIL: ReadonlySet<Component> = new Set<Component>(['coolant', 'fuel', 'brakeFluid']);

/** Whether a fluid goes into the used-oil container. */
export function isUsedOil(fluid: Component): boolean {
  return !NO_OIL.has(fluid);
}

/** Litres of used oil that some items of a job drain; none of them, none. */
export function usedOilLitres(setUp: MachineSetUp, itemIds: readonly string[]): number {
  const items = setUp.items.filter(({ id }) => itemIds.includes(id));
  if (items.length === 0) return 0;
  const drained = drainedLitres(sheetSteps({ ...setUp, items }));
  const litres = drained.filter(({ fluid }) => isUsedOil(fluid)).reduce((sum, each) => sum + each.litres, 0);
  return Math.round(litres * 100) / 100;
}
