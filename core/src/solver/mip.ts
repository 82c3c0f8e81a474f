/** A variable of a mixed-integer program. */
export interface Column {
  readonly cost: number;
  readonly low: number;
  readonly high: number;
  readonly isInteger: boolean;
}

/** A condition: `low` ≤ the sum of its terms ≤ `high`. */
export interface Row {
  readonly low: number;
  readonly high: number;
  readonly terms: readonly (readonly [column: number, factor: number])[];
}

/** A mixed-integer program: the least cost of its columns under its rows. */
export interface Mip {
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
}

/** What a solver found: the value of every column, and a bound that no solution goes below. */
export interface MipSolution {
  readonly values: readonly number[];
  readonly cost: number;
  readonly bound: number;
}

/** How long a solver may take, and how far from the best possible it may stop. */
export interface Effort {
  /** share of the cost, 0 for the very best */
  readonly gap: number;
  readonly seconds: number;
  /** share of the work that goes into better solutions rather than into the bound */
  readonly forSolutions?: number;
}

/** Solves a program; null where no solution was found. `onBetter` hears of every better one. */
export type SolveMip = (
  mip: Mip,
  effort: Effort,
  onBetter?: (cost: number, bound: number) => void,
) => MipSolution | null;

/** Puts a program together, column by column and row by row. */
export class MipBuilder {
  private readonly columns: Column[] = [];
  private readonly rows: Row[] = [];

  /** A new variable; returns its number. */
  column(cost: number, high: number, isInteger = true, low = 0): number {
    this.columns.push({ cost, low, high, isInteger });
    return this.columns.length - 1;
  }

  columnAt(column: number): Column {
    const found = this.columns[column];
    if (!found) throw new Error(`There is no column ${column}.`);
    return found;
  }

  /** A new condition. */
  row(terms: Row['terms'], low: number, high: number): void {
    this.rows.push({ low, high, terms });
  }

  build(): Mip {
    return { columns: this.columns, rows: this.rows };
  }
}
