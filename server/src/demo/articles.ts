import type { ArticleKind, ArticleUnit } from '@yugator/contracts';
import type { Category, Component, FilterTraits, FluidTraits, MakerNumber, PlugTraits } from '@yugator/core';

/** What stands on the shelf of the invented crew. */
export interface DemoArticle {
  readonly name: string;
  readonly kind: ArticleKind;
  readonly unit: ArticleUnit;
  readonly leastOnHand: number;
  /** how much comes in at once */
  readonly lot: number;
  /** what one can holds of a fluid; null of all else */
  readonly container: number | null;
  readonly priceMinor: number;
  readonly number: string;
  readonly place: string;
  readonly component: Component | null;
  readonly makerNumbers: readonly MakerNumber[];
  readonly fluid: FluidTraits | null;
  readonly filter: FilterTraits | null;
  readonly plug: PlugTraits | null;
  /** of a kit: what it holds, by name */
  readonly holds: readonly (readonly [name: string, quantity: number])[];
}

const PLAIN = {
  container: null,
  component: null,
  makerNumbers: [],
  fluid: null,
  filter: null,
  plug: null,
  holds: [],
} as const;

type Stock = readonly [
  number: string,
  name: string,
  place: string,
  leastOnHand: number,
  lot: number,
  priceMinor: number,
];

function stock([number, name, place, leastOnHand, lot, priceMinor]: Stock) {
  return { number, name, place, leastOnHand, lot, priceMinor };
}

function kit(of: Stock, holds: DemoArticle['holds']): DemoArticle {
  return { ...PLAIN, ...stock(of), kind: 'kit', unit: 'piece', holds };
}

/** Makers with their numbers, and what took their place. */
function numbers(
  rows: readonly (readonly [maker: string, number: string, supersededBy?: string])[],
): MakerNumber[] {
  return rows.map(([maker, number, supersededBy = '']) => ({ maker, number, supersededBy }));
}

type Numbers = Parameters<typeof numbers>[0];

function part(of: Stock, component: Component | null, rows: Numbers): DemoArticle {
  return { ...PLAIN, ...stock(of), kind: 'part', unit: 'piece', component, makerNumbers: numbers(rows) };
}

/** mm, and kPa of the bypass */
type Measures = readonly [
  height: number,
  outside: number,
  gasket: number,
  thread: string,
  bypass: number | null,
];

function filter(of: Stock, component: Component, rows: Numbers, measures: Measures): DemoArticle {
  const [height, outside, gasket, thread, bypass] = measures;
  return { ...part(of, component, rows), filter: { height, outside, gasket, thread, bypass } };
}

function plug(of: Stock, rows: Numbers, reach: number): DemoArticle {
  return { ...part(of, 'sparkPlugs', rows), plug: { reach, thread: 'M14 × 1.25', hexagon: 15.9 } };
}

/** Fluids come in cans of 5 L. */
const CAN_LITRES = 5;

type Label = readonly [kind: FluidTraits['kind'], grade: string, ...categories: Category[]];

function fluid(of: Stock, component: Component | null, rows: Numbers, label: Label): DemoArticle {
  const [kind, grade, ...categories] = label;
  return {
    ...part(of, component, rows),
    kind: 'fluid',
    unit: 'litre',
    container: CAN_LITRES,
    fluid: { kind, grade, categories },
  };
}

export const ARTICLES: readonly DemoArticle[] = [
  kit(
    ['K-01', 'Oil change kit, V-twin', 'Rack A, top', 2, 6, 2090],
    [
      ['10W-30 engine oil', 2],
      ['Oil filter, V-twin', 1],
    ],
  ),
  kit(
    ['K-02', 'Oil change kit, single cylinder', 'Rack A, top', 1, 3, 1890],
    [
      ['10W-30 engine oil', 2],
      ['Oil filter, small engine', 1],
    ],
  ),
  kit(
    ['K-03', 'Oil change kit, tractor', 'Rack A, top', 1, 3, 3390],
    [
      ['15W-40 diesel engine oil', 4],
      ['Oil filter, tractor', 1],
    ],
  ),
  kit(
    ['K-04', 'Oil change kit, utility vehicle', 'Rack A, top', 1, 3, 2190],
    [
      ['10W-40 engine oil', 2],
      ['Oil filter, utility vehicle', 1],
    ],
  ),
  kit(
    ['K-05', 'Yearly kit, V-twin', 'Rack A, top', 1, 4, 3990],
    [
      ['10W-30 engine oil', 2],
      ['Oil filter, V-twin', 1],
      ['Air filter, V-twin', 1],
      ['Fuel filter, in-line', 1],
      ['Spark plug, 5/8 in', 2],
    ],
  ),
  kit(
    ['K-06', 'Yearly kit, utility vehicle, gasoline', 'Rack A, top', 0, 2, 3690],
    [
      ['10W-40 engine oil', 2],
      ['Oil filter, utility vehicle', 1],
      ['Air filter, utility vehicle', 1],
    ],
  ),
  kit(
    ['K-07', 'Hydro service kit, zero-turn', 'Rack B, 3', 0, 1, 6490],
    [
      ['20W-50 hydro oil', 5],
      ['Hydro filter, zero-turn', 2],
    ],
  ),
  kit(
    ['K-08', 'Transmission filter kit, tractor', 'Rack B, 3', 0, 1, 4590],
    [
      ['Transmission filter, tractor', 1],
      ['Transmission strainer, tractor', 1],
    ],
  ),
  filter(
    ['F-01', 'Oil filter, V-twin', 'Rack A, 1', 0, 2, 790],
    'engineOilFilter',
    [
      ['Quillon', 'QF 1004', 'QF 1004B'],
      ['Verrick', 'VE-77'],
    ],
    [83, 76, 62.5, '3/4-16 UNF', 70],
  ),
  filter(
    ['F-02', 'Oil filter, V-twin, short', 'Rack A, 1', 0, 1, 520],
    'engineOilFilter',
    [['Marlow', 'M 23']],
    [62, 66, 56, '3/4-16 UNF', null],
  ),
  filter(
    ['F-03', 'Oil filter, V-twin, tall', 'Rack A, 1', 0, 2, 610],
    'engineOilFilter',
    [['Marlow', 'M 24']],
    [98, 76, 62.5, '3/4-16 UNF', null],
  ),
  filter(
    ['F-04', 'Oil filter, small engine', 'Rack A, 1', 0, 2, 690],
    'engineOilFilter',
    [['Hobbin', 'HL 310']],
    [65, 66, 56, '3/4-16 UNF', null],
  ),
  filter(
    ['F-05', 'Oil filter, tractor', 'Rack A, 2', 0, 2, 1340],
    'engineOilFilter',
    [['Dunmallet', 'DM-28-116']],
    [95, 80, 64, 'M20 × 1.5', 100],
  ),
  filter(
    ['F-06', 'Oil filter, utility vehicle', 'Rack A, 2', 0, 4, 980],
    'engineOilFilter',
    [['Hobbin', 'HV 412']],
    [80, 68, 58, 'M20 × 1.5', null],
  ),
  part(['A-01', 'Air filter, V-twin', 'Rack A, 3', 3, 8, 1150], 'airFilter', [
    ['Quillon', 'QA 210'],
    ['Verrick', 'VA-210'],
  ]),
  part(['A-02', 'Air filter, single cylinder', 'Rack A, 3', 1, 3, 890], 'airFilter', [['Hobbin', 'HL 320']]),
  part(['A-03', 'Air filter, utility vehicle', 'Rack A, 3', 2, 4, 1680], 'airFilter', [['Hobbin', 'HV 420']]),
  part(['A-04', 'Primary air element, tractor', 'Rack A, 3', 1, 3, 3250], 'airFilter', [
    ['Dunmallet', 'DM-28-140'],
  ]),
  part(['B-01', 'Fuel filter, in-line', 'Rack B, 1', 4, 10, 420], 'fuelFilter', [
    ['Quillon', 'QB 31'],
    ['Verrick', 'VB-31'],
  ]),
  part(['B-02', 'Fuel filter, tractor', 'Rack B, 1', 2, 4, 1120], 'fuelFilter', [['Dunmallet', 'DM-28-150']]),
  part(['B-03', 'Fuel filter, diesel utility vehicle', 'Rack B, 1', 1, 2, 1240], 'fuelFilter', [
    ['Hobbin', 'HV 431'],
  ]),
  plug(
    ['S-01', 'Spark plug, 5/8 in', 'Rack B, 2', 6, 20, 380],
    [
      ['Quillon', 'QS 7'],
      ['Verrick', 'VS-7'],
      ['Hobbin', 'HL 307'],
    ],
    19,
  ),
  plug(['S-02', 'Spark plug, long reach', 'Rack B, 2', 0, 4, 450], [['Hobbin', 'HV 440']], 26.5),
  filter(
    ['H-01', 'Hydro filter, zero-turn', 'Rack B, 3', 2, 2, 1460],
    'hydroFilters',
    [['Verrick', 'VH-52']],
    [88, 76, 62.5, '3/4-16 UNF', null],
  ),
  part(['H-02', 'Hydraulic filter pair, utility vehicle', 'Rack B, 3', 1, 2, 4600], 'hydraulicFilters', [
    ['Hobbin', 'HV 460'],
  ]),
  filter(
    ['H-03', 'Transmission filter, tractor', 'Rack B, 3', 1, 2, 2890],
    'transmissionFilter',
    [['Dunmallet', 'DM-28-160']],
    [140, 93, 71, '1-12 UNF', null],
  ),
  part(['H-04', 'Transmission strainer, tractor', 'Rack B, 3', 0, 1, 1990], 'transmissionStrainer', [
    ['Dunmallet', 'DM-28-161'],
  ]),
  part(['R-01', 'Radiator hose set, tractor', 'Rack B, 4', 0, 1, 3480], 'radiatorHoses', [
    ['Dunmallet', 'DM-28-171'],
  ]),
  part(['M-01', 'Blade, 52 in deck', 'Rack C, 1', 3, 6, 2150], 'blades', [['Verrick', 'VM-52']]),
  part(['M-02', 'Blade, 46 in deck', 'Rack C, 1', 2, 4, 1890], 'blades', [['Quillon', 'QM 46']]),
  part(['M-03', 'Deck belt, zero-turn', 'Rack C, 2', 1, 2, 4480], 'deckBelt', [
    ['Verrick', 'VD-52', 'VD-52A'],
  ]),
  part(['M-04', 'Deck belt, riding mower', 'Rack C, 2', 1, 2, 3890], 'deckBelt', [['Quillon', 'QM 61']]),
  part(['M-05', 'Drive belt, utility vehicle', 'Rack C, 2', 1, 2, 5290], 'driveBelt', [['Hobbin', 'HV 470']]),
  part(['M-06', 'Fan belt, tractor', 'Rack C, 2', 1, 2, 2190], 'fanBelt', [['Dunmallet', 'DM-28-180']]),
  part(['M-07', 'Blade bolt, 5/8 in', 'Rack C, 1', 0, 6, 340], 'bladeBolts', [
    ['Verrick', 'VM-58'],
    ['Quillon', 'QM 58'],
  ]),
  part(['E-01', 'Battery, 12 V, 28 Ah', 'Floor, by the door', 0, 1, 6490], 'battery', [['Marlow', 'M 28']]),
  part(['E-02', 'Blade fuse, 20 A', 'Rack C, 3', 10, 25, 35], 'wiring', []),
  part(['E-03', 'Bulb of work lamp, 27 W', 'Rack C, 3', 2, 4, 480], 'lights', []),
  part(['W-01', 'Gauge wheel, 5 in', 'Rack C, 3', 0, 2, 1290], 'deckWheels', [['Verrick', 'VW-5']]),
  part(['W-02', 'Caster tyre, flat-free', 'Floor, by the door', 0, 1, 4990], 'tyres', [['Verrick', 'VW-13']]),
  part(['N-01', 'Nitrile gloves, box of 100', 'Grease bench', 1, 3, 1150], null, []),
  part(['G-01', 'Grease cartridge, NLGI 2, 400 g', 'Grease bench', 4, 10, 490], null, []),
  fluid(
    ['O-01', '10W-30 engine oil', 'Oil bench', 5, 20, 640],
    'engineOil',
    [['Quillon', 'QO 30']],
    ['engineOil', '10W-30', 'API SN', 'API SL'],
  ),
  fluid(
    ['O-02', '10W-40 engine oil', 'Oil bench', 4, 20, 690],
    'engineOil',
    [['Hobbin', 'HO 40']],
    ['engineOil', '10W-40', 'API SN'],
  ),
  fluid(
    ['O-03', '15W-40 diesel engine oil', 'Oil bench', 8, 20, 590],
    'engineOil',
    [['Dunmallet', 'DO 15']],
    ['engineOil', '15W-40', 'API CK-4', 'API CI-4 PLUS'],
  ),
  fluid(
    ['O-04', '20W-50 hydro oil', 'Oil bench', 5, 20, 760],
    'hydroOil',
    [['Verrick', 'VO 50']],
    ['engineOil', '20W-50', 'API SJ'],
  ),
  {
    ...fluid(
      ['O-05', 'Transmission and hydraulic oil', 'Drums, back wall', 20, 60, 710],
      'transmissionOil',
      [['Dunmallet', 'DO 70']],
      ['tractorFluid', '10W-30'],
    ),
    container: 20,
  },
  fluid(
    ['O-06', '80W-90 gear oil, GL-5', 'Oil bench', 4, 10, 820],
    null,
    [['Dunmallet', 'DO 90']],
    ['gearOil', '80W-90', 'API GL-5'],
  ),
  fluid(
    ['O-07', 'ISO VG 46 hydraulic oil', 'Oil bench', 0, 5, 460],
    'hydraulicOil',
    [],
    ['hydraulicOil', 'ISO VG 46'],
  ),
  fluid(
    ['C-01', 'Coolant, ready mixed', 'Oil bench', 5, 10, 450],
    'coolant',
    [['Dunmallet', 'DC 1']],
    ['coolant', '', 'Coolant, organic (OAT)'],
  ),
];
