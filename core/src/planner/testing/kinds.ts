/* The classes of machines on invented sites, and the work of their books: intervals and minutes are common practice. */

/** Lateness by how bad it is: minutes for each hour and day past the limit. */
export const LATE = { ruin: [20, 6], grave: [10, 3], wear: [5, 1.5], care: [1.5, 0.5] } as const;

export interface Line {
  readonly id: string;
  readonly hours: number | null;
  readonly days: number | null;
  readonly minutes: number;
  readonly worth: number;
  readonly opens: readonly string[];
  readonly late: keyof typeof LATE;
  readonly isByMarks?: boolean;
  readonly wakes?: boolean;
  readonly lays?: boolean;
}

type Short = readonly [
  id: string,
  hours: number | null,
  days: number | null,
  minutes: number,
  worth: number,
  opens: string,
  late: keyof typeof LATE,
  flags?: string,
];

function line([id, hours, days, minutes, worth, opens, late, flags = '']: Short): Line {
  return {
    id,
    hours,
    days,
    minutes,
    worth,
    opens: opens ? opens.split(' ') : [],
    late,
    isByMarks: flags.includes('M'),
    wakes: flags.includes('W'),
    lays: flags.includes('L'),
  };
}

export interface Kind {
  readonly setUp: readonly [number, number];
  readonly hoursPerWeek: number;
  readonly opens: Readonly<Record<string, number>>;
  readonly isSeasonal: boolean;
  readonly share: number;
  readonly lines: readonly Line[];
}

const RIDING: readonly Short[] = [
  ['oil', 50, 365, 30, 20, 'hood level', 'ruin', 'L'],
  ['air filter, clean', 25, null, 6, 0, 'hood', 'wear'],
  ['air filter, new', 100, 365, 5, 15, 'hood', 'wear', 'W'],
  ['plugs', 100, 365, 12, 8, 'hood', 'wear', 'W'],
  ['blades', 25, null, 25, 4, 'deck', 'wear', 'W'],
  ['deck, clean', 25, null, 15, 0, 'deck', 'care', 'L'],
  ['belts', 50, null, 8, 0, 'deck', 'wear'],
  ['battery', 100, 180, 6, 0, 'hood', 'care', 'W'],
  ['fuel filter', 200, 365, 8, 8, 'hood', 'grave'],
  ['hydraulic oil', 400, 730, 40, 60, 'level', 'grave', 'M'],
  ['brakes', 50, 180, 7, 0, '', 'ruin', 'W'],
];
const ZERO_TURN: readonly Short[] = [
  ['oil', 50, 365, 28, 22, 'level', 'ruin', 'L'],
  ['air filter, clean', 25, null, 6, 0, 'hood', 'wear'],
  ['air filter, new', 100, 365, 5, 18, 'hood', 'wear', 'W'],
  ['plugs', 100, 365, 12, 8, 'hood', 'wear'],
  ['blades', 25, null, 28, 5, 'deck', 'wear', 'W'],
  ['deck, clean', 25, null, 14, 0, 'deck', 'care', 'L'],
  ['belts', 50, null, 9, 0, 'deck', 'wear'],
  ['battery', 100, 180, 6, 0, 'hood', 'care', 'W'],
  ['fuel filter', 200, 365, 8, 8, 'hood', 'grave'],
  ['hydraulic oil', 200, 365, 45, 55, 'level', 'grave', 'M'],
  ['brakes', 50, 180, 7, 0, '', 'ruin', 'W'],
  ['casters', 50, null, 10, 0, 'deck', 'care'],
];
const TRACTOR: readonly Short[] = [
  ['oil', 100, 365, 45, 35, 'hood level', 'ruin', 'L'],
  ['air filter, clean', 50, null, 8, 0, 'hood', 'wear'],
  ['air filter, new', 300, 365, 6, 25, 'hood', 'wear'],
  ['fuel filter', 200, 365, 15, 15, 'hood', 'grave'],
  ['hydraulic oil', 400, 730, 75, 90, 'level', 'grave', 'M'],
  ['hydraulic filter', 200, null, 20, 30, 'level', 'grave', 'M'],
  ['coolant', null, 730, 60, 25, 'hood', 'grave'],
  ['belt', 100, null, 10, 0, 'hood guard', 'wear'],
  ['battery', 100, 180, 6, 0, 'hood', 'care'],
  ['grease', 50, null, 18, 0, 'guard', 'wear'],
  ['wheel bolts', 100, 180, 10, 0, '', 'ruin'],
  ['radiator', 50, null, 10, 0, 'hood', 'wear'],
];
const CART: readonly Short[] = [
  ['oil', 100, 180, 28, 20, 'bed level', 'ruin'],
  ['air filter, clean', 50, null, 6, 0, 'bed', 'wear'],
  ['air filter, new', 200, 365, 5, 15, 'bed', 'wear'],
  ['plugs', 200, 365, 12, 8, 'bed', 'wear'],
  ['drive belt', 100, null, 12, 0, 'guard', 'grave'],
  ['brakes', 100, 180, 20, 0, '', 'ruin'],
  ['battery', 50, 90, 6, 0, 'bed', 'care'],
  ['grease', 50, null, 14, 0, '', 'wear'],
  ['tyres', 50, 60, 5, 0, '', 'care'],
  ['coolant', null, 730, 45, 20, 'bed', 'grave'],
  ['differential', 200, 365, 20, 15, 'level', 'grave', 'M'],
];

export const KINDS: readonly Kind[] = [
  {
    setUp: [19, 25],
    hoursPerWeek: 5.5,
    opens: { hood: 4, deck: 8, level: 3 },
    isSeasonal: true,
    share: 0.35,
    lines: RIDING.map(line),
  },
  {
    setUp: [18, 23],
    hoursPerWeek: 7,
    opens: { hood: 3, deck: 9, level: 3 },
    isSeasonal: true,
    share: 0.2,
    lines: ZERO_TURN.map(line),
  },
  {
    setUp: [21, 28],
    hoursPerWeek: 4.5,
    opens: { hood: 4, guard: 6, level: 3 },
    isSeasonal: false,
    share: 0.2,
    lines: TRACTOR.map(line),
  },
  {
    setUp: [18, 23],
    hoursPerWeek: 4,
    opens: { bed: 3, guard: 5, level: 2 },
    isSeasonal: false,
    share: 0.25,
    lines: CART.map(line),
  },
];
