import type { ArticleKind, ArticleUnit, Fuel, MachineClass } from '@yugator/contracts';

/** The invented crew of Larkmere Parks: who works there, with what, and what stands on the shelf. */

export const TIME_ZONE = 'Europe/London';
export const CURRENCY = 'GBP';

/** Hours a week in the mowing season, in leaf fall and in winter. */
export interface Pattern {
  readonly mowing: number;
  readonly leaves: number;
  readonly winter: number;
}

export interface DemoMachine {
  readonly tag: string;
  readonly name: string;
  readonly machineClass: MachineClass;
  readonly make: string;
  readonly model: string;
  readonly fuel: Fuel;
  readonly book: string;
  readonly shed: 'North shed' | 'Nursery yard';
  /** years before today that it came into service */
  readonly yearsAgo: number;
  /** hours on the day it came; above 0 for machines bought used */
  readonly startHours: number;
  readonly pattern: Pattern;
  /** how its present state is made interesting */
  readonly story?: 'neglected' | 'noRecord' | 'unread' | 'meterReplaced' | 'slip';
}

const QUILLON = 'Quillon riding mower, V-twin';
const VERRICK = 'Verrick zero-turn, V-twin';
const DUNMALLET = 'Dunmallet compact tractor, diesel';
const HOBBIN_GAS = 'Hobbin utility vehicle, gasoline';
const HOBBIN_DIESEL = 'Hobbin utility vehicle, diesel';

const MOWER: Pattern = { mowing: 6, leaves: 3.5, winter: 0.3 };
const BUSY_MOWER: Pattern = { mowing: 9, leaves: 5, winter: 0.4 };
const TRACTOR: Pattern = { mowing: 6, leaves: 10, winter: 7 };
const CART: Pattern = { mowing: 7, leaves: 8, winter: 4.5 };

type Short = [
  tag: string,
  name: string,
  shed: DemoMachine['shed'],
  yearsAgo: number,
  startHours: number,
  pattern: Pattern,
  story?: DemoMachine['story'],
];

function riders(...rows: Short[]): DemoMachine[] {
  return rows.map((row) => machine(row, 'ridingMower', 'Quillon', 'R46', 'gasoline', QUILLON));
}

function machine(
  [tag, name, shed, yearsAgo, startHours, pattern, story]: Short,
  machineClass: MachineClass,
  make: string,
  model: string,
  fuel: Fuel,
  book: string,
): DemoMachine {
  return {
    tag,
    name,
    machineClass,
    make,
    model,
    fuel,
    book,
    shed,
    yearsAgo,
    startHours,
    pattern,
    ...(story ? { story } : {}),
  };
}

export const MACHINES: readonly DemoMachine[] = [
  ...riders(
    ['R-03', 'Ball-field mower', 'North shed', 5, 0, BUSY_MOWER, 'neglected'],
    ['R-04', 'Orchard mower', 'North shed', 4, 0, MOWER],
    ['R-06', 'School lawn mower', 'North shed', 3, 0, MOWER],
    ['R-08', 'Trim mower', 'Nursery yard', 2.4, 0, MOWER],
    ['R-09', 'Allotment mower', 'Nursery yard', 1.6, 164, MOWER, 'noRecord'],
    ['R-11', 'Churchyard mower', 'Nursery yard', 6, 0, MOWER, 'meterReplaced'],
  ),
  ...(
    [
      ['M-01', 'Common zero-turn', 'North shed', 4.5, 0, BUSY_MOWER],
      ['M-02', 'Cricket outfield', 'North shed', 3.2, 0, BUSY_MOWER],
      ['M-05', 'Lakeside east', 'North shed', 2.1, 0, MOWER],
      ['M-07', 'Lakeside zero-turn', 'North shed', 3, 0, BUSY_MOWER, 'neglected'],
      ['M-08', 'Verge runner', 'North shed', 1.2, 0, MOWER, 'slip'],
      ['M-09', 'Burial-ground zero-turn', 'Nursery yard', 0.7, 88, MOWER, 'noRecord'],
      ['M-10', 'Terrace mower', 'Nursery yard', 2.6, 0, MOWER],
    ] satisfies Short[]
  ).map((row: Short) => machine(row, 'zeroTurn', 'Verrick', 'Z52', 'gasoline', VERRICK)),
  ...(
    [
      ['T-01', 'Old diesel', 'North shed', 9, 1240, TRACTOR],
      ['T-02', 'Loader tractor', 'North shed', 4, 0, TRACTOR, 'unread'],
      ['T-03', 'Sweeper tractor', 'North shed', 2.5, 0, TRACTOR],
      ['T-04', 'Nursery tractor', 'Nursery yard', 3.1, 310, TRACTOR],
      ['T-05', 'Gritting tractor', 'Nursery yard', 5, 0, TRACTOR, 'neglected'],
    ] satisfies Short[]
  ).map((row: Short) => machine(row, 'compactTractor', 'Dunmallet', 'D28', 'diesel', DUNMALLET)),
  ...(
    [
      ['U-01', 'Litter run', 'North shed', 5, 0, CART],
      ['U-02', 'Bin run', 'North shed', 3, 0, CART],
      ['U-05', 'Nursery cart', 'Nursery yard', 2.2, 0, CART, 'neglected'],
      ['U-06', 'Watering cart', 'Nursery yard', 4, 0, CART, 'unread'],
    ] satisfies Short[]
  ).map((row: Short) => machine(row, 'utilityVehicle', 'Hobbin', 'H400', 'gasoline', HOBBIN_GAS)),
  ...(
    [
      ['U-03', 'Workshop cart', 'North shed', 4.1, 0, CART],
      ['U-04', 'Tree crew cart', 'North shed', 3.6, 205, CART],
    ] satisfies Short[]
  ).map((row: Short) => machine(row, 'utilityVehicle', 'Hobbin', 'H500D', 'diesel', HOBBIN_DIESEL)),
];

export interface DemoArticle {
  readonly name: string;
  readonly kind: ArticleKind;
  readonly unit: ArticleUnit;
  readonly leastOnHand: number;
  /** how much comes in at once */
  readonly lot: number;
  readonly priceMinor: number;
  /** what takes it: book, item, how much */
  readonly needs: readonly (readonly [book: string, item: string, quantity: number])[];
}

const OIL = 'Engine oil and filter';

export const ARTICLES: readonly DemoArticle[] = [
  {
    name: 'Oil change kit, V-twin',
    kind: 'kit',
    unit: 'piece',
    leastOnHand: 3,
    lot: 6,
    priceMinor: 2890,
    needs: [
      [QUILLON, OIL, 1],
      [VERRICK, OIL, 1],
    ],
  },
  {
    name: 'Air filter, V-twin',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 3,
    lot: 8,
    priceMinor: 1150,
    needs: [
      [QUILLON, 'Air filter: replace', 1],
      [VERRICK, 'Air filter: replace', 1],
    ],
  },
  {
    name: 'Fuel filter, in-line',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 4,
    lot: 10,
    priceMinor: 420,
    needs: [
      [QUILLON, 'Fuel filter: replace', 1],
      [VERRICK, 'Fuel filter: replace', 1],
    ],
  },
  {
    name: 'Spark plug, 5/8 in',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 6,
    lot: 20,
    priceMinor: 380,
    needs: [
      [QUILLON, 'Spark plugs: replace', 2],
      [VERRICK, 'Spark plugs: replace', 2],
    ],
  },
  {
    name: 'Grease cartridge, NLGI 2, 400 g',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 4,
    lot: 10,
    priceMinor: 490,
    needs: [],
  },
  {
    name: '10W-30 engine oil',
    kind: 'fluid',
    unit: 'litre',
    leastOnHand: 5,
    lot: 20,
    priceMinor: 640,
    needs: [[HOBBIN_GAS, OIL, 1.9]],
  },
  {
    name: '15W-40 diesel engine oil',
    kind: 'fluid',
    unit: 'litre',
    leastOnHand: 8,
    lot: 20,
    priceMinor: 590,
    needs: [
      [DUNMALLET, OIL, 3.7],
      [HOBBIN_DIESEL, OIL, 2.8],
    ],
  },
  {
    name: 'Oil filter, tractor',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 2,
    lot: 4,
    priceMinor: 1340,
    needs: [[DUNMALLET, OIL, 1]],
  },
  {
    name: 'Oil filter, utility vehicle',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 2,
    lot: 6,
    priceMinor: 980,
    needs: [
      [HOBBIN_GAS, OIL, 1],
      [HOBBIN_DIESEL, OIL, 1],
    ],
  },
  {
    name: 'Transmission and hydraulic oil',
    kind: 'fluid',
    unit: 'litre',
    leastOnHand: 20,
    lot: 60,
    priceMinor: 710,
    needs: [
      [DUNMALLET, 'Transmission oil, strainer and filter', 18],
      [VERRICK, 'Hydro oil and filters', 4.2],
    ],
  },
  {
    name: 'Hydraulic filter pair, utility vehicle',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 1,
    lot: 2,
    priceMinor: 4600,
    needs: [
      [HOBBIN_GAS, 'Hydraulic filters, both', 1],
      [HOBBIN_DIESEL, 'Hydraulic filters, both', 1],
    ],
  },
  {
    name: 'Air filter, utility vehicle',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 2,
    lot: 4,
    priceMinor: 1680,
    needs: [
      [HOBBIN_GAS, 'Air filter: replace', 1],
      [HOBBIN_DIESEL, 'Air filter: replace', 1],
    ],
  },
  {
    name: 'Primary air element, tractor',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 1,
    lot: 3,
    priceMinor: 3250,
    needs: [[DUNMALLET, 'Primary air element: replace', 1]],
  },
  {
    name: 'Coolant, ready mixed',
    kind: 'fluid',
    unit: 'litre',
    leastOnHand: 5,
    lot: 10,
    priceMinor: 450,
    needs: [[DUNMALLET, 'Coolant: change', 5]],
  },
];
