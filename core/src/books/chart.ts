import type { ChartColumn, ChartMark } from '../schedule/chartCell.js';
import type { MeterName, Trigger } from '../schedule/trigger.js';
import { cellOf } from '../schedule/triggerKinds.js';

/** The marks of a row, one for each column; null for an empty cell. */
export type ChartRow = readonly (ChartMark | null)[];

const TOLERANCE = 1e-6;

/** A chart that marks 50, 100, 150 … says "every 50": marks at multiples of a smaller marked column add nothing. */
function addsNothing(hours: number, marked: readonly number[]): boolean {
  return marked.some((less) => less < hours && Math.abs(hours / less - Math.round(hours / less)) < TOLERANCE);
}

/** The triggers that a row of a chart means, on the meter that the chart counts. */
export function triggersOfRow(columns: readonly ChartColumn[], row: ChartRow, meter: MeterName): Trigger[] {
  const everyHours = columns.flatMap((column, index) =>
    column.kind === 'hours' && row[index] === 'every' ? [column.hours] : [],
  );
  return columns.flatMap((column, index): Trigger[] => {
    const mark = row[index] ?? null;
    if (mark === null) return [];
    if (column.kind === 'calendar') {
      const { count, unit } = column;
      return [{ kind: mark === 'first' ? 'firstCalendar' : 'everyCalendar', count, unit, inUse: null }];
    }
    if (mark === 'first') return [{ kind: 'firstHours', hours: column.hours, meter }];
    return addsNothing(column.hours, everyHours)
      ? []
      : [{ kind: 'everyHours', hours: column.hours, meter, grid: null }];
  });
}

const UNITS = ['hour', 'day', 'month'] as const;

/** Orders columns as charts print them: hours, then days, then months. */
export function compareColumns(a: ChartColumn, b: ChartColumn): number {
  const unit = (column: ChartColumn) => UNITS.indexOf(column.kind === 'hours' ? 'hour' : column.unit);
  const size = (column: ChartColumn) => (column.kind === 'hours' ? column.hours : column.count);
  return unit(a) - unit(b) || size(a) - size(b);
}

function isSameColumn(a: ChartColumn, b: ChartColumn): boolean {
  return compareColumns(a, b) === 0;
}

/** The columns that a chart which counts on `meter` needs for these triggers, in order, each once. */
export function columnsOf(triggers: readonly Trigger[], meter: MeterName): ChartColumn[] {
  const columns: ChartColumn[] = [];
  for (const trigger of triggers) {
    const column = cellOf(trigger, meter)?.column;
    if (column && !columns.some((known) => isSameColumn(known, column))) columns.push(column);
  }
  return columns.sort(compareColumns);
}

/**
 * The row of marks that stands for `triggers` in a chart that counts on `meter`, and those that no cell can hold: seasons, every n-th,
 * storage, what counts on another meter or otherwise than usual, and a second one for the same cell.
 */
export function rowOf(
  columns: readonly ChartColumn[],
  triggers: readonly Trigger[],
  meter: MeterName,
): { readonly row: ChartRow; readonly others: readonly Trigger[] } {
  const row: (ChartMark | null)[] = columns.map(() => null);
  const others: Trigger[] = [];
  for (const trigger of triggers) {
    const cell = cellOf(trigger, meter);
    const index = cell ? columns.findIndex((known) => isSameColumn(known, cell.column)) : -1;
    if (!cell || index < 0 || row[index]) others.push(trigger);
    else row[index] = cell.mark;
  }
  return { row, others };
}
