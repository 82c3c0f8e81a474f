import type { Action } from '../schedule/item.js';
import type { Component } from '../component/components.js';
import type { LookKey } from '../check/looks.js';
import { DEFAULT_HOUSE } from '../site/ownWays.js';
import { BY_THE_BOOK } from './catalogue/generic.js';
import { proceduresFor } from './catalogue.js';
import { sheetSteps } from './compose.js';
import { usualFittings } from './machineSetUp.js';
import type { MachineSetUp } from './machineSetUp.js';
import type { Procedure } from './procedure.js';

/** What a line of a book becomes on a sheet by itself, before any machine has been named. */
export interface LinePreview {
  readonly steps: number;
  /** minutes of hands, what is opened for it included */
  readonly minutes: number;
  readonly looks: readonly LookKey[];
  readonly procedures: readonly Procedure[];
  /** some of it no procedure knows: a single step that sends to its book */
  readonly isByTheBook: boolean;
}

const NO_CARD: MachineSetUp['spec'] = {
  fluids: [],
  torques: [],
  plugs: [],
  tyres: [],
  plays: [],
  decks: [],
  charging: [],
  fittings: [],
  access: [],
  tools: [],
};

type Machine = Pick<MachineSetUp, 'machineClass' | 'fuel' | 'cooling'>;

/** What an action on some components becomes on a usual machine of a class. */
export function linePreview(action: Action, components: readonly Component[], machine: Machine): LinePreview {
  const item = { id: 'line', name: 'line', action, components };
  const procedures = proceduresFor(item);
  const steps = sheetSteps({
    ...machine,
    fittings: usualFittings(machine.machineClass, machine.fuel),
    spec: NO_CARD,
    ...DEFAULT_HOUSE,
    items: [item],
  }).filter(({ kind }) => kind !== 'visit');
  return {
    steps: steps.length,
    minutes: Math.ceil(steps.reduce((sum, { handsOn }) => sum + handsOn, 0)),
    looks: [...new Set(steps.flatMap(({ look }) => look ?? []))],
    procedures: procedures.filter((procedure) => procedure !== BY_THE_BOOK),
    isByTheBook: procedures.includes(BY_THE_BOOK),
  };
}

/** A usual machine of a class, for want of a real one. */
export function usualMachine(machineClass: MachineSetUp['machineClass']): Machine {
  const isLiquid = machineClass === 'compactTractor' || machineClass === 'utilityVehicle';
  return {
    machineClass,
    fuel: machineClass === 'compactTractor' ? 'diesel' : 'gasoline',
    cooling: isLiquid ? 'liquid' : 'air',
  };
}
