import { DEFAULT_RULES } from '../../rules/houseRules.js';
import type { Action } from '../../schedule/item.js';
import { usualFittings } from '../machineSetUp.js';
import type { MachineSetUp, MachineSpec, WorkItem } from '../machineSetUp.js';

export function work(name: string, action: Action, component: string): WorkItem {
  return { id: name, name, action, component };
}

export const MOWER_SPEC: MachineSpec = {
  fluids: [{ fluid: 'Engine oil', litresWithFilter: 2, litresWithoutFilter: 1.7, grades: [] }],
  torques: [
    { fastener: 'Spark plugs', low: 20, high: 20 },
    { fastener: 'Blade bolts', low: 68, high: 81 },
  ],
  plugs: [{ type: '5/8 in', gap: 0.762 }],
  tyres: [{ axle: 'rear', low: 69, high: 83, sidewallMaximum: 97 }],
  plays: [{ name: 'Deck belt', low: 10, high: 13 }],
  fittings: [{ name: 'Axle pivot', where: 'left', strokes: 3 }],
  decks: [],
  charging: [],
  tools: [],
};

/** A whole year of a riding mower. */
export const ANNUAL_MOWER: readonly WorkItem[] = [
  work('Engine oil and filter', 'replace', 'engine oil'),
  work('Grease axle pivot, spindles and wheels', 'grease', 'axle and wheels'),
  work('Deck: clean, grease spindles', 'grease', 'deck spindles'),
  work('Blades: sharpen and balance', 'sharpen', 'blades'),
  work('Air pre-filter: wash', 'clean', 'air pre-filter'),
  work('Air filter: look at', 'inspect', 'air filter'),
  work('Air filter: replace', 'replace', 'air filter'),
  work('Fuel filter: replace', 'replace', 'fuel filter'),
  work('Spark plugs: replace', 'replace', 'spark plugs'),
  work('Belts, battery and cooling fins: look over', 'inspect', 'belts, battery and fins'),
  work('Deck: level', 'adjust', 'deck'),
  work('Battery: charge in storage', 'charge', 'battery'),
  work('Tyre pressures', 'inspect', 'tyres'),
  work('Wheel bolts', 'tighten', 'wheel bolts'),
  work('Safety-start switches', 'inspect', 'safety-start switches'),
];

/** A whole year of a diesel tractor. */
export const ANNUAL_TRACTOR: readonly WorkItem[] = [
  work('Engine oil and filter', 'replace', 'engine oil'),
  work('Transmission oil, strainer and filter', 'replace', 'transmission oil'),
  work('Transmission filter', 'replace', 'transmission filter'),
  work('Front axle oil', 'replace', 'front axle oil'),
  work('Fuel filter: clean, bleed', 'clean', 'fuel filter'),
  work('Fan belt, brake free play, battery', 'inspect', 'belt, brakes and battery'),
  work('Primary air element: replace', 'replace', 'primary air element'),
  work('Coolant: change', 'replace', 'coolant'),
  work('Radiator hoses and clamps: look over', 'inspect', 'radiator hoses'),
];

export function setUp(items: readonly WorkItem[], over: Partial<MachineSetUp> = {}): MachineSetUp {
  const { machineClass = 'ridingMower', fuel = 'gasoline' } = over;
  return {
    machineClass,
    fuel,
    cooling: fuel === 'diesel' ? 'liquid' : 'air',
    spec: MOWER_SPEC,
    fittings: usualFittings(machineClass, fuel),
    rules: DEFAULT_RULES,
    items,
    ...over,
  };
}

export const TRACTOR = { machineClass: 'compactTractor', fuel: 'diesel' } as const;
