import type { DeckLimits } from '../checks/deckLevel.js';
import type { HouseRules } from '../rules/houseRules.js';
import type { Action } from '../schedule/item.js';
import type { Dimension } from '../units/units.js';
import type { ApprovedGrade } from '../fluids/viscosity.js';
import type { Figure, FluidNeed, Step } from './step.js';

/** How the oil of an engine comes out. */
export const OIL_DRAINS = ['plug', 'twoPlugs', 'valve', 'hose', 'extractor', 'cartridge'] as const;
export type OilDrain = (typeof OIL_DRAINS)[number];

/** How its oil filter is fitted. */
export const OIL_FILTERS = ['upright', 'sideways', 'element', 'none'] as const;
export type OilFilter = (typeof OIL_FILTERS)[number];

export const FUEL_FILTERS = ['inLine', 'bowl', 'spinOn'] as const;
export type FuelFilter = (typeof FUEL_FILTERS)[number];

/** What hangs on the engine, as far as it changes the work. */
export interface ServiceFittings {
  readonly oilDrain: OilDrain;
  readonly oilFilter: OilFilter;
  readonly fuelFilter: FuelFilter;
}

/** What a machine holds and is set to, as far as the work needs it; in SI. */
export interface MachineSpec {
  readonly fluids: readonly {
    readonly fluid: string;
    readonly litresWithFilter: number;
    readonly litresWithoutFilter: number | null;
    readonly betweenMarks?: number | null;
    readonly marks?: string;
    readonly grades: readonly ApprovedGrade[];
  }[];
  readonly torques: readonly { readonly fastener: string; readonly low: number; readonly high: number }[];
  readonly plugs: readonly { readonly type: string; readonly gap: number }[];
  readonly tyres: readonly {
    readonly axle: 'front' | 'rear';
    readonly low: number;
    readonly high: number;
    readonly sidewallMaximum: number;
  }[];
  readonly plays: readonly {
    readonly name: string;
    readonly low: number;
    readonly high: number;
    readonly equalWithin?: number | null;
  }[];
  readonly decks: readonly ({
    readonly name: string;
    readonly tipsWithin: number | null;
  } & DeckLimits)[];
  readonly charging: readonly {
    readonly low: number;
    readonly high: number;
    readonly idleLow: number | null;
  }[];
  readonly fittings: readonly { readonly name: string; readonly where: string; readonly strokes: number }[];
  readonly tools: readonly { readonly name: string; readonly note: string }[];
}

/** An item of a job, as far as its procedure follows from it. */
export interface WorkItem {
  readonly id: string;
  readonly name: string;
  readonly action: Action;
  readonly component: string;
}

/** The machine and the shop that a sheet is for. */
export interface MachineSetUp {
  readonly machineClass: 'ridingMower' | 'zeroTurn' | 'compactTractor' | 'utilityVehicle';
  readonly fuel: 'gasoline' | 'diesel';
  readonly cooling: 'air' | 'liquid';
  readonly fittings: ServiceFittings;
  readonly spec: MachineSpec;
  readonly rules: HouseRules;
  /** all items of the job: some change how another is done */
  readonly items: readonly WorkItem[];
}

/** The usual fittings of a class, where its card says nothing. */
export function usualFittings(
  machineClass: MachineSetUp['machineClass'],
  fuel: MachineSetUp['fuel'],
): ServiceFittings {
  if (fuel === 'diesel') {
    const oilDrain = machineClass === 'compactTractor' ? 'twoPlugs' : 'plug';
    return { oilDrain, oilFilter: 'upright', fuelFilter: 'bowl' };
  }
  return {
    oilDrain: machineClass === 'utilityVehicle' ? 'plug' : 'valve',
    oilFilter: 'sideways',
    fuelFilter: 'inLine',
  };
}

/** The torques of the card whose fastener matches, as figures of a step. */
export function torqueFigures({ spec }: MachineSetUp, fastener: RegExp): Figure[] {
  return spec.torques
    .filter((torque) => fastener.test(torque.fastener))
    .map(({ fastener: label, low, high }) => ({ label, low, high, dimension: 'torque' as Dimension }));
}

/** A fluid of the card; null where it does not stand there. */
export function fluidNeed({ spec }: MachineSetUp, name: RegExp, filterChanged: boolean): FluidNeed | null {
  const found = spec.fluids.find(({ fluid }) => name.test(fluid));
  if (!found) return null;
  const { fluid, litresWithFilter, litresWithoutFilter, betweenMarks = null, marks = '' } = found;
  return { fluid, litresWithFilter, litresWithoutFilter, betweenMarks, marks, filterChanged };
}

/** The tools that the card names for a piece of work; `usual` where it names none. */
export function toolsFor({ spec }: MachineSetUp, work: RegExp, usual: readonly string[]): readonly string[] {
  const noted = spec.tools.filter(({ name }) => work.test(name)).map(({ name, note }) => `${name}: ${note}`);
  return noted.length ? noted : usual;
}

/** What must be open to reach what sits under the hood, on machines that have one. */
export function underHood({ machineClass }: MachineSetUp): Step['needs'] {
  return machineClass === 'compactTractor' ? ['safe', 'hoodOff'] : ['safe'];
}
