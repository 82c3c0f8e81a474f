import { fittingsOf, DEFAULT_HOUSE, withDefaults } from '@yugator/core';
import type { Component, MachineSetUp, ServiceFittings, UnitSystem, WorkItem } from '@yugator/core';
import { CATALOGUE } from '../../books/catalogue.js';
import { specCardOf } from '../../demo/specCards.js';

/** A whole service of a machine, as docs/services shows it. */
export interface Service {
  /** the name of its page */
  readonly file: string;
  readonly title: string;
  /** when it is done, and what is told by it */
  readonly about: string;
  readonly units: UnitSystem;
  readonly setUp: MachineSetUp;
}

/** The lines of a shipped book, all or those that are named, as items of a job. */
function lines(bookName: string, ...names: string[]): WorkItem[] {
  const book = CATALOGUE.find(({ name }) => name === bookName);
  if (!book) throw new Error(`There is no book "${bookName}".`);
  const chosen = names.length ? names : book.items.map(({ name }) => name);
  return chosen.map((wanted) => {
    const found = book.items.find(({ name }) => name === wanted);
    if (!found) throw new Error(`"${bookName}" has no line "${wanted}".`);
    const { name, action, components } = found;
    return { id: name, name, action, components: (components ?? []) as readonly Component[] };
  });
}

function own(name: string, action: WorkItem['action'], ...components: Component[]): WorkItem {
  return { id: name, name, action, components };
}

type Kind = Pick<MachineSetUp, 'machineClass' | 'fuel'>;

function machine(
  { machineClass, fuel }: Kind,
  items: readonly WorkItem[],
  said: Partial<ServiceFittings> = {},
  rules: Record<string, string> = {},
): MachineSetUp {
  const { cooling, spec } = specCardOf(machineClass, fuel);
  return {
    machineClass,
    fuel,
    cooling,
    fittings: fittingsOf({ ...spec.service, ...said }, machineClass, fuel),
    spec,
    ...DEFAULT_HOUSE,
    rules: withDefaults(rules),
    items,
  };
}

const RIDING: Kind = { machineClass: 'ridingMower', fuel: 'gasoline' };
const ZERO_TURN: Kind = { machineClass: 'zeroTurn', fuel: 'gasoline' };
const TRACTOR: Kind = { machineClass: 'compactTractor', fuel: 'diesel' };
const CART: Kind = { machineClass: 'utilityVehicle', fuel: 'gasoline' };
const DIESEL_CART: Kind = { machineClass: 'utilityVehicle', fuel: 'diesel' };

const TWIN = 'Quillon riding mower, V-twin';
const SINGLE = 'Hobbin riding mower, single cylinder';
const ZERO = 'Verrick zero-turn, V-twin';
const COMPACT = 'Dunmallet compact tractor, diesel';
const LOADER = 'Dunmallet front loader';

const FIFTY = ['Grease all points', 'Wheel bolts: to torque', 'Safety-start switches: try'];
const HUNDRED = [
  'Air element: clean',
  'Fuel filter: clean, bleed',
  'Fan belt: deflection',
  'Brake pedals: free play',
  'Battery: test',
];
const TWO_HUNDRED = ['Engine oil and filter'];
const FOUR_HUNDRED = ['Transmission oil, strainer and filter', 'Front axle oil'];

export const SERVICES: readonly Service[] = [
  {
    file: 'riding-mower-annual',
    title: 'Riding mower: its year',
    about:
      'Once a year or every 100 h, a V-twin with a spin-on filter on its side. One jug stays under two quarts.',
    units: 'us',
    setUp: machine(
      RIDING,
      lines(TWIN).filter(({ name }) => !name.startsWith('Valve') && !name.includes('in storage')),
      { battery: 'sealed', deckWash: 'port' },
    ),
  },
  {
    file: 'riding-mower-cartridge',
    title: 'Riding mower with a sealed oil cartridge: 50 h',
    about: 'Nothing is drained and nothing poured: the cartridge is twisted out and in, and the level read.',
    units: 'us',
    setUp: machine(
      RIDING,
      lines(
        SINGLE,
        'Engine oil',
        'Oil filter',
        'Grease spindles and wheels',
        'Deck: clean',
        'Air filter: clean',
      ),
      { oilDrain: 'cartridge' },
    ),
  },
  {
    file: 'zero-turn-spring',
    title: 'Zero-turn: before the first mow',
    about:
      'In spring, after a winter indoors: battery, tyres, grease, plugs, blades, and what the engine breathes.',
    units: 'metric',
    setUp: machine(
      ZERO_TURN,
      [
        ...lines(ZERO).filter(({ name }) => !name.startsWith('Hydro') && !name.includes('in storage')),
        own('Safety-start switches: try', 'inspect', 'safetyStart'),
      ],
      { battery: 'window' },
    ),
  },
  {
    file: 'utility-vehicle-gasoline',
    title: 'Utility vehicle, gasoline: 100 h',
    about: 'Oil, tyres, wheels, grease and plug; the engine is reached with the bed up.',
    units: 'us',
    setUp: machine(
      CART,
      lines(
        'Hobbin utility vehicle, gasoline',
        'Engine oil and filter',
        'Grease axles and steering',
        'Wheel nuts: to torque',
        'Tyre pressures',
        'Spark plug: look at, set gap',
        'Air filter: replace',
        'Coolant level',
        'Radiator screen: blow out',
      ),
    ),
  },
  {
    file: 'utility-vehicle-diesel',
    title: 'Utility vehicle, diesel, with two hydraulic filters: 400 h',
    about: 'All its oils in one visit. The two hydraulic filters are of different size and never swapped.',
    units: 'metric',
    setUp: machine(
      DIESEL_CART,
      lines(
        'Hobbin utility vehicle, diesel',
        'Engine oil and filter',
        'Transaxle oil',
        'Front differential oil',
        'Hydraulic filters, both',
        'Fuel filter: replace, bleed',
        'Wheel nuts: to torque',
      ),
      { fuelBleed: 'self' },
    ),
  },
  {
    file: 'tractor-50',
    title: 'Compact tractor: 50 h',
    about: 'Grease, wheel bolts and switches: the short visit that keeps a tractor.',
    units: 'metric',
    setUp: machine(TRACTOR, lines(COMPACT, ...FIFTY)),
  },
  {
    file: 'tractor-100-loader',
    title: 'Compact tractor with loader: 100 h',
    about: 'The 50 h and 100 h lines of the tractor, and its loader’s own.',
    units: 'metric',
    setUp: machine(TRACTOR, [...lines(COMPACT, ...FIFTY, ...HUNDRED), ...lines(LOADER)]),
  },
  {
    file: 'tractor-200',
    title: 'Compact tractor with two sump plugs: 200 h',
    about: 'Engine oil from both sides of the sump, with all that comes every 50 and 100 h.',
    units: 'metric',
    setUp: machine(TRACTOR, lines(COMPACT, ...FIFTY, ...HUNDRED, ...TWO_HUNDRED)),
  },
  {
    file: 'tractor-400',
    title: 'Compact tractor: 400 h',
    about: 'The long day: engine, transmission and front axle, dry work in between while they drain.',
    units: 'metric',
    setUp: machine(TRACTOR, lines(COMPACT, ...FIFTY, ...HUNDRED, ...TWO_HUNDRED, ...FOUR_HUNDRED)),
  },
  {
    file: 'autumn-lay-up',
    title: 'Riding mower: into the winter',
    about:
      'After the last mow: fresh oil for the rest, a clean deck, sharp blades, and the battery on the charger indoors.',
    units: 'us',
    setUp: machine(
      RIDING,
      lines(
        TWIN,
        'Engine oil and filter',
        'Deck: clean',
        'Deck spindles: grease',
        'Blades: sharpen and balance',
        'Battery: charge in storage',
      ),
    ),
  },
  {
    file: 'bought-used',
    title: 'Riding mower bought used: everything',
    about: 'Nobody knows what was done, so all of it is done once and its books begin there.',
    units: 'us',
    setUp: machine(RIDING, lines(TWIN)),
  },
  {
    file: 'weekly',
    title: 'Compact tractor: every week',
    about: 'Levels, dust valve and screens, before the engine runs.',
    units: 'metric',
    setUp: machine(TRACTOR, [
      ...lines(COMPACT, 'Air cleaner dust valve: squeeze out'),
      own('Engine oil level', 'inspect', 'engineOil'),
      own('Hydraulic level', 'inspect', 'transmissionOil'),
      own('Coolant level', 'inspect', 'coolant'),
      own('Radiator screen', 'clean', 'radiatorScreen'),
    ]),
  },
  {
    file: 'neglected',
    title: 'Zero-turn that was neglected',
    about: 'Two seasons behind: every line of its book is overdue, the hydro oil too.',
    units: 'metric',
    setUp: machine(
      ZERO_TURN,
      lines(ZERO).filter(({ name }) => !name.includes('in storage')),
      {},
      { drain: 'extractorThenPlug' },
    ),
  },
];
