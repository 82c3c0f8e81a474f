import type { Component } from '../component/components.js';
import type { Action } from '../schedule/item.js';
import type { MachineSetUp } from './machineSetUp.js';
import type { Step } from './step.js';

/** An action on a component. */
export interface Work {
  readonly action: Action;
  readonly component: Component;
}

/** What the items of a job ask of a procedure. */
export interface AskedWork {
  /** the names of the items */
  readonly name: string;
  /** the components that they ask it for, each once */
  readonly components: readonly Component[];
  /** what they ask to be done to them, each once */
  readonly actions: readonly Action[];
}

/** How a piece of work is done. */
export interface Procedure {
  readonly key: string;
  readonly name: string;
  /** the work that it is; an item is told by equality alone, never by its wording */
  readonly does: readonly Work[];
  /** keys of weaker procedures that it does along the way */
  readonly covers?: readonly string[];
  /** done for each item by itself, where others are done once for all that ask for them */
  readonly isOfEachItem?: true;
  readonly steps: (setUp: MachineSetUp, asked: AskedWork) => readonly Step[];
}

/** Each of some actions on each of some components. */
export function workOn(actions: readonly Action[], ...components: Component[]): Work[] {
  return components.flatMap((component) => actions.map((action) => ({ action, component })));
}

/** Whether a procedure is that work. */
export function isDoneBy(procedure: Procedure, { action, component }: Work): boolean {
  return procedure.does.some((work) => work.action === action && work.component === component);
}
