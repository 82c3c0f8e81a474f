import type { ChartColumn } from '@yugator/core';

/** A column as files write it, the way it is typed: "50 h", "7 d", "12 m". */
export function columnText(column: ChartColumn): string {
  return column.kind === 'hours'
    ? `${column.hours} h`
    : `${column.count} ${column.unit === 'day' ? 'd' : 'm'}`;
}
