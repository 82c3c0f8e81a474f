import type { Fuel, MachineClass } from '@yugator/contracts';

/** The invented crew of Larkmere Parks: who works there, with what, and what stands on the shelf. */

export const TIME_ZONE = 'Europe/London';
export const CURRENCY = 'GBP';
/** an hour of the crew, in minor units */
export const LABOUR_RATE_MINOR = 3200;

/** The seasons of the crew; winter work crosses New Year. */
export const SEASON_KEYS = ['mowing', 'leaves', 'winter'] as const;
export const SEASON_DAYS = {
  mowing: { name: 'Mowing', first: '04-06', last: '10-24' },
  leaves: { name: 'Leaf fall', first: '10-25', last: '12-05' },
  winter: { name: 'Winter work', first: '12-06', last: '04-05' },
} as const;

/** A loader works a fifth of the time that its tractor runs. */
export const LOADER_SHARE = 0.2;

/** The tractor whose snow blower has a meter of its own, and how much of its winter work that does. */
export const BLOWER_TAG = 'T-03';
export const BLOWER_SHARE_IN_WINTER = 0.4;

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
  readonly books: readonly string[];
  readonly hasLoader: boolean;
  readonly shed: 'North shed' | 'Nursery yard';
  /** years before today that it came into service */
  readonly yearsAgo: number;
  /** hours on the day it came; above 0 for machines bought used */
  readonly startHours: number;
  readonly pattern: Pattern;
  /** how its present state is made interesting */
  readonly story?: 'neglected' | 'noRecord' | 'unread' | 'meterReplaced' | 'slip';
}

export const QUILLON = 'Quillon riding mower, V-twin';
export const HOBBIN_RIDER = 'Hobbin riding mower, single cylinder';
export const VERRICK = 'Verrick zero-turn, V-twin';
export const DUNMALLET = 'Dunmallet compact tractor, diesel';
const LOADER = 'Dunmallet front loader';
export const HOBBIN_GAS = 'Hobbin utility vehicle, gasoline';
export const HOBBIN_DIESEL = 'Hobbin utility vehicle, diesel';

const MOWER: Pattern = { mowing: 6, leaves: 3.5, winter: 0 };
const BUSY_MOWER: Pattern = { mowing: 9, leaves: 0, winter: 0 };
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
  return rows.map((row) => machine(row, 'ridingMower', 'Quillon', 'R46', 'gasoline', [QUILLON]));
}

function machine(
  [tag, name, shed, yearsAgo, startHours, pattern, story]: Short,
  machineClass: MachineClass,
  make: string,
  model: string,
  fuel: Fuel,
  books: readonly string[],
): DemoMachine {
  return {
    tag,
    name,
    machineClass,
    make,
    model,
    fuel,
    books,
    hasLoader: books.includes(LOADER),
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
    ['R-11', 'Churchyard mower', 'Nursery yard', 6, 0, MOWER, 'meterReplaced'],
  ),
  ...(
    [
      ['R-08', 'Trim mower', 'Nursery yard', 2.4, 0, MOWER],
      ['R-09', 'Allotment mower', 'Nursery yard', 1.6, 164, MOWER, 'noRecord'],
    ] satisfies Short[]
  ).map((row: Short) => machine(row, 'ridingMower', 'Hobbin', 'L30', 'gasoline', [HOBBIN_RIDER])),
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
  ).map((row: Short) => machine(row, 'zeroTurn', 'Verrick', 'Z52', 'gasoline', [VERRICK])),
  ...(
    [
      ['T-01', 'Old diesel', 'North shed', 9, 1240, TRACTOR],
      ['T-02', 'Loader tractor', 'North shed', 4, 0, TRACTOR, 'unread'],
      ['T-03', 'Sweeper tractor', 'North shed', 2.5, 0, TRACTOR],
      ['T-04', 'Nursery tractor', 'Nursery yard', 3.1, 310, TRACTOR],
      ['T-05', 'Gritting tractor', 'Nursery yard', 5, 0, TRACTOR, 'neglected'],
    ] satisfies Short[]
  ).map((row: Short) =>
    machine(
      row,
      'compactTractor',
      'Dunmallet',
      'D28',
      'diesel',
      row[0] === 'T-02' || row[0] === 'T-04' ? [DUNMALLET, LOADER] : [DUNMALLET],
    ),
  ),
  ...(
    [
      ['U-01', 'Litter run', 'North shed', 5, 0, CART],
      ['U-02', 'Bin run', 'North shed', 3, 0, CART],
      ['U-05', 'Nursery cart', 'Nursery yard', 2.2, 0, CART, 'neglected'],
      ['U-06', 'Watering cart', 'Nursery yard', 4, 0, CART, 'unread'],
    ] satisfies Short[]
  ).map((row: Short) => machine(row, 'utilityVehicle', 'Hobbin', 'H400', 'gasoline', [HOBBIN_GAS])),
  ...(
    [
      ['U-03', 'Workshop cart', 'North shed', 4.1, 0, CART],
      ['U-04', 'Tree crew cart', 'North shed', 3.6, 205, CART],
    ] satisfies Short[]
  ).map((row: Short) => machine(row, 'utilityVehicle', 'Hobbin', 'H500D', 'diesel', [HOBBIN_DIESEL])),
];
