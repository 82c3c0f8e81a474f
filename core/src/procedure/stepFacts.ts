import { CAUTIONS } from './caution.js';
import { proceduresFor } from './catalogue.js';
import type { WorkItem } from './machineSetUp.js';
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

/** Litres of used oil that a sheet drains; coolant goes into a container of its own. */
export function usedOilLitres({ drained }: Pick<FetchList, 'drained'>): number {
  const litres = drained
    .filter(({ fluid }) => !/coolant/i.test(fluid))
    .reduce((sum, each) => sum + each.litres, 0);
  return Math.round(litres * 100) / 100;
}
