import type { SparseMatrix } from '../solver/highs.js';
import { drawn } from './chance.js';
import type { Column } from './column.js';
import { f64, one } from './dense.js';
import type { Pool } from './pool.js';
import type { DayPrices } from './prices.js';

/** Columns as the solver takes them, one after the other. */
interface NewColumns {
  readonly cost: Float64Array;
  readonly lower: Float64Array;
  readonly upper: Float64Array;
  readonly matrix: SparseMatrix<'csc'>;
}

interface NewRows {
  readonly lower: Float64Array;
  readonly upper: Float64Array;
  readonly matrix: SparseMatrix<'csr'>;
}

interface GrowingModel {
  readonly options: { set(values: Readonly<Record<string, number | boolean | string>>): unknown };
  addRows(rows: NewRows): unknown;
  addCols(columns: NewColumns): unknown;
  changeColCost(column: number, cost: number): unknown;
  zeroAllClocks(): unknown;
  run(): unknown;
  getSolution(): { readonly colValue: Float64Array; readonly rowDual: Float64Array };
  getObjectiveValue(): number;
  dispose(): void;
}

/** As much of the runtime of the solver `highs` as grows a program column by column. */
export interface GrowingRuntime {
  readonly infinity: number;
  createModel(): GrowingModel;
}

/** What the relaxed program says: prices of days, what each machine is worth, how much of each column it takes, and its cost. */
export interface MasterAnswer {
  readonly prices: DayPrices;
  readonly machines: Float64Array;
  /** by column, in the order in which they were added */
  readonly shares: Float64Array;
  readonly cost: number;
}

/** A plan of a machine, and the share of it that the relaxed program takes. */
interface Taken {
  readonly column: Column;
  readonly share: number;
}

/** Overtime keeps prices in bounds while few plans are known: what a minute and a bay of it cost at first, and how much more each time. */
const OVERTIME_MINUTE = 4;
const OVERTIME_BAY = 150;
const DEARER = 3;

/**
 * The choice of one plan for each machine within the minutes and bays of all days, relaxed: plans may be mixed. Columns are added as they
 * are found, and it is solved on from where it stood.
 */
export class Master {
  private readonly model: GrowingModel;
  private readonly columns: Column[] = [];
  private readonly machines: number;
  private readonly days: number;
  /** what overtime costs, by its column, and how much of it was taken last */
  private readonly overtime: number[];
  private taken: Float64Array;

  constructor(
    private readonly highs: GrowingRuntime,
    private readonly pool: Pool,
  ) {
    this.machines = pool.instance.machines.length;
    this.days = pool.minutes.length;
    this.overtime = Array.from({ length: 2 * this.days }, (_, at) =>
      at < this.days ? OVERTIME_MINUTE : OVERTIME_BAY,
    );
    this.taken = new Float64Array(2 * this.days);
    this.model = highs.createModel();
    this.model.options.set({ output_flag: false, presolve: 'off', solver: 'simplex' });
    this.addRows();
    this.addOvertime();
    this.addNew();
  }

  private get rowCount(): number {
    return this.machines + 2 * this.days;
  }

  private addRows(): void {
    const { machines, days, rowCount, pool, highs } = this;
    const lower = new Float64Array(rowCount).fill(-highs.infinity);
    const upper = new Float64Array(rowCount);
    lower.fill(1, 0, machines);
    upper.fill(1, 0, machines);
    upper.set(pool.minutes, machines);
    upper.set(pool.bays, machines + days);
    const matrix = {
      format: 'csr' as const,
      numRows: rowCount,
      numCols: 0,
      starts: new Int32Array(rowCount + 1),
      indices: new Int32Array(0),
      values: new Float64Array(0),
    };
    this.model.addRows({ lower, upper, matrix });
  }

  private addOvertime(): void {
    const rows = this.overtime.map((_cost, at) => [this.machines + at]);
    this.addColumns(
      this.overtime,
      rows,
      rows.map(() => [-1]),
    );
  }

  /**
   * Overtime that was taken becomes dearer, until none is: else the bound is that of a workshop that may buy more time. Whether some was.
   */
  makeOvertimeDearer(): boolean {
    let isTaken = false;
    for (const [column, cost] of this.overtime.entries()) {
      if (f64(this.taken, column) < 1e-6) continue;
      isTaken = true;
      this.overtime[column] = DEARER * cost;
      this.model.changeColCost(column, DEARER * cost);
    }
    return isTaken;
  }

  private addColumns(
    costs: readonly number[],
    rows: readonly (readonly number[])[],
    values: readonly (readonly number[])[],
  ): void {
    const starts = [0];
    for (const own of rows) starts.push((starts.at(-1) ?? 0) + own.length);
    this.model.addCols({
      cost: Float64Array.from(costs),
      lower: new Float64Array(costs.length),
      upper: new Float64Array(costs.length).fill(this.highs.infinity),
      matrix: {
        format: 'csc',
        numRows: this.rowCount,
        numCols: costs.length,
        starts: Int32Array.from(starts),
        indices: Int32Array.from(rows.flat()),
        values: Float64Array.from(values.flat()),
      },
    });
  }

  /** Takes in what was found since the last time. */
  addNew(): void {
    const { machines, days, pool, columns } = this;
    const more = pool.all.slice(columns.length);
    if (more.length === 0) return;
    this.addColumns(
      more.map(({ cost }) => cost),
      more.map((column) => [
        column.machine,
        ...column.days.flatMap((day) => [machines + day, machines + days + day]),
      ]),
      more.map((column) => [1, ...column.minutes.flatMap((minutes) => [minutes, 1])]),
    );
    columns.push(...more);
  }

  solve(): MasterAnswer {
    const { machines, days, model } = this;
    // Its time limit is for all runs together.
    model.zeroAllClocks();
    model.run();
    const { rowDual, colValue } = model.getSolution();
    this.taken = colValue.slice(0, 2 * days);
    const priceAt = (row: number) => Math.max(0, -f64(rowDual, row));
    return {
      prices: {
        minute: Float64Array.from({ length: days }, (_, day) => priceAt(machines + day)),
        bay: Float64Array.from({ length: days }, (_, day) => priceAt(machines + days + day)),
      },
      machines: rowDual.slice(0, machines),
      shares: colValue.slice(2 * days),
      cost: model.getObjectiveValue(),
    };
  }

  /** Of each machine the plan that the relaxed program takes most of. */
  mostTaken(answer: MasterAnswer): Column[] {
    return this.takenBy(answer).map((taken) => {
      let most = one(taken, 0);
      for (const each of taken) if (each.share > most.share) most = each;
      return most.column;
    });
  }

  /** Of each machine a plan that the relaxed program takes, the likelier the more it takes of it. */
  drawn(answer: MasterAnswer, random: () => number): Column[] {
    return this.takenBy(answer).map((taken) => {
      const at = drawn(taken.length, random, (each) => one(taken, each).share);
      return one(taken, Math.max(0, at)).column;
    });
  }

  /** By machine: its plans that the relaxed program takes a share of; one of no share where it takes none. */
  private takenBy({ shares }: MasterAnswer): Taken[][] {
    const taken: Taken[][] = Array.from({ length: this.machines }, () => []);
    for (const [at, column] of this.columns.entries()) {
      const share = at < shares.length ? f64(shares, at) : 0;
      const own = one(taken, column.machine);
      if (share > 0 || own.length === 0) own.push({ column, share });
    }
    return taken;
  }

  dispose(): void {
    this.model.dispose();
  }
}
