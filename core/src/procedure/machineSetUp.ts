import type { Component, ComponentClass, ComponentFuel } from '../component/components.js';
import { componentSpec } from '../component/components.js';
import type { DeckLimits } from '../check/deckLevel.js';
import { capital } from '../names/capital.js';
import type { House } from '../site/ownWays.js';
import type { Action } from '../schedule/item.js';
import type { ApprovedGrade } from '../fluid/viscosity.js';
import type { GreaseReach } from './greaseReach.js';
import type { LevelReading, ReadAt } from './levelReading.js';
import type { AccessLine } from './ownAccess.js';
import type { Figure, FluidNeed, LevelNeed, Step } from './step.js';

/** How the oil of an engine comes out. */
export const OIL_DRAINS = ['plug', 'twoPlugs', 'valve', 'hose', 'extractor', 'cartridge'] as const;
export type OilDrain = (typeof OIL_DRAINS)[number];

/** How a fluid other than the engine's oil comes out. */
export const FLUID_DRAINS = ['plug', 'twoPlugs', 'valve', 'hose', 'extractor', 'cap'] as const;
export type FluidDrain = (typeof FLUID_DRAINS)[number];

/** Whether the fittings say how it is drained, and not its line among the fluids. */
export function isDrainedByFittings(fluid: unknown): boolean {
  return fluid === 'engineOil';
}

/** How its oil filter is fitted. */
export const OIL_FILTERS = ['upright', 'sideways', 'element', 'none'] as const;
export type OilFilter = (typeof OIL_FILTERS)[number];

export const FUEL_FILTERS = ['inLine', 'bowl', 'spinOn'] as const;
export type FuelFilter = (typeof FUEL_FILTERS)[number];

/** How the air leaves the fuel after its filter was open. */
export const FUEL_BLEEDS = ['notSaid', 'screw', 'self'] as const;
export type FuelBleed = (typeof FUEL_BLEEDS)[number];

/** One element, or a second one within that stays when the outer is changed. */
export const AIR_CLEANERS = ['notSaid', 'single', 'twoStage'] as const;
export type AirCleaner = (typeof AIR_CLEANERS)[number];

export const BATTERIES = ['notSaid', 'serviceable', 'sealed', 'window'] as const;
export type BatteryKind = (typeof BATTERIES)[number];

/** Whether the deck has a port for a hose. */
export const DECK_WASHES = ['notSaid', 'port', 'none'] as const;
export type DeckWash = (typeof DECK_WASHES)[number];

/** What hangs on the engine, as far as it changes the work. */
export interface ServiceFittings {
  readonly oilDrain: OilDrain;
  readonly oilFilter: OilFilter;
  readonly fuelFilter: FuelFilter;
  readonly fuelBleed: FuelBleed;
  readonly airCleaner: AirCleaner;
  readonly battery: BatteryKind;
  readonly deckWash: DeckWash;
}

export const NOT_SAID = {
  fuelBleed: 'notSaid',
  airCleaner: 'notSaid',
  battery: 'notSaid',
  deckWash: 'notSaid',
} as const;

/**
 * What a machine holds and is set to, as far as the work needs it; in SI. Lines are found by their component; one of an older card
 * that has none yet is shown, but no work rests on it.
 */
export interface MachineSpec {
  readonly fluids: readonly {
    readonly component?: Component | null;
    readonly litresWithFilter: number;
    readonly litresWithoutFilter: number | null;
    /** litres that the book says to pour first; null where it does not say */
    readonly firstPour?: number | null;
    /** how it comes out, where that is not as usual; of the engine's oil the fittings say it */
    readonly drain?: FluidDrain | null;
    readonly betweenMarks?: number | null;
    readonly marks?: string;
    /** how its level is read; null where the card does not say */
    readonly reading?: LevelReading | null;
    /** whether it is read cold or warm; null where the card does not say */
    readonly readAt?: ReadAt | null;
    readonly grades: readonly ApprovedGrade[];
  }[];
  readonly torques: readonly {
    readonly component?: Component | null;
    readonly fastener: string;
    readonly low: number;
    readonly high: number;
  }[];
  readonly plugs: readonly { readonly type: string; readonly gap: number }[];
  readonly tyres: readonly {
    readonly axle: 'front' | 'rear';
    readonly low: number;
    readonly high: number;
    readonly sidewallMaximum: number;
  }[];
  readonly plays: readonly {
    readonly component?: Component | null;
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
  readonly fittings: readonly {
    readonly component?: Component | null;
    readonly name: string;
    readonly where: string;
    /** how it is come at; null where nobody said */
    readonly reach?: GreaseReach | null;
    readonly strokes: number;
  }[];
  /** what has to be opened on this machine to reach a component, in the order in which it is opened */
  readonly access: readonly AccessLine[];
  readonly tools: readonly {
    readonly component?: Component | null;
    readonly name: string;
    readonly note: string;
  }[];
}

export type CardPlay = MachineSpec['plays'][number];

/** An item of a job, as far as its procedure follows from it. */
export interface WorkItem {
  readonly id: string;
  readonly name: string;
  readonly action: Action;
  /** none while an older line waits for the crew lead to say so */
  readonly components: readonly Component[];
  /** days after which it is done again while the machine is laid up; null or left out where its book names none */
  readonly storageDays?: number | null;
}

/** The machine and the shop that a sheet is for. */
export interface MachineSetUp extends House {
  readonly machineClass: ComponentClass;
  readonly fuel: ComponentFuel;
  readonly cooling: 'air' | 'liquid';
  readonly fittings: ServiceFittings;
  readonly spec: MachineSpec;
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
    return { ...NOT_SAID, oilDrain, oilFilter: 'upright', fuelFilter: 'bowl' };
  }
  return {
    ...NOT_SAID,
    oilDrain: machineClass === 'utilityVehicle' ? 'plug' : 'valve',
    oilFilter: 'sideways',
    fuelFilter: 'inLine',
  };
}

/** What a card says of the fittings, and the usual where it says nothing: an older card knows fewer of them. */
export function fittingsOf(
  said: Partial<ServiceFittings> | undefined,
  machineClass: MachineSetUp['machineClass'],
  fuel: MachineSetUp['fuel'],
): ServiceFittings {
  return { ...usualFittings(machineClass, fuel), ...said };
}

/** What comes before every start of its engine. */
export function startWords({ fuel }: Pick<MachineSetUp, 'fuel'>): string {
  return fuel === 'diesel' ? 'Pre-heat until the lamp goes out, then start. ' : '';
}

/** What a line of the card is called: its own name, else its component's. */
export function cardName(name: string, component: Component | null | undefined): string {
  return name || (component ? capital(componentSpec(component).words) : '');
}

/** The torques of a fastener that the card gives, as figures of a step. */
export function torqueFigures({ spec }: MachineSetUp, ...fasteners: readonly Component[]): Figure[] {
  return spec.torques.flatMap(({ component, fastener, low, high }) =>
    component && fasteners.includes(component)
      ? [{ label: cardName(fastener, component), low, high, dimension: 'torque' }]
      : [],
  );
}

/** A fluid of the card; null where it does not stand there. */
export function fluidNeed(
  { spec }: MachineSetUp,
  fluid: Component,
  filterChanged: boolean,
): FluidNeed | null {
  const found = spec.fluids.find(({ component }) => component === fluid);
  if (!found) return null;
  const { litresWithFilter, litresWithoutFilter, firstPour = null, betweenMarks = null, marks = '' } = found;
  return { fluid, litresWithFilter, litresWithoutFilter, firstPour, betweenMarks, marks, filterChanged };
}

/** A fluid whose level is read, with what the card says of its dipstick. */
export function levelNeed({ spec }: MachineSetUp, fluid: Component): LevelNeed {
  const { betweenMarks = null, marks = '' } = spec.fluids.find(({ component }) => component === fluid) ?? {};
  return { fluid, betweenMarks, marks };
}

/** The tools that the card names for a component; `usual` where it names none. */
export function toolsFor(
  { spec }: MachineSetUp,
  component: Component,
  usual: readonly string[],
): readonly string[] {
  const noted = spec.tools
    .filter((tool) => tool.component === component)
    .map(({ name, note }) => `${cardName(name, component)}: ${note}`);
  return noted.length ? noted : usual;
}

/** The figures of the card for how far some belts or pedals give. */
export function playsOf({ spec }: MachineSetUp, ...components: readonly Component[]): readonly CardPlay[] {
  return spec.plays.filter(({ component }) => (component ? components.includes(component) : false));
}

/** What must be open to reach what sits under the hood, on machines that have one. */
export function underHood({ machineClass }: MachineSetUp): Step['needs'] {
  return machineClass === 'compactTractor' ? ['safe', 'hoodOff'] : ['safe'];
}
