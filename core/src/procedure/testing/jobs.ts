import type { Component } from '../../component/components.js';
import { DEFAULT_HOUSE } from '../../site/ownWays.js';
import type { Action } from '../../schedule/item.js';
import { usualFittings } from '../machineSetUp.js';
import type { MachineSetUp, MachineSpec, WorkItem } from '../machineSetUp.js';

export function work(name: string, action: Action, ...components: Component[]): WorkItem {
  return { id: name, name, action, components };
}

export const MOWER_SPEC: MachineSpec = {
  fluids: [{ component: 'engineOil', litresWithFilter: 2, litresWithoutFilter: 1.7, grades: [] }],
  torques: [
    { component: 'sparkPlugs', fastener: '', low: 20, high: 20 },
    { component: 'bladeBolts', fastener: 'Blade bolts', low: 68, high: 81 },
  ],
  plugs: [{ type: '5/8 in', gap: 0.762 }],
  tyres: [{ axle: 'rear', low: 69, high: 83, sidewallMaximum: 97 }],
  plays: [{ component: 'deckBelt', name: 'Deck belt', low: 10, high: 13 }],
  fittings: [{ component: 'axles', name: 'Axle pivot', where: 'left', strokes: 3 }],
  decks: [],
  charging: [],
  access: [],
  tools: [],
};

/** A whole year of a riding mower. */
export const ANNUAL_MOWER: readonly WorkItem[] = [
  work('Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter'),
  work('Grease axle pivot, spindles and wheels', 'grease', 'axles', 'wheelHubs'),
  work('Deck: clean', 'clean', 'deck'),
  work('Deck: grease spindles', 'grease', 'deckSpindles'),
  work('Blades: sharpen and balance', 'sharpen', 'blades'),
  work('Air pre-filter: wash', 'clean', 'airPreFilter'),
  work('Air filter: look at', 'inspect', 'airFilter'),
  work('Air filter: replace', 'replace', 'airFilter'),
  work('Fuel filter: replace', 'replace', 'fuelFilter'),
  work('Spark plugs: replace', 'replace', 'sparkPlugs'),
  work('Belts, battery and cooling fins: look over', 'inspect', 'belts', 'battery', 'coolingFins'),
  work('Deck: level', 'adjust', 'deck'),
  work('Battery: charge in storage', 'charge', 'battery'),
  work('Tyre pressures', 'inspect', 'tyres'),
  work('Wheel bolts', 'tighten', 'wheelNuts'),
  work('Safety-start switches', 'inspect', 'safetyStart'),
];

/** A whole year of a diesel tractor. */
export const ANNUAL_TRACTOR: readonly WorkItem[] = [
  work('Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter'),
  work(
    'Transmission oil, strainer and filter',
    'replace',
    'transmissionOil',
    'transmissionStrainer',
    'transmissionFilter',
  ),
  work('Transmission filter', 'replace', 'transmissionFilter'),
  work('Front axle oil', 'replace', 'frontAxleOil'),
  work('Fuel filter: clean, bleed', 'clean', 'fuelFilter'),
  work('Fan belt, brake free play, battery', 'inspect', 'fanBelt', 'brakePedals', 'battery'),
  work('Primary air element: replace', 'replace', 'airFilter'),
  work('Coolant: change', 'replace', 'coolant'),
  work('Radiator hoses and clamps: look over', 'inspect', 'radiatorHoses'),
];

export function setUp(items: readonly WorkItem[], over: Partial<MachineSetUp> = {}): MachineSetUp {
  const { machineClass = 'ridingMower', fuel = 'gasoline' } = over;
  return {
    machineClass,
    fuel,
    cooling: fuel === 'diesel' ? 'liquid' : 'air',
    spec: MOWER_SPEC,
    fittings: usualFittings(machineClass, fuel),
    ...DEFAULT_HOUSE,
    items,
    ...over,
  };
}

export const TRACTOR = { machineClass: 'compactTractor', fuel: 'diesel' } as const;
