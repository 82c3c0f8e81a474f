import { nameKey, readDay } from '@yugator/core';
import type { DateOrder } from '@yugator/core';
import Papa from 'papaparse';
import { parseFigure } from '../words/figures.js';

/** A row of the grid as it is typed. */
export interface PaperTyped {
  /** stays with the row while others come and go */
  readonly key: number;
  /** in the order of the site, as 12/5/26 */
  readonly day: string;
  readonly hours: string;
  readonly itemIds: readonly string[];
  readonly note: string;
}

export interface PaperLine {
  readonly itemId: string;
  readonly itemName: string;
}

/** A line that was pasted: the row it stands for, or what is wrong with it. */
export type PastedPaper = { readonly number: number; readonly text: string } & (
  | { readonly row: Omit<PaperTyped, 'key'> }
  | { readonly fault: string }
);

function readItems(cell: string, lines: readonly PaperLine[]): { ids: string[] } | { fault: string } {
  const names = cell
    .split(/[;|]/)
    .map((name) => name.trim())
    .filter(Boolean);
  if (names.length === 0) return { fault: 'No line is named.' };
  const ids: string[] = [];
  for (const name of names) {
    const line = lines.find(({ itemName }) => nameKey(itemName) === nameKey(name));
    if (!line) return { fault: `The machine has no line called "${name}".` };
    if (!ids.includes(line.itemId)) ids.push(line.itemId);
  }
  return { ids };
}

function readCells(
  [day = '', hours = '', items = '', note = '']: readonly string[],
  lines: readonly PaperLine[],
  order: DateOrder,
): { row: Omit<PaperTyped, 'key'> } | { fault: string } {
  if (!readDay(day, order)) return { fault: `"${day.trim()}" is no day.` };
  if (Number.isNaN(parseFigure(hours))) return { fault: `"${hours.trim()}" is no figure of hours.` };
  const read = readItems(items, lines);
  if ('fault' in read) return read;
  return { row: { day: day.trim(), hours: hours.trim(), itemIds: read.ids, note: note.trim() } };
}

/**
 * Rows of a spreadsheet: day, hours, lines and a note, parted by tabs; the lines of a row by semicolons, as the machine's schedule names
 * them. A first row that begins with no day and no hours names the columns and is passed over.
 */
export function readPaper(text: string, lines: readonly PaperLine[], order: DateOrder): PastedPaper[] {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy', delimiter: '\t' });
  const [head] = data;
  const isHead =
    head !== undefined && readDay(head[0] ?? '', order) === null && Number.isNaN(parseFigure(head[1] ?? ''));
  const skipped = isHead ? 1 : 0;
  return data.slice(skipped).map((cells, index) => ({
    number: index + 1 + skipped,
    text: cells.join(' '),
    ...readCells(cells, lines, order),
  }));
}
