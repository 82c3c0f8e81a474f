import type { RoundMeterDto } from '@yugator/contracts';
import Papa from 'papaparse';
import { parseFigure } from '../words/figures.js';

/** A line that was pasted: the reading it stands for, or what is wrong with it. */
export type PastedLine = { readonly number: number; readonly text: string } & (
  | { readonly key: string; readonly typed: string }
  | { readonly fault: string }
);

function isFigure(text: string): boolean {
  const hours = parseFigure(text);
  return Number.isFinite(hours) && hours >= 0;
}

/** Whether a meter goes by what stands in the first column. */
function isNamed({ tag, meter }: RoundMeterDto, text: string): boolean {
  const name = meter === 'engine' ? tag : `${tag} ${meter}`;
  return name.toLowerCase() === text.trim().toLowerCase();
}

/** Whether the first line names the columns instead of giving a reading. */
function isHead(cells: readonly string[], meters: readonly RoundMeterDto[]): boolean {
  return cells.every((cell) => !isFigure(cell)) && !meters.some((meter) => isNamed(meter, cells[0] ?? ''));
}

function readCells(
  cells: readonly string[],
  index: number,
  meters: readonly RoundMeterDto[],
): { key: string; typed: string } | { fault: string } {
  const [first = '', second] = cells.map((cell) => cell.trim());
  if (second === undefined) {
    const meter = meters[index];
    if (!isFigure(first)) return { fault: 'Neither a tag with hours nor hours alone.' };
    return meter
      ? { key: meter.key, typed: first }
      : { fault: 'There are more lines than meters in the walk.' };
  }
  const meter = meters.find((one) => isNamed(one, first));
  if (!meter) return { fault: `No meter of the fleet goes by "${first}".` };
  return isFigure(second)
    ? { key: meter.key, typed: second }
    : { fault: `"${second}" is no figure of hours.` };
}

/**
 * Lines of a table or a CSV file: tag and hours, parted by a tab, semicolon or comma; or hours alone, in walking order. A first line
 * that names the columns is passed over. An attachment's own meter goes by tag and kind, "T-02 loader". A meter that comes twice is a fault of the second line.
 */
export function readPasted(text: string, meters: readonly RoundMeterDto[]): PastedLine[] {
  const { data } = Papa.parse<string[]>(text.trim(), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ';', ','],
  });
  const skipped = data[0] && isHead(data[0], meters) ? 1 : 0;
  const seen = new Set<string>();
  return data.slice(skipped).map((cells, index) => {
    const line = { number: index + 1 + skipped, text: cells.join(' ') };
    const read = readCells(cells, index, meters);
    if ('fault' in read) return { ...line, ...read };
    if (seen.has(read.key)) return { ...line, fault: 'This meter was read in a line above.' };
    seen.add(read.key);
    return { ...line, ...read };
  });
}
