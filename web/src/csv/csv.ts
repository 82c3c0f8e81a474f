import Papa from 'papaparse';

/** What a spreadsheet takes for a formula stands behind an apostrophe, which it does not show. */
const FORMULA = /^'*[=+\-@\t\r]/;

/** Rows by which it is told what parts the cells of a file. */
const GUESSED_BY = 20;

/** Rows as CSV (RFC 4180) that no spreadsheet reckons with. */
export function csvText(rows: readonly (readonly (string | number)[])[]): string {
  return Papa.unparse(
    rows.map((row) =>
      row.map((cell) => (typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : cell)),
    ),
  );
}

/** The rows of a CSV, of our own or from a spreadsheet; apostrophes before formulas are taken off again. */
export function csvRows(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  return data.map(plainCells);
}

/** The same with the empty rows between others, so that a row stands where a spreadsheet shows it. */
export function csvSheet(text: string): string[][] {
  // What parts the cells cannot be told where rows without any stand between.
  const { delimiter } = Papa.parse(text.trim(), { skipEmptyLines: 'greedy', preview: GUESSED_BY }).meta;
  return Papa.parse<string[]>(text.trimEnd(), { delimiter }).data.map(plainCells);
}

function plainCells(row: readonly string[]): string[] {
  return row.map((cell) => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell));
}
