import {
  ACTIONS,
  componentSpec,
  componentsOfWords,
  CONSEQUENCES,
  WORK_PLACES,
  isComponent,
  jsonList,
  lineComponents,
  parseTrigger,
} from '@yugator/core';
import type { ChartColumn, ChartMark, Component, Trigger } from '@yugator/core';
import { csvRows, csvText } from '../csv/csv.js';
import { parseFigure } from '../words/figures.js';
import { parseColumn } from './bookDraft.js';
import type { BookDraft, BookRead, DraftLine } from './bookDraft.js';
import { columnText } from './columnText.js';

/** The columns that every book has, before those of its chart; the first version had only six. */
const FIRST = ['line', 'action', 'components', 'minutes', 'reference', 'note'] as const;
const FURTHER = [
  'further rules',
  'does as well',
  'window hours',
  'window days',
  'lateness',
  'done in',
] as const;
const FIXED = [...FIRST, ...FURTHER] as const;
type Field = (typeof FIXED)[number];
/** What a file of the second version may begin with: an earlier one does not say where work is done. */
const WHOLE: readonly (readonly Field[])[] = [FIXED, FIXED.slice(0, -1)];

const BETWEEN = '; ';

/** A component as a cell says it; what is "something else" has no words of its own. */
function componentText(component: Component): string {
  return component === 'other' ? component : componentSpec(component).words;
}

function listText(list: readonly unknown[]): string {
  return list.length ? JSON.stringify(list) : '';
}

function cellsOf(line: DraftLine): Record<Field, string> {
  return {
    line: line.name,
    action: line.action,
    components: line.components.length ? line.components.map(componentText).join(BETWEEN) : line.oldWords,
    minutes: line.minutes,
    reference: line.reference,
    note: line.note,
    'further rules': listText(line.others),
    'does as well': listText(line.renews),
    'window hours': line.windowHours === null ? '' : String(line.windowHours),
    'window days': line.windowDays === null ? '' : String(line.windowDays),
    lateness: line.consequence ?? '',
    'done in': line.doneIn ?? '',
  };
}

/**
 * The grid as CSV (RFC 4180): a column for each hours and calendar column; rules that no cell of the chart can hold and the lines that
 * are done as well stand as JSON lists in a cell of their own.
 */
export function csvOf({ columns, lines }: BookDraft): string {
  const rows = lines.map((line) => {
    const cells = cellsOf(line);
    return [...FIXED.map((field) => cells[field]), ...line.marks.map((mark) => mark ?? '')];
  });
  return csvText([[...FIXED, ...columns.map(columnText)], ...rows]);
}

interface Head {
  readonly columns: readonly ChartColumn[];
  /** the text of a field, and those of the marks, in a row of the file */
  readonly cellOf: (row: readonly string[], field: Field) => string;
  readonly marksOf: (row: readonly string[]) => readonly string[];
  /** of the first version, whose components are free words */
  readonly isOld: boolean;
}

function isHead(head: readonly string[], fields: readonly string[]): boolean {
  return fields.every((field, index) => head[index]?.trim().toLowerCase() === field);
}

function readHead(head: readonly string[]): Head | { readonly faults: string[] } {
  const old = FIRST.map((field) => (field === 'components' ? 'component' : field));
  const whole = WHOLE.find((fixed) => isHead(head, fixed));
  if (!whole && !isHead(head, old)) {
    return { faults: [`Line 1: the columns must begin with ${FIXED.join(',')}.`] };
  }
  const fields: readonly Field[] = whole ?? FIRST;
  const words = head.slice(fields.length);
  const columns = words.map(parseColumn);
  const faults = words.flatMap((word, index) =>
    columns[index] ? [] : [`Line 1: "${word}" is no column; write 50 h, 7 d, 6 m or 1 y.`],
  );
  if (faults.length) return { faults };
  return {
    columns: columns.filter((column) => column !== null),
    cellOf: (row, field) => row[fields.indexOf(field)]?.trim() ?? '',
    marksOf: (row) => row.slice(fields.length),
    isOld: !whole,
  };
}

function readMark(text: string): ChartMark | null | undefined {
  const mark = text.trim().toLowerCase();
  if (mark === '') return null;
  return mark === 'every' || mark === 'first' ? mark : undefined;
}

/** A list that stands as JSON in a cell; null where it is none. An empty cell is an empty list. */
function readList(text: string): unknown[] | null {
  return text === '' ? [] : jsonList(text);
}

function readRules(text: string): Trigger[] | null {
  const rules = readList(text)?.map(parseTrigger);
  if (!rules) return null;
  const triggers = rules.flatMap((rule) => ('trigger' in rule ? [rule.trigger] : []));
  return triggers.length === rules.length ? triggers : null;
}

function readNames(text: string): string[] | null {
  const names = readList(text);
  return names && names.every((name) => typeof name === 'string') ? names : null;
}

/** Components by their words or keys; null where one of the words is none. */
function readComponents(text: string): Component[] | null {
  const found = text.split(';').map((part) => {
    const word = part.trim();
    return isComponent(word) ? [word] : componentsOfWords(word);
  });
  return found.every((each) => each !== null) ? [...new Set(found.flat())] : null;
}

/** A figure, or null for an empty cell; NaN for anything else. */
function readFigure(text: string): number | null {
  return text === '' ? null : parseFigure(text);
}

/** Reads rows of a file, and notes every fault with its line. */
class LineReader {
  readonly faults: string[] = [];

  constructor(private readonly head: Head) {}

  read(row: readonly string[], number: number): DraftLine {
    const before = this.faults.length;
    const cell = (field: Field) => this.head.cellOf(row, field);
    const unless = (isRight: boolean, words: string) => {
      if (!isRight) this.faults.push(`Line ${number}: ${words}`);
    };
    const [name, typed, minutes, late] = [cell('line'), cell('action'), cell('minutes'), cell('lateness')];
    const action = ACTIONS.find((each) => each === typed.toLowerCase());
    const others = readRules(cell('further rules'));
    const renews = readNames(cell('does as well'));
    const [windowHours, windowDays] = [readFigure(cell('window hours')), readFigure(cell('window days'))];
    const consequence = late ? CONSEQUENCES.find((each) => each === late.toLowerCase()) : null;
    const place = cell('done in');
    const doneIn = place ? WORK_PLACES.find((each) => each === place.toLowerCase()) : null;
    unless(name !== '', 'the name is missing.');
    unless(action !== undefined, `"${typed}" is no action; write ${ACTIONS.join(', ')}.`);
    unless(cell('components') !== '', 'what it is done to is missing.');
    unless(/^\d+$/.test(minutes), `"${minutes}" is no whole number of minutes.`);
    unless(others !== null, 'the further rules are no list of rules; leave the cell as it was exported.');
    unless(renews !== null, 'what it does as well is no list of lines; leave the cell as it was exported.');
    unless(!Number.isNaN(windowHours), `"${cell('window hours')}" is no figure of hours.`);
    unless(!Number.isNaN(windowDays), `"${cell('window days')}" is no figure of days.`);
    unless(consequence !== undefined, `"${late}" is no cost of lateness; write ${CONSEQUENCES.join(', ')}.`);
    unless(
      doneIn !== undefined,
      `"${place}" is nowhere that it is done in; write ${WORK_PLACES.join(', ')}.`,
    );
    const marks = this.marks(row, number);
    const isDue = others?.length !== 0 || marks.some((mark) => mark !== null);
    if (this.faults.length === before) unless(isDue, 'no column is marked, so it would never be due.');
    return {
      key: `csv-${number}`,
      id: null,
      name,
      action: action ?? 'replace',
      ...this.components(name, typed, cell('components')),
      minutes,
      marks,
      others: others ?? [],
      renews: renews ?? [],
      reference: cell('reference'),
      note: cell('note'),
      windowHours,
      windowDays,
      consequence: consequence ?? null,
      doneIn: doneIn ?? null,
    };
  }

  private components(name: string, action: string, text: string): Pick<DraftLine, 'components' | 'oldWords'> {
    const components = this.head.isOld ? null : readComponents(text);
    // Words of an older file, or a wrong word: the line shows them and asks.
    return components ? { components, oldWords: '' } : lineComponents({ name, action, component: text });
  }

  private marks(row: readonly string[], number: number): (ChartMark | null)[] {
    const cells = this.head.marksOf(row);
    return this.head.columns.map((column, index) => {
      const text = cells[index] ?? '';
      const mark = readMark(text);
      if (mark === undefined)
        this.faults.push(`Line ${number}, ${columnText(column)}: "${text}" is neither every nor first.`);
      return mark ?? null;
    });
  }
}

/** The lines of a CSV file in place of those of the book that is open, or every fault of the file. */
export function readCsv(text: string, into: BookDraft): BookRead {
  const [first = [], ...rows] = csvRows(text);
  const head = readHead(first);
  if ('faults' in head) return head;
  const reader = new LineReader(head);
  const lines = rows.map((row, index) => reader.read(row, index + 2));
  if (reader.faults.length) return { faults: reader.faults };
  return { draft: { ...into, columns: head.columns, lines } };
}
