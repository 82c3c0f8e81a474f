import type { RoundMachineDto } from '@yugator/contracts';
import Papa from 'papaparse';
import { parseFigure } from '../words/figures.js';

/** A line that was pasted: the reading it stands for, or what is wrong with it. */
export type PastedLine = { readonly number: number; readonly text: string } & (
  { readonly machineId: string; readonly typed: string } | { readonly fault: string }
);

function isFigure(text: string): boolean {
  const hours = parseFigure(text);
  return Number.isFinite(hours) && hours >= 0;
}

/** Whether the first line names the columns instead of giving a reading. */
function isHead(cells: readonly string[], machines: readonly RoundMachineDto[]): boolean {
  return (
    cells.every((cell) => !isFigure(cell)) &&
    !machines.some(({ tag }) => tag.toLowerCase() === cells[0]?.trim().toLowerCase())
  );
}

function readCells(
  cells: readonly string[],
  index: number,
  machines: readonly RoundMachineDto[],
): { machineId: string; typed: string } | { fault: string } {
  const [first = '', second] = cells.map((cell) => cell.trim());
  if (second === undefined) {
    const machine = machines[index];
    if (!isFigure(first)) return { fault: 'Neither a tag with hours nor hours alone.' };
    return machine
      ? { machineId: machine.id, typed: first }
      : { fault: 'There are more lines than machines in the walk.' };
  }
  const machine = machines.find(({ tag }) => tag.toLowerCase() === first.toLowerCase());
  if (!machine) return { fault: `No machine of the fleet has the tag "${first}".` };
  return isFigure(second)
    ? { machineId: machine.id, typed: second }
    : { fault: `"${second}" is no figure of hours.` };
}

/**
 * Lines of a table or a CSV file: tag and hours, parted by a tab, semicolon or comma; or hours alone, in walking order. A first line
 * that names the columns is passed over. A machine that comes twice is a fault of the second line.
 */
export function readPasted(text: string, machines: readonly RoundMachineDto[]): PastedLine[] {
  const { data } = Papa.parse<string[]>(text.trim(), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ';', ','],
  });
  const skipped = data[0] && isHead(data[0], machines) ? 1 : 0;
  const seen = new Set<string>();
  return data.slice(skipped).map((cells, index) => {
    const line = { number: index + 1 + skipped, text: cells.join(' ') };
    const read = readCells(cells, index, machines);
    if ('fault' in read) return { ...line, ...read };
    if (seen.has(read.machineId)) return { ...line, fault: 'This machine was read in a line above.' };
    seen.add(read.machineId);
    return { ...line, ...read };
  });
}
