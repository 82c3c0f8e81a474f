import { CAUTIONS } from './caution.js';
import { proceduresFor } from './catalogue.js';
import { sheetSteps } from './compose.js';
import type { MachineSetUp, WorkItem } from './machineSetUp.js';
import type { FetchList } from './sheet.js';
import type { Step } from './step.js';

/** Whether a step can maim: its cautions are acknowledged before it is ticked off. */
export function canMaim({ cautions }: Pick<Step, 'cautions'>): boolean {
  return cautions.some((key) => CAUTIONS[key].maims);
}

/** Whether an item changes the engine's oil or its filter: both get a label. */
export function getsLabel(item: WorkItem): boolean {
  return proceduresFor(item).some(({ key }) => key === 'engineOil' || key === 'oilFilter');
}

/** Minutes of hands that some items of a job take together, what they share counted once. */
export function handsOnMinutes(setUp: MachineSetUp, itemIds: readonly string[]): number {
  const items = setUp.items.filter(({ id }) => itemIds.includes(id));
  if (items.length === 0) return 0;
  return Math.ceil(sheetSteps({ ...setUp, items }).reduce((sum, step) => sum + step.handsOn, 0));
}

/** Whether a fluid goes into the used-oil container; coolant has one of its own. */
export function isUsedOil(fluid: string): boolean {
  return !/coolant/i.test(fluid);
}

/** Litres of used oil that a sheet drains. */
export function usedOilLitres({ drained }: Pick<FetchList, 'drained'>): number {
  const litres = drained.filter(({ fluid }) => isUsedOil(fluid)).reduce((sum, each) => sum + each.litres, 0);
  return Math.round(litres * 100) / 100;
}
