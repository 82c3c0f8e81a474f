import type { SpecCardDto } from '@yugator/contracts';
import { ACCESS, CARD_ACCESS, DEFAULT_FIGURES, degreesOf, figureWords, HOUSE_WAYS } from '@yugator/core';
import type {
  ComponentKind,
  Dimension,
  FluidDrain,
  GreaseReach,
  LevelReading,
  UnitSystem,
} from '@yugator/core';

/** How the text of a cell is read: as words, a figure with a unit, a range of it, a whole number, degrees, or an axle. */
export type CellKind =
  | { readonly is: 'words'; readonly need: boolean }
  /** a component of the list, kept as its key; of some kinds only, where it says so */
  | { readonly is: 'component'; readonly kinds?: readonly ComponentKind[] }
  /** what the line is called besides its component */
  | { readonly is: 'ownName' }
  | { readonly is: 'value' | 'range'; readonly of: Dimension; readonly need: boolean }
  | { readonly is: 'whole'; readonly need: boolean }
  | { readonly is: 'degrees' }
  | { readonly is: 'axle' }
  /** one of a closed list, by its key; empty where nobody said */
  | { readonly is: 'choice'; readonly words: Readonly<Record<string, string>>; readonly none: string };

export interface SpecColumn {
  readonly key: string;
  readonly label: string;
  readonly kind: CellKind;
  readonly example: string;
}

export interface SpecSection {
  /** grades, drains and levels are parts of the fluids, typed by themselves */
  readonly key: Exclude<keyof SpecCardDto, 'service'> | 'grades' | 'drains' | 'levels';
  readonly title: string;
  readonly columns: readonly SpecColumn[];
  /** lines that it takes; as many as are wanted where it does not say */
  readonly most?: number;
}

/** The head of a column, with its degrees as the crew reads them. */
export function columnHead({ label, kind }: SpecColumn, units: UnitSystem): string {
  return kind.is === 'degrees' ? `${label} °${degreesOf(units)}` : label;
}

const component = (label: string, example: string, ...kinds: ComponentKind[]): SpecColumn => ({
  key: 'component',
  label,
  example,
  kind: kinds.length ? { is: 'component', kinds } : { is: 'component' },
});
const ownName = (key: string, example: string): SpecColumn => ({
  key,
  label: 'Its own name',
  example,
  kind: { is: 'ownName' },
});
const words = (key: string, label: string, example: string, need = true): SpecColumn => ({
  key,
  label,
  example,
  kind: { is: 'words', need },
});
const quantity = (key: string, label: string, of: Dimension, example: string, need = true): SpecColumn => ({
  key,
  label,
  example,
  kind: { is: 'value', of, need },
});
const choice = (
  key: string,
  label: string,
  list: Readonly<Record<string, string>>,
  none = 'not said',
): SpecColumn => ({
  key,
  label,
  example: '',
  kind: { is: 'choice', words: list, none },
});
const range = (label: string, of: Dimension, example: string): SpecColumn => ({
  key: 'range',
  label,
  example,
  kind: { is: 'range', of, need: true },
});

const LEVEL_WORDS: Record<LevelReading, string> = {
  screwedIn: 'dipstick screwed in',
  resting: 'dipstick resting on its threads',
  pushedHome: 'dipstick pushed home',
  sightGlass: 'sight glass',
  levelPlug: 'level plug',
  reservoir: 'reservoir',
};

const DRAIN_WORDS: Record<FluidDrain, string> = {
  plug: 'drain plug',
  twoPlugs: 'two drain plugs',
  valve: 'drain valve',
  hose: 'drain hose',
  extractor: 'extractor only',
  cap: 'cap',
};

const REACH_NAMES: Record<GreaseReach, string> = {
  cap: 'under a cap',
  guardHole: 'through the hole in the guard',
  guardOff: 'with the guard off',
  turnWheel: 'by turning the wheel',
  turnShaft: 'by turning shaft or axle',
  hose: 'with a hose',
  rigid: 'with a rigid coupler',
};

const ACCESS_WORDS = Object.fromEntries(CARD_ACCESS.map((name) => [name, ACCESS[name].words]));

const WAY_WORDS = Object.fromEntries(
  [...HOUSE_WAYS].map(([way, said]) => [way, figureWords(said, DEFAULT_FIGURES)]),
);

export const SPEC_SECTIONS: readonly SpecSection[] = [
  {
    key: 'fluids',
    title: 'Fluids',
    columns: [
      component('Fluid', 'engine oil', 'fluid'),
      ownName('fluid', 'Transmission and hydraulic oil'),
      quantity('litresWithFilter', 'With filter', 'volume', '2.1 qt'),
      quantity('litresWithoutFilter', 'Without filter', 'volume', '1.9 qt', false),
    ],
  },
  {
    key: 'drains',
    title: 'How fluids come out and go in, and what is used up',
    columns: [
      component('Fluid', 'transaxle oil', 'fluid'),
      choice('drain', 'Out by', DRAIN_WORDS, 'as usual'),
      quantity('firstPour', 'First pour, by the book', 'volume', '4 qt', false),
      quantity('topUpPer100h', 'May take in 100 h', 'volume', '4 fl oz', false),
    ],
  },
  {
    key: 'levels',
    title: 'How levels are read',
    columns: [
      component('Fluid', 'engine oil', 'fluid'),
      choice('reading', 'At', LEVEL_WORDS),
      choice('readAt', 'When', { cold: 'cold', warm: 'warm' }),
      words('marks', 'Low and full mark', 'ADD to FULL', false),
      quantity('betweenMarks', 'Between them', 'volume', '0.5 qt', false),
    ],
  },
  {
    key: 'grades',
    title: 'Approved grades',
    columns: [
      component('Fluid', 'engine oil', 'fluid'),
      words('grade', 'Grade', '10W-30'),
      words('category', 'Category', 'API SJ or later', false),
      { key: 'fromCelsius', label: 'From', example: '-18 °C', kind: { is: 'degrees' } },
      { key: 'toCelsius', label: 'To', example: '104 °F', kind: { is: 'degrees' } },
    ],
  },
  {
    key: 'torques',
    title: 'Torques',
    columns: [
      component('Fastener', 'spark plugs', 'fastener', 'wearPart'),
      ownName('fastener', 'Wheel bolts, front'),
      range('Torque', 'torque', '15 lbf·ft'),
    ],
  },
  {
    key: 'plugs',
    title: 'Spark plugs',
    columns: [words('type', 'Type', '5/8 in hexagon'), quantity('gap', 'Gap', 'length', '0.030 in')],
  },
  {
    key: 'tyres',
    title: 'Tyres',
    columns: [
      { key: 'axle', label: 'Axle', example: 'front', kind: { is: 'axle' } },
      range('Pressure', 'pressure', '10-12 psi'),
      quantity('sidewallMaximum', 'Sidewall maximum', 'pressure', '14 psi'),
    ],
  },
  {
    key: 'plays',
    title: 'Belts and free play',
    columns: [
      component('Belt or pedal', 'fan belt', 'belt', 'play'),
      ownName('name', 'Fan belt, mid-span'),
      range('Range', 'length', '7-9 mm'),
      quantity('equalWithin', 'Left and right within', 'length', '3 mm', false),
    ],
  },
  {
    key: 'decks',
    title: 'Cutting deck',
    most: 1,
    columns: [
      words('name', 'Deck', '48 in deck'),
      quantity('sidewaysWithin', 'Sides within', 'length', '3 mm'),
      range('Front lower by', 'length', '3-9 mm'),
      quantity('tipsWithin', 'Blade tips within', 'length', '3 mm', false),
    ],
  },
  {
    key: 'charging',
    title: 'Charging',
    most: 1,
    columns: [
      range('At working speed', 'voltage', '13.8-14.7 V'),
      quantity('idleLow', 'At idle, at least', 'voltage', '13.2 V', false),
    ],
  },
  {
    key: 'fittings',
    title: 'Grease fittings',
    columns: [
      component('Greases', 'deck spindles', 'structure'),
      ownName('name', 'Left front spindle'),
      words('where', 'Where', 'three, from above', false),
      choice('reach', 'Come at', REACH_NAMES, 'as it is'),
      { key: 'strokes', label: 'Usual strokes', example: '3', kind: { is: 'whole', need: true } },
    ],
  },
  {
    key: 'filters',
    title: 'Filters',
    columns: [
      component('Filter', 'engine oil filter', 'filter'),
      ownName('name', 'Inner element'),
      words('note', 'Size', 'spin-on, 65 mm', false),
    ],
  },
  {
    key: 'access',
    title: 'What has to be opened',
    columns: [
      component('To reach', 'fuel filter'),
      choice('opens', 'Opened is', ACCESS_WORDS, 'its own, named beside'),
      words('name', 'Its own name', 'Side panel, right', false),
      words('note', 'Tools, and how', 'four bolts, 10 mm; one is longer', false),
      { key: 'openMinutes', label: 'Minutes open', example: '3', kind: { is: 'whole', need: false } },
      { key: 'closeMinutes', label: 'Minutes close', example: '4', kind: { is: 'whole', need: false } },
    ],
  },
  {
    key: 'tools',
    title: 'Tools and access',
    columns: [
      component('For', 'spark plugs'),
      ownName('name', 'Left plug'),
      words('note', 'Tool, and how to get there', 'deep socket 5/8 in', false),
    ],
  },
  {
    key: 'ways',
    title: 'House rules of its own',
    columns: [
      choice('way', 'On this machine', WAY_WORDS, 'choose the rule and its way'),
      words('why', 'Why', 'the filter housing is plastic'),
    ],
  },
];
