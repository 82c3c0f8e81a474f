import { emptySpecCard } from '@yugator/contracts';
import type { SpecCardDto } from '@yugator/contracts';
import { isComponent, parseQuantity, parseRange, shownRange, shownUnit } from '@yugator/core';
import type { ComponentKind, Dimension, UnitSystem } from '@yugator/core';
import { parseFigure } from '../words/figures.js';

/** How the text of a cell is read: as words, a figure with a unit, a range of it, a whole number, degrees, or an axle. */
export type CellKind =
  | { readonly is: 'words'; readonly need: boolean }
  /** a component of the list, kept as its key; of some kinds only, where it says so */
  | { readonly is: 'component'; readonly kinds?: readonly ComponentKind[] }
  /** what the line is called besides its component */
  | { readonly is: 'ownName' }
  | { readonly is: 'value' | 'range'; readonly of: Dimension; readonly need: boolean }
  | { readonly is: 'whole' }
  | { readonly is: 'degrees' }
  | { readonly is: 'axle' };

export interface SpecColumn {
  readonly key: string;
  readonly label: string;
  readonly kind: CellKind;
  readonly example: string;
}

export interface SpecSection {
  readonly key: Exclude<keyof SpecCardDto, 'service'> | 'grades';
  readonly title: string;
  readonly columns: readonly SpecColumn[];
  /** lines that it takes; as many as are wanted where it does not say */
  readonly most?: number;
}

/** A row as it is typed: the text of each column. */
export type TypedRow = Readonly<Record<string, string>>;
/** A card as it is typed. */
export type TypedCard = Readonly<Record<SpecSection['key'], readonly TypedRow[]>>;
/** What is wrong, by section, row and column: "fluids/0/litresWithFilter". */
export type CardFaults = Readonly<Record<string, string>>;

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
const range = (label: string, of: Dimension, example: string): SpecColumn => ({
  key: 'range',
  label,
  example,
  kind: { is: 'range', of, need: true },
});

export const SPEC_SECTIONS: readonly SpecSection[] = [
  {
    key: 'fluids',
    title: 'Fluids',
    columns: [
      component('Fluid', 'engine oil', 'fluid'),
      ownName('fluid', 'Transmission and hydraulic oil'),
      quantity('litresWithFilter', 'With filter', 'volume', '2.1 qt'),
      quantity('litresWithoutFilter', 'Without filter', 'volume', '1.9 qt', false),
      quantity('betweenMarks', 'Low to full mark', 'volume', '0.5 qt', false),
      words('marks', 'Dipstick marks', 'ADD to FULL', false),
    ],
  },
  {
    key: 'grades',
    title: 'Approved grades',
    columns: [
      component('Fluid', 'engine oil', 'fluid'),
      words('grade', 'Grade', '10W-30'),
      words('category', 'Category', 'API SJ or later', false),
      { key: 'fromCelsius', label: 'From °C', example: '-18', kind: { is: 'degrees' } },
      { key: 'toCelsius', label: 'To °C', example: '40', kind: { is: 'degrees' } },
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
      { key: 'strokes', label: 'Usual strokes', example: '3', kind: { is: 'whole' } },
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
    key: 'tools',
    title: 'Tools and access',
    columns: [
      component('For', 'spark plugs'),
      ownName('name', 'Left plug'),
      words('note', 'Tool, and how to get there', 'deep socket 5/8 in', false),
    ],
  },
];

/** Figures are kept to the millionth of their SI unit: what was typed comes back as it was. */
function rounded(value: number): number {
  return Math.round(value * 1e6) / 1e6;
}

type Row = Readonly<Record<string, unknown>>;

function cellText(row: Row, { key, kind }: SpecColumn, system: UnitSystem): string {
  if (kind.is === 'range') {
    return shownRange({ low: Number(row['low']), high: Number(row['high']) }, kind.of, system);
  }
  const value = row[key];
  if (value === null || value === undefined) return '';
  if (kind.is === 'value') return shownRange({ low: Number(value), high: Number(value) }, kind.of, system);
  return String(value);
}

/** The rows of a section of a card. The grades of all fluids stand in a section of their own. */
export function rowsOf(spec: SpecCardDto, key: SpecSection['key']): Row[] {
  if (key !== 'grades') return spec[key].map((row) => ({ ...row }));
  return spec.fluids.flatMap(({ component: fluid, grades }) =>
    grades.map((grade) => ({ component: fluid, ...grade })),
  );
}

/** A card as text in the units of the crew, to be shown or typed over. */
export function typedCard(spec: SpecCardDto, system: UnitSystem): TypedCard {
  const entries = SPEC_SECTIONS.map(({ key, columns }) => [
    key,
    rowsOf(spec, key).map((row) =>
      Object.fromEntries(columns.map((column) => [column.key, cellText(row, column, system)])),
    ),
  ]);
  return Object.fromEntries(entries) as TypedCard;
}

type Parsed = { readonly values: Row } | { readonly fault: string };

function parseMeasure(text: string, column: SpecColumn, system: UnitSystem): Parsed {
  const { kind, key, example } = column;
  if (kind.is !== 'value' && kind.is !== 'range') return { fault: 'This is no figure.' };
  const { unit } = shownUnit(kind.of, system);
  if (kind.is === 'range') {
    const parsed = parseRange(text, kind.of, unit);
    return parsed
      ? { values: { low: rounded(parsed.low), high: rounded(parsed.high) } }
      : { fault: `Type a figure or a range, such as ${example}.` };
  }
  const value = parseQuantity(text, kind.of, unit);
  return value === null
    ? { fault: `Type a figure, such as ${example}.` }
    : { values: { [key]: rounded(value) } };
}

function parseDegrees(text: string, { key, example }: SpecColumn): Parsed {
  if (text === '') return { values: { [key]: null } };
  const degrees = parseFigure(text.replace('−', '-').replace(/°?\s*C$/i, ''));
  return Number.isFinite(degrees)
    ? { values: { [key]: degrees } }
    : { fault: `Type degrees Celsius, such as ${example}.` };
}

/** Reads words that are one of a closed list. */
function parseChoice(text: string, { key, kind, example }: SpecColumn): Parsed {
  if (kind.is === 'component') {
    return isComponent(text)
      ? { values: { [key]: text } }
      : { fault: `Choose from the list, such as ${example}.` };
  }
  const axle = text.toLowerCase();
  return axle === 'front' || axle === 'rear' ? { values: { axle } } : { fault: 'Type front or rear.' };
}

function parseCell(typed: string, column: SpecColumn, system: UnitSystem): Parsed {
  const { key, kind, label, example } = column;
  const text = typed.trim();
  switch (kind.is) {
    case 'component':
    case 'axle':
      return parseChoice(text, column);
    case 'ownName':
      return { values: { [key]: text } };
    case 'words':
      return text === '' && kind.need ? { fault: `${label} is missing.` } : { values: { [key]: text } };
    case 'value':
    case 'range':
      return text === '' && !kind.need ? { values: { [key]: null } } : parseMeasure(text, column, system);
    case 'whole':
      return /^\d+$/.test(text)
        ? { values: { [key]: Number(text) } }
        : { fault: `Type a whole number, such as ${example}.` };
    case 'degrees':
      return parseDegrees(text, column);
  }
}

/** What stood in a cell that nobody changed, to its last digit: it was shown rounded. Null for a cell that was typed over. */
function untouched(
  typed: string,
  column: SpecColumn,
  rows: readonly (Row | undefined)[],
  system: UnitSystem,
): Row | null {
  const { kind, key } = column;
  if (kind.is !== 'value' && kind.is !== 'range') return null;
  const row = rows.find((each) => each && typed !== '' && cellText(each, column, system) === typed);
  if (!row) return null;
  return kind.is === 'range' ? { low: row['low'], high: row['high'] } : { [key]: row[key] };
}

/** The card that was typed over `before`, or what is wrong with which cell. */
export function parseCard(
  typed: TypedCard,
  system: UnitSystem,
  before: SpecCardDto = emptySpecCard(),
): { spec: SpecCardDto } | { faults: CardFaults } {
  const faults: Record<string, string> = {};
  const sections: Record<string, Row[]> = {};
  for (const { key, columns } of SPEC_SECTIONS) {
    const known = rowsOf(before, key);
    sections[key] = typed[key].map((row, index) => {
      const values: Record<string, unknown> = {};
      for (const column of columns) {
        const text = row[column.key] ?? '';
        // A line that moved up keeps its figures too.
        const kept = untouched(text, column, [known[index], ...known], system);
        const parsed = kept ? { values: kept } : parseCell(text, column, system);
        if ('fault' in parsed) faults[`${key}/${index}/${column.key}`] = parsed.fault;
        else Object.assign(values, parsed.values);
      }
      return values;
    });
  }
  const fluids = sections['fluids'] ?? [];
  (sections['grades'] ?? []).forEach((grade, index) => {
    const fluid = grade['component'];
    if (fluid !== undefined && !fluids.some((row) => row['component'] === fluid))
      faults[`grades/${index}/component`] = 'There is no such fluid above.';
  });
  if (Object.keys(faults).length) return { faults };
  const { grades = [], ...others } = sections;
  const withGrades = fluids.map((row) => ({
    ...row,
    grades: grades
      .filter((grade) => grade['component'] === row['component'])
      .map(({ component: _fluid, ...grade }) => grade),
  }));
  return { spec: { ...emptySpecCard(), ...others, fluids: withGrades } as unknown as SpecCardDto };
}
