import { checkBody, CreateBookDto } from '@yugator/contracts';
import type { BookDto, FieldFaultDto } from '@yugator/contracts';
import { ACTIONS } from '@yugator/core';
import type { ChartColumn, ChartMark } from '@yugator/core';
import { csvRows, csvText } from '../csv/csv.js';
import { draftOf, fieldsOf, parseColumn } from './bookDraft.js';
import type { BookDraft, DraftLine } from './bookDraft.js';
import { columnText } from './columnText.js';

/** A draft that was read, or every fault with its line. */
export type BookRead = { readonly draft: BookDraft } | { readonly faults: readonly string[] };

const FIXED = ['line', 'action', 'component', 'minutes', 'reference', 'note'] as const;

/** The book as its file (docs/book.schema.json). */
export function bookFile(draft: BookDraft): string {
  const { items, ...fields } = fieldsOf(draft);
  const lines = items.map(({ id: _id, ...line }) => line);
  return `${JSON.stringify({ format: 'yugator-book', version: 1, ...fields, items: lines }, null, 2)}\n`;
}

/** The grid as CSV (RFC 4180): a column for each hours and calendar column. Rules that no cell can hold stay in the JSON file. */
export function csvOf({ columns, lines }: BookDraft): string {
  const head = [...FIXED, ...columns.map(columnText)];
  const rows = lines.map((line) => [
    ...[line.name, line.action, line.component, line.minutes, line.reference, line.note],
    ...line.marks.map((mark) => mark ?? ''),
  ]);
  return csvText([head, ...rows]);
}

/** A fault with its place, lines counted from 1: "items/2/minutes: Give the minutes as a whole number." */
function sentenceAt({ pointer, detail }: FieldFaultDto): string {
  const place = pointer
    .replace(/^#?\//, '')
    .replace(/(^|\/)(\d+)(?=\/|$)/g, (_all, before: string, at: string) => {
      return `${before}${Number(at) + 1}`;
    });
  return `${place}: ${detail}`;
}

function readJson(text: string): BookRead {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return { faults: [`This is no JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`] };
  }
  const { format, version, ...fields } = (value ?? {}) as Record<string, unknown>;
  if (format !== 'yugator-book')
    return { faults: ['This is no book file: its format must be "yugator-book".'] };
  if (version !== 1) return { faults: ['This file is of another version. This Yugator reads version 1.'] };
  const { value: book, faults } = checkBody(CreateBookDto, fields);
  if (faults) return { faults: faults.map(sentenceAt) };
  const items = book.items.map((item, index) => ({ ...item, id: `read-${index}` }));
  const draft = draftOf({ ...book, items, id: '', version: 0, machines: [] } satisfies BookDto);
  return { draft: { ...draft, lines: draft.lines.map((line) => ({ ...line, id: null })) } };
}

function readMark(text: string): ChartMark | null | undefined {
  const mark = text.trim().toLowerCase();
  if (mark === '') return null;
  return mark === 'every' || mark === 'first' ? mark : undefined;
}

/** The marks of a line; what is neither every nor first is a fault. */
function readMarks(cells: readonly string[], number: number, columns: readonly ChartColumn[]) {
  const faults: string[] = [];
  const marks = columns.map((column, index) => {
    const text = cells[FIXED.length + index] ?? '';
    const mark = readMark(text);
    if (mark === undefined) {
      faults.push(`Line ${number}, ${columnText(column)}: "${text}" is neither every nor first.`);
    }
    return mark ?? null;
  });
  return { marks, faults };
}

function readLine(
  cells: readonly string[],
  number: number,
  columns: readonly ChartColumn[],
): DraftLine | string[] {
  const [name, typed, component, minutes, reference, note] = FIXED.map((_key, index) =>
    (cells[index] ?? '').trim(),
  );
  const action = ACTIONS.find((each) => each === typed?.toLowerCase());
  const { marks, faults: markFaults } = readMarks(cells, number, columns);
  const faults = [
    name ? '' : `Line ${number}: the name is missing.`,
    action ? '' : `Line ${number}: "${typed}" is no action; write ${ACTIONS.join(', ')}.`,
    component ? '' : `Line ${number}: the component is missing.`,
    /^\d+$/.test(minutes ?? '') ? '' : `Line ${number}: "${minutes}" is no whole number of minutes.`,
    ...markFaults,
  ].filter(Boolean);
  if (faults.length || !action) return faults;
  if (marks.every((mark) => mark === null)) {
    return [`Line ${number}: no column is marked, so it would never be due.`];
  }
  return {
    key: `csv-${number}`,
    id: null,
    name: name ?? '',
    action,
    component: component ?? '',
    minutes: minutes ?? '',
    marks,
    others: [],
    renews: [],
    reference: reference ?? '',
    note: note ?? '',
    windowHours: null,
    windowDays: null,
    consequence: null,
  };
}

function readCsv(text: string, into: BookDraft): BookRead {
  const [head = [], ...rows] = csvRows(text);
  const expected = FIXED.join(',');
  if (head.slice(0, FIXED.length).join(',').toLowerCase() !== expected) {
    return { faults: [`Line 1: the columns must begin with ${expected}.`] };
  }
  const heads = head.slice(FIXED.length);
  const columns = heads.map(parseColumn);
  const faults = heads.flatMap((word, index) =>
    columns[index] ? [] : [`Line 1: "${word}" is no column; write 50 h, 7 d, 6 m or 1 y.`],
  );
  if (faults.length) return { faults };
  const known = columns.filter((column) => column !== null);
  const lines = rows.map((cells, index) => readLine(cells, index + 2, known));
  const all = lines.flatMap((line) => (Array.isArray(line) ? line : []));
  if (all.length) return { faults: all };
  return {
    draft: { ...into, columns: known, lines: lines.flatMap((line) => (Array.isArray(line) ? [] : line)) },
  };
}

/** The book in a file: JSON whole, or CSV for the grid of the book that is open. Nothing of a file with faults is taken. */
export function readBookFile(name: string, text: string, open: BookDraft): BookRead {
  return name.toLowerCase().endsWith('.csv') ? readCsv(text, open) : readJson(text);
}
