import { keysOf } from '../names/record.js';
import type { Consequence } from './consequence.js';

/** What kind of thing a component is. */
export const COMPONENT_KINDS = [
  'fluid',
  'filter',
  'fastener',
  'belt',
  'play',
  'wearPart',
  'electrical',
  'structure',
] as const;
export type ComponentKind = (typeof COMPONENT_KINDS)[number];

export type ComponentClass = 'ridingMower' | 'zeroTurn' | 'compactTractor' | 'utilityVehicle';
export type ComponentFuel = 'gasoline' | 'diesel';

/** What is known of a component wherever it sits. */
export interface ComponentSpec {
  /** as the shop says it, in lower case: "engine oil filter" */
  readonly words: string;
  readonly is: ComponentKind;
  /** what lateness of work on it costs (common practice); greasing and charging are always care */
  readonly late: Consequence;
  /** the classes that may have it; left out, all */
  readonly classes?: readonly ComponentClass[];
  /** the fuel that it goes with; left out, either */
  readonly fuel?: ComponentFuel;
  /** other words that people look for it with */
  readonly also?: readonly string[];
}

const MOWERS = ['ridingMower', 'zeroTurn'] as const;
const WITH_DECK = ['ridingMower', 'zeroTurn', 'compactTractor'] as const;
const TRACTOR = ['compactTractor'] as const;
const CART = ['utilityVehicle'] as const;
const LIQUID_COOLED = ['compactTractor', 'utilityVehicle'] as const;

/**
 * All that the machines of a grounds crew are made of, as far as it is serviced. A closed list: a line of a book, a figure of a card,
 * a step and an article speak of a component by its key, and procedures are found by it.
 */
export const COMPONENTS = {
  engineOil: { words: 'engine oil', is: 'fluid', late: 'ruin' },
  engineOilFilter: { words: 'engine oil filter', is: 'filter', late: 'ruin', also: ['oil filter'] },
  engineDrainPlug: { words: 'engine drain plug', is: 'fastener', late: 'ruin', also: ['sump plug'] },
  engineOilHeater: { words: 'engine oil heater', is: 'electrical', late: 'care', also: ['block heater'] },
  crankcaseBreather: { words: 'crankcase breather', is: 'filter', late: 'wear' },
  valves: { words: 'engine valves', is: 'play', late: 'wear', also: ['valve clearance'] },
  cylinderHeadBolts: { words: 'cylinder head bolts', is: 'fastener', late: 'ruin' },
  engineMounts: { words: 'engine mounts', is: 'fastener', late: 'wear' },
  exhaust: { words: 'exhaust and spark arrester', is: 'structure', late: 'care', also: ['muffler'] },

  airFilter: {
    words: 'air filter',
    is: 'filter',
    late: 'wear',
    also: ['air element', 'primary air element', 'paper element'],
  },
  airPreFilter: { words: 'air pre-filter', is: 'filter', late: 'wear', also: ['foam', 'pre-cleaner'] },
  safetyAirElement: {
    words: 'safety air element',
    is: 'filter',
    late: 'wear',
    classes: LIQUID_COOLED,
    also: ['inner air element'],
  },
  dustValve: { words: 'air cleaner dust valve', is: 'filter', late: 'care', also: ['vacuator'] },
  intakeHoses: { words: 'intake hoses and clamps', is: 'structure', late: 'wear' },
  cabFilter: { words: 'cab air filter', is: 'filter', late: 'care', classes: LIQUID_COOLED },

  fuelFilter: { words: 'fuel filter', is: 'filter', late: 'wear', also: ['fuel bowl'] },
  waterSeparator: { words: 'fuel water separator', is: 'filter', late: 'wear', fuel: 'diesel' },
  fuelTank: { words: 'fuel tank and cap', is: 'structure', late: 'care' },
  fuelLines: { words: 'fuel lines', is: 'structure', late: 'ruin', also: ['fuel hoses'] },
  fuel: { words: 'fuel', is: 'fluid', late: 'care', also: ['stabiliser'] },
  carburettor: { words: 'carburettor', is: 'structure', late: 'wear', fuel: 'gasoline' },
  injectors: { words: 'fuel injectors', is: 'wearPart', late: 'wear', fuel: 'diesel' },
  sparkPlugs: { words: 'spark plugs', is: 'wearPart', late: 'wear', fuel: 'gasoline', also: ['plugs'] },
  glowPlugs: { words: 'glow plugs', is: 'electrical', late: 'wear', fuel: 'diesel' },
  throttle: { words: 'throttle and choke cables', is: 'play', late: 'care' },

  coolant: { words: 'coolant', is: 'fluid', late: 'ruin', classes: LIQUID_COOLED, also: ['antifreeze'] },
  radiatorScreen: {
    words: 'radiator and screen',
    is: 'structure',
    late: 'ruin',
    classes: LIQUID_COOLED,
    also: ['cooling'],
  },
  coolingFins: { words: 'cooling fins', is: 'structure', late: 'wear', also: ['engine screen'] },
  radiatorHoses: {
    words: 'radiator hoses and clamps',
    is: 'structure',
    late: 'ruin',
    classes: LIQUID_COOLED,
  },
  waterPump: { words: 'water pump', is: 'wearPart', late: 'ruin', classes: LIQUID_COOLED },
  thermostat: { words: 'thermostat', is: 'wearPart', late: 'wear', classes: LIQUID_COOLED },

  belts: { words: 'all belts', is: 'belt', late: 'wear' },
  fanBelt: { words: 'fan belt', is: 'belt', late: 'wear', classes: LIQUID_COOLED, also: ['alternator belt'] },
  driveBelt: { words: 'drive belt', is: 'belt', late: 'wear', also: ['transmission belt', 'clutch belt'] },
  deckBelt: { words: 'deck belt', is: 'belt', late: 'wear', classes: WITH_DECK, also: ['mower belt'] },

  transmissionOil: {
    words: 'transmission oil',
    is: 'fluid',
    late: 'ruin',
    also: ['transmission and hydraulic oil'],
  },
  transmissionFilter: { words: 'transmission filter', is: 'filter', late: 'ruin' },
  transmissionStrainer: { words: 'transmission strainer', is: 'filter', late: 'ruin', classes: TRACTOR },
  transmissionPlugs: { words: 'transmission drain plugs', is: 'fastener', late: 'ruin' },
  transaxleOil: { words: 'transaxle oil', is: 'fluid', late: 'ruin' },
  transaxlePlug: { words: 'transaxle drain plug', is: 'fastener', late: 'ruin' },
  frontAxleOil: { words: 'front axle oil', is: 'fluid', late: 'ruin', classes: TRACTOR },
  frontAxlePlugs: { words: 'front axle plugs', is: 'fastener', late: 'ruin', classes: TRACTOR },
  frontDifferentialOil: {
    words: 'front differential oil',
    is: 'fluid',
    late: 'ruin',
    classes: CART,
    also: ['differential oil'],
  },
  frontDifferentialPlug: {
    words: 'front differential drain plug',
    is: 'fastener',
    late: 'ruin',
    classes: CART,
  },
  hydroOil: { words: 'hydro oil', is: 'fluid', late: 'ruin', classes: MOWERS, also: ['hydrostatic oil'] },
  hydroFilters: { words: 'hydro filters', is: 'filter', late: 'ruin', classes: MOWERS },
  hydraulicOil: { words: 'hydraulic oil', is: 'fluid', late: 'ruin', classes: LIQUID_COOLED },
  hydraulicFilters: { words: 'hydraulic filters', is: 'filter', late: 'ruin', classes: LIQUID_COOLED },
  hydraulicHoses: {
    words: 'hydraulic hoses and cylinders',
    is: 'structure',
    late: 'ruin',
    also: ['lift cylinders'],
  },
  steeringFluid: { words: 'power steering fluid', is: 'fluid', late: 'ruin', classes: LIQUID_COOLED },
  gearboxOil: { words: 'deck and attachment gearbox oil', is: 'fluid', late: 'wear' },
  driveShafts: { words: 'drive shafts and boots', is: 'structure', late: 'wear', classes: LIQUID_COOLED },
  clutchPedal: { words: 'clutch pedal', is: 'play', late: 'wear', classes: TRACTOR },
  driveClutch: { words: 'drive clutch', is: 'wearPart', late: 'wear', classes: CART },
  pto: { words: 'PTO and blade clutch', is: 'wearPart', late: 'wear' },

  greasePoints: { words: 'all grease points', is: 'structure', late: 'care', also: ['grease fittings'] },
  axles: { words: 'axles and pivots', is: 'structure', late: 'ruin', also: ['axle pivot', 'front axle'] },
  wheelHubs: { words: 'wheel hubs and bearings', is: 'structure', late: 'wear', also: ['wheels'] },
  casters: { words: 'caster wheels and pivots', is: 'structure', late: 'care', classes: MOWERS },
  steering: { words: 'steering', is: 'structure', late: 'ruin', also: ['tie rods', 'steering gear'] },
  controlLevers: { words: 'drive levers', is: 'play', late: 'ruin', classes: ['zeroTurn'] },
  threePointLinkage: { words: 'three-point linkage', is: 'structure', late: 'care', classes: TRACTOR },
  suspension: { words: 'suspension and shock absorbers', is: 'structure', late: 'wear', classes: CART },

  wheelNuts: { words: 'wheel nuts and bolts', is: 'fastener', late: 'ruin', also: ['lug nuts'] },
  tyres: { words: 'tyres', is: 'wearPart', late: 'care', also: ['tire pressures', 'tyre pressures'] },
  frontTyres: { words: 'front tyres', is: 'wearPart', late: 'care' },
  rearTyres: { words: 'rear tyres', is: 'wearPart', late: 'care' },
  frameBolts: { words: 'frame bolts and welds', is: 'fastener', late: 'ruin', also: ['chassis'] },
  hitch: { words: 'hitch and drawbar', is: 'structure', late: 'ruin' },

  brakes: { words: 'brakes', is: 'wearPart', late: 'ruin', also: ['brake linings', 'brake pads'] },
  brakePedals: { words: 'brake pedals', is: 'play', late: 'ruin', also: ['brake free play'] },
  parkingBrake: { words: 'parking brake', is: 'play', late: 'ruin' },
  brakeLinkage: { words: 'brake linkage', is: 'structure', late: 'ruin', also: ['brake cables'] },
  brakeFluid: { words: 'brake fluid', is: 'fluid', late: 'ruin', classes: CART },

  blades: { words: 'mower blades', is: 'wearPart', late: 'wear', classes: WITH_DECK },
  bladeBolts: { words: 'blade bolts', is: 'fastener', late: 'ruin', classes: WITH_DECK },
  deck: { words: 'cutting deck', is: 'structure', late: 'care', classes: WITH_DECK, also: ['mower deck'] },
  deckSpindles: { words: 'deck spindles', is: 'structure', late: 'care', classes: WITH_DECK },
  spindleBrakes: { words: 'deck spindle brakes', is: 'wearPart', late: 'ruin', classes: WITH_DECK },
  deckIdlers: { words: 'deck idlers and pulleys', is: 'wearPart', late: 'wear', classes: WITH_DECK },
  deckWheels: { words: 'deck gauge wheels', is: 'wearPart', late: 'care', classes: WITH_DECK },
  deckLift: { words: 'deck lift and hangers', is: 'structure', late: 'care', classes: WITH_DECK },
  bagger: { words: 'bagger and chute', is: 'structure', late: 'care', classes: WITH_DECK },

  loaderPins: { words: 'loader pins', is: 'structure', late: 'care', classes: TRACTOR },
  loaderBolts: { words: 'loader bolts', is: 'fastener', late: 'ruin', classes: TRACTOR },
  loaderHydraulics: {
    words: 'loader hoses and cylinders',
    is: 'structure',
    late: 'ruin',
    classes: TRACTOR,
  },
  blowerSkids: { words: 'blower skids and shear bolts', is: 'wearPart', late: 'wear' },
  blowerAuger: { words: 'blower auger and chute', is: 'structure', late: 'care' },
  snowBladeEdge: { words: 'snow blade edge', is: 'wearPart', late: 'wear', also: ['plough edge'] },
  bedHinge: { words: 'bed hinges', is: 'structure', late: 'care', classes: CART },
  bedLock: { words: 'bed latch and prop', is: 'structure', late: 'ruin', classes: CART },

  battery: { words: 'battery', is: 'electrical', late: 'care' },
  batteryTerminals: { words: 'battery terminals', is: 'electrical', late: 'care' },
  alternator: { words: 'alternator and charging', is: 'electrical', late: 'wear' },
  starter: { words: 'starter', is: 'electrical', late: 'care' },
  lights: { words: 'lights and beacon', is: 'electrical', late: 'care', also: ['lamps', 'horn'] },
  wiring: { words: 'wiring and fuses', is: 'electrical', late: 'care' },
  safetyStart: { words: 'safety-start switches', is: 'electrical', late: 'ruin', also: ['interlocks'] },

  seatBelt: { words: 'seat belt', is: 'structure', late: 'ruin' },
  rollBar: { words: 'roll-over bar', is: 'structure', late: 'ruin', also: ['ROPS'] },
  guards: { words: 'guards and shields', is: 'structure', late: 'ruin' },
  seat: { words: 'seat', is: 'structure', late: 'care' },
  wholeMachine: { words: 'the whole machine', is: 'structure', late: 'care', also: ['walk-round', 'wash'] },
  other: { words: 'something else: as its book says', is: 'structure', late: 'care' },
} as const satisfies Record<string, ComponentSpec>;

export type Component = keyof typeof COMPONENTS;

/** All components, in the order in which they are shown. */
export const COMPONENT_KEYS = keysOf(COMPONENTS);

/** What is known of a component. */
export function componentSpec(component: Component): ComponentSpec {
  return COMPONENTS[component];
}

const KEYS: ReadonlySet<string> = new Set(COMPONENT_KEYS);

export function isComponent(value: unknown): value is Component {
  return typeof value === 'string' && KEYS.has(value);
}

/** Whether machines of a class and fuel may have a component. */
export function mayHave(component: Component, machineClass: ComponentClass, fuel?: ComponentFuel): boolean {
  const { classes, fuel: only } = componentSpec(component);
  return (classes?.includes(machineClass) ?? true) && (!fuel || !only || only === fuel);
}

/** "engine oil and engine oil filter". */
export function componentWords(components: readonly Component[]): string {
  const words = components.map((component) => COMPONENTS[component].words);
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
}
