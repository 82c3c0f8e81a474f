import type { MeterName, Trigger } from '../schedule/trigger.js';

/** A column of a printed maintenance chart. */
export type ChartColumn =
  | { readonly kind: 'hours'; readonly hours: number }
  | { readonly kind: 'calendar'; readonly count: number; readonly unit: 'day' | 'month' };

/** What a chart prints in a cell: once in running-in, or every time. */
export const CHART_MARKS = ['first', 'every'] as const;
export type ChartMark = (typeof CHART_MARKS)[number];

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

function columnOf(trigger: Trigger): ChartColumn | null {
  switch (trigger.kind) {
    case 'firstHours':
    case 'everyHours':
      return { kind: 'hours', hours: trigger.hours };
    case 'firstCalendar':
    case 'everyCalendar':
      return { kind: 'calendar', count: trigger.count, unit: trigger.unit };
    case 'seasonEdge':
    case 'everyNth':
    case 'storage':
      return null;
  }
}

function isSameColumn(a: ChartColumn, b: ChartColumn): boolean {
  return compareColumns(a, b) === 0;
}

/** The columns that a chart needs for these triggers, in order, each once. */
export function columnsOf(triggers: readonly Trigger[]): ChartColumn[] {
  const columns: ChartColumn[] = [];
  for (const trigger of triggers) {
    const column = columnOf(trigger);
    if (column && !columns.some((known) => isSameColumn(known, column))) columns.push(column);
  }
  return columns.sort(compareColumns);
}

/** The row of marks that stands for `triggers`, and those that no cell can hold (seasons, every n-th, storage). */
export function rowOf(
  columns: readonly ChartColumn[],
  triggers: readonly Trigger[],
): { readonly row: ChartRow; readonly others: readonly Trigger[] } {
  const row: (ChartMark | null)[] = columns.map(() => null);
  const others: Trigger[] = [];
  for (const trigger of triggers) {
    const column = columnOf(trigger);
    const index = column ? columns.findIndex((known) => isSameColumn(known, column)) : -1;
    if (index < 0 || row[index]) others.push(trigger);
    else row[index] = trigger.kind.startsWith('first') ? 'first' : 'every';
  }
  return { row, others };
}
