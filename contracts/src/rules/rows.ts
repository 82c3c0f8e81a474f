import { ValidateBy } from 'class-validator';
import { applyDecorators } from './applyDecorators.js';
import { ListOf } from './shape.js';

interface RowsOptions {
  readonly rows: number;
  readonly cells: number;
  /** characters of a cell */
  readonly longest: number;
  readonly message: string;
}

/** Rows of cells as a spreadsheet has them: texts, and no more of them than can be read. */
export function IsRows({ rows, cells, longest, message }: RowsOptions): PropertyDecorator {
  const isRow = (row: unknown) =>
    Array.isArray(row) &&
    row.length <= cells &&
    row.every((cell) => typeof cell === 'string' && cell.length <= longest);
  return applyDecorators(
    ListOf(rows, message),
    ValidateBy(
      { name: 'isRows', validator: { validate: (value) => Array.isArray(value) && value.every(isRow) } },
      { message },
    ),
  );
}
