import { emptySpecCard } from '@yugator/contracts';
import type { SpecCardDto } from '@yugator/contracts';
import {
  degreesOf,
  inDegrees,
  isComponent,
  isDrainedByFittings,
  parseQuantity,
  parseRange,
  parseTemperature,
  shownRange,
  shownUnit,
} from '@yugator/core';
import type { UnitSystem } from '@yugator/core';
import { SPEC_SECTIONS } from './specSections.js';
import type { SpecColumn, SpecSection } from './specSections.js';

/** A row as it is typed: the text of each column. */
export type TypedRow = Readonly<Record<string, string>>;
/** A card as it is typed. */
export type TypedCard = Readonly<Record<SpecSection['key'], readonly TypedRow[]>>;
/** What is wrong, by section, row and column: "fluids/0/litresWithFilter". */
export type CardFaults = Readonly<Record<string, string>>;

/** Shown to the tenth of a degree, and kept so. */
const DEGREE_DECIMALS = 1;

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
  if (kind.is === 'degrees') return inDegrees(Number(value), degreesOf(system), DEGREE_DECIMALS);
  if (kind.is === 'value') return shownRange({ low: Number(value), high: Number(value) }, kind.of, system);
  return String(value);
}

/** What of a fluid is typed in a section of its own, and what it is where nobody said. */
const FLUID_PARTS = {
  drains: { drain: null, firstPour: null, topUpPer100h: null },
  levels: { reading: null, readAt: null, marks: '', betweenMarks: null },
} as const;
type FluidPart = keyof typeof FLUID_PARTS;

function isFluidPart(key: string): key is FluidPart {
  return key in FLUID_PARTS;
}

/** What a card says of a part of its fluids; those of which it says nothing are left out. */
function partRows(fluids: readonly Row[], part: FluidPart): Row[] {
  const nothing: Row = FLUID_PARTS[part];
  return fluids.flatMap((fluid) => {
    const said = Object.fromEntries(Object.keys(nothing).map((key) => [key, fluid[key] ?? nothing[key]]));
    const isSaid = Object.keys(nothing).some((key) => said[key] !== nothing[key]);
    return isSaid ? [{ component: fluid['component'], ...said }] : [];
  });
}

/** The rows of a section of a card. Grades, drains and levels of all fluids stand in sections of their own. */
export function rowsOf({ fluids, ...others }: SpecCardDto, key: SpecSection['key']): Row[] {
  if (key === 'grades')
    return fluids.flatMap(({ component: fluid, grades }) =>
      grades.map((grade) => ({ component: fluid, ...grade })),
    );
  const plain = fluids.map((fluid) => ({ ...fluid }));
  if (isFluidPart(key)) return partRows(plain, key);
  return key === 'fluids' ? plain : others[key].map((row) => ({ ...row }));
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

function parseDegrees(text: string, { key, example }: SpecColumn, system: UnitSystem): Parsed {
  if (text === '') return { values: { [key]: null } };
  const degrees = parseTemperature(text, degreesOf(system));
  return degrees === null
    ? { fault: `Type degrees, such as ${example}.` }
    : { values: { [key]: Number(degrees.toFixed(DEGREE_DECIMALS)) } };
}

/** Reads words that are one of a closed list. */
function parseChoice(text: string, { key, kind, example }: SpecColumn): Parsed {
  if (kind.is === 'component') {
    return isComponent(text)
      ? { values: { [key]: text } }
      : { fault: `Choose from the list, such as ${example}.` };
  }
  if (kind.is === 'choice') {
    if (text === '') return { values: { [key]: null } };
    return text in kind.words ? { values: { [key]: text } } : { fault: 'Choose from the list.' };
  }
  const axle = text.toLowerCase();
  return axle === 'front' || axle === 'rear' ? { values: { axle } } : { fault: 'Type front or rear.' };
}

function parseWords(text: string, { key, kind, label }: SpecColumn): Parsed {
  const isMissing = text === '' && kind.is === 'words' && kind.need;
  return isMissing ? { fault: `${label} is missing.` } : { values: { [key]: text } };
}

function parseWhole(text: string, { key, kind, example }: SpecColumn): Parsed {
  if (text === '' && kind.is === 'whole' && !kind.need) return { values: { [key]: null } };
  return /^\d+$/.test(text)
    ? { values: { [key]: Number(text) } }
    : { fault: `Type a whole number, such as ${example}.` };
}

function parseCell(typed: string, column: SpecColumn, system: UnitSystem): Parsed {
  const { key, kind } = column;
  const text = typed.trim();
  switch (kind.is) {
    case 'component':
    case 'axle':
    case 'choice':
      return parseChoice(text, column);
    case 'ownName':
    case 'words':
      return parseWords(text, column);
    case 'value':
    case 'range':
      return text === '' && !kind.need ? { values: { [key]: null } } : parseMeasure(text, column, system);
    case 'whole':
      return parseWhole(text, column);
    case 'degrees':
      return parseDegrees(text, column, system);
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
  if (kind.is !== 'value' && kind.is !== 'range' && kind.is !== 'degrees') return null;
  const row = rows.find((each) => each && typed !== '' && cellText(each, column, system) === typed);
  if (!row) return null;
  return kind.is === 'range' ? { low: row['low'], high: row['high'] } : { [key]: row[key] };
}

/** Parts of a fluid that the card does not hold, what stands there twice, and a drain that is said elsewhere. */
function partsOfNoFluid(sections: Readonly<Record<string, readonly Row[]>>): CardFaults {
  const fluids = new Set((sections['fluids'] ?? []).map(({ component }) => component));
  const faults: Record<string, string> = {};
  for (const key of ['grades', ...Object.keys(FLUID_PARTS)]) {
    const seen = new Set<unknown>();
    (sections[key] ?? []).forEach(({ component, drain }, index) => {
      const place = `${key}/${index}/component`;
      if (component !== undefined && !fluids.has(component)) faults[place] = 'There is no such fluid above.';
      else if (isFluidPart(key) && seen.has(component)) faults[place] = 'It stands above already.';
      if (isDrainedByFittings(component) && drain)
        faults[`${key}/${index}/drain`] = 'How the engine is drained is chosen above the lists.';
      seen.add(component);
    });
  }
  return faults;
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
  const ofFluid = (key: 'grades' | FluidPart, fluid: Row) =>
    (sections[key] ?? []).filter(({ component }) => component === fluid['component']);
  Object.assign(faults, partsOfNoFluid(sections));
  if (Object.keys(faults).length) return { faults };
  const others = Object.fromEntries(
    Object.entries(sections).filter(([key]) => key !== 'grades' && !isFluidPart(key)),
  );
  const whole = fluids.map((row) => ({
    ...row,
    ...FLUID_PARTS.drains,
    ...FLUID_PARTS.levels,
    ...ofFluid('drains', row)[0],
    ...ofFluid('levels', row)[0],
    grades: ofFluid('grades', row).map(({ component: _fluid, ...grade }) => grade),
  }));
  return { spec: { ...emptySpecCard(), ...others, fluids: whole } as unknown as SpecCardDto };
}
