import type { FieldFaultDto } from '@yugator/contracts';
import { pointerParts } from '@yugator/contracts';
import type { Columns, ListFault, ListOutcome } from '@yugator/core';

/** A line that could be read. */
export type ReadyLine<L, T> = Exclude<ListOutcome<L, T>, { does: 'fault' }> & { readonly line: number };

/** A list of the shelf, ready to be read and written. */
export interface OpenList<L, T> {
  readonly columns: Columns<L>;
  /** all that is known, in the order in which it is written */
  readonly known: readonly L[];
  /** a reader for the rows below a head, or what is wrong with the head */
  readonly reader: (
    head: readonly string[],
  ) => { take(row: readonly string[], line: number): ListOutcome<L, T> } | ListFault[];
  /** what speaks against the lines that do something */
  readonly judge: (lines: readonly ReadyLine<L, T>[]) => Promise<ListFault[]>;
  /** writes them; inside a unit of work, after they were judged in it */
  readonly write: (lines: readonly ReadyLine<L, T>[]) => Promise<void>;
}

/** Faults of the fields of a line, at the headings of its columns. `of`: the column of a field, by the path to it. */
export function atHeadings<L>(
  faults: readonly FieldFaultDto[],
  line: number,
  columns: Columns<L>,
  of: (path: readonly string[]) => keyof L & string,
): ListFault[] {
  return faults.map(({ pointer, detail }) => ({
    line,
    heading: columns[of(pointerParts(pointer))].heading,
    detail,
  }));
}
