import { nameKey } from '../../names/nameKey.js';
import { keysOf } from '../../names/record.js';
import type { Cell } from './cells.js';

/** A column of a list. */
export interface Column<T> {
  readonly heading: string;
  readonly cell: Cell<T>;
  /** what an empty cell says; undefined where it must be filled */
  readonly empty: T | undefined;
}

/** The columns of lines of one kind, in the order in which they are written. */
export type Columns<L> = { readonly [K in keyof L & string]: Column<L[K]> };

/** What is wrong with a line; lines are counted as a spreadsheet counts its rows, the headings first. */
export interface ListFault {
  readonly line: number;
  /** the heading of the column; '' where it is the whole line */
  readonly heading: string;
  readonly detail: string;
}

/** A column that a line would change. */
export interface ListChange {
  readonly heading: string;
  readonly from: string;
  readonly to: string;
}

function columnKeys<L>(columns: Columns<L>): readonly (keyof L & string)[] {
  return keysOf<keyof L & string>(columns);
}

/** The headings of a list. */
export function headingsOf<L>(columns: Columns<L>): string[] {
  return columnKeys(columns).map((key) => columns[key].heading);
}

/** A line as cells. */
export function cellsOf<L>(columns: Columns<L>, line: L): string[] {
  return columnKeys(columns).map((key) => columns[key].cell.write(line[key]));
}

/** What a line would change, column by column, in the words of its cells. */
export function changesOf<L>(columns: Columns<L>, before: L, now: L): ListChange[] {
  return columnKeys(columns).flatMap((key) => {
    const { heading, cell } = columns[key];
    const [from, to] = [cell.write(before[key]), cell.write(now[key])];
    return from === to ? [] : [{ heading, from, to }];
  });
}

/** What a line says: of the columns that the file has, each that holds what it may hold. */
export interface ReadLine<L> {
  readonly values: Partial<L>;
  readonly faults: readonly ListFault[];
}

/** Reads the lines of a file whose headings are known. */
export class ListReader<L> {
  private constructor(
    private readonly columns: Columns<L>,
    private readonly keys: readonly (keyof L & string)[],
  ) {}

  /** A reader for a file's first row, or what is wrong with that: columns may stand in any order, and those not `needed` may be missing. */
  static of<L>(
    columns: Columns<L>,
    needed: readonly (keyof L & string)[],
    head: readonly string[],
  ): ListReader<L> | ListFault[] {
    const byHeading = new Map(columnKeys(columns).map((key) => [nameKey(columns[key].heading), key]));
    const keys: (keyof L & string)[] = [];
    const faults: ListFault[] = [];
    const note = (heading: string, detail: string) => faults.push({ line: 1, heading, detail });
    for (const heading of head) {
      const key = byHeading.get(nameKey(heading));
      if (!key) {
        const all = headingsOf(columns).join(', ');
        note(heading, `"${heading}" is no column of this list. Take it out, or write one of: ${all}.`);
      } else if (keys.includes(key)) note(heading, `The column "${heading}" stands there twice.`);
      else keys.push(key);
    }
    for (const key of needed)
      if (!keys.includes(key)) {
        const { heading } = columns[key];
        note(heading, `The column "${heading}" is missing.`);
      }
    return faults.length ? faults : new ListReader(columns, keys);
  }

  /** What a row says, and what of it is wrong. `line`: where it stands in the file. */
  read(row: readonly string[], line: number): ReadLine<L> {
    const values: Partial<L> = {};
    const faults: ListFault[] = [];
    if (row.length > this.keys.length && row.slice(this.keys.length).some((text) => text.trim() !== ''))
      faults.push({ line, heading: '', detail: 'There are more cells than headings.' });
    for (const [at, key] of this.keys.entries()) {
      const fault = this.readCell(values, key, row[at]?.trim() ?? '');
      if (fault) faults.push({ line, heading: this.columns[key].heading, detail: fault });
    }
    return { values, faults };
  }

  private readCell(values: Partial<L>, key: keyof L & string, text: string): string | null {
    const { cell, empty } = this.columns[key];
    const value = text === '' ? empty : cell.read(text);
    if (value !== undefined) {
      values[key] = value;
      return null;
    }
    return text === ''
      ? `This may not be empty: write ${cell.wants}.`
      : `"${text.slice(0, 60)}" cannot be: write ${cell.wants}.`;
  }
}
