import type { Action } from '../schedule/item.js';
import type { MachineSetUp, WorkItem } from './machineSetUp.js';
import type { Step } from './step.js';

/** How a piece of work is done. */
export interface Procedure {
  readonly key: string;
  readonly name: string;
  readonly actions: readonly Action[];
  /** words of the component that it is done to */
  readonly component: RegExp;
  /** what else in the name of an item asks for it, whatever the item's action */
  readonly alsoNamed?: RegExp;
  /** keys of weaker procedures that it does along the way */
  readonly covers?: readonly string[];
  readonly steps: (setUp: MachineSetUp, item: WorkItem) => readonly Step[];
}

/** Whether an item asks for a procedure. */
export function asksFor({ action, component, name }: WorkItem, procedure: Procedure): boolean {
  if (procedure.alsoNamed?.test(name)) return true;
  return procedure.actions.includes(action) && procedure.component.test(component);
}
