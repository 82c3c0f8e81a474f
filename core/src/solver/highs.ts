import type { Effort, Mip, MipSolution, SolveMip } from './mip.js';

/** What stands in the rows or columns of a program, one after the other. */
export interface SparseMatrix<Format extends 'csr' | 'csc'> {
  readonly format: Format;
  readonly numRows: number;
  readonly numCols: number;
  readonly starts: Int32Array;
  readonly indices: Int32Array;
  readonly values: Float64Array;
}

/** A program as the solver takes it: dense columns and rows, the terms row by row. */
interface ModelArrays {
  readonly numCols: number;
  readonly numRows: number;
  readonly colCost: Float64Array;
  readonly colLower: Float64Array;
  readonly colUpper: Float64Array;
  readonly rowLower: Float64Array;
  readonly rowUpper: Float64Array;
  readonly integrality: Int32Array;
  readonly matrix: SparseMatrix<'csr'>;
}

interface BetterFound {
  readonly data: { readonly mip_primal_bound?: number; readonly mip_dual_bound?: number };
}

interface HighsModel {
  readonly options: { set(values: Readonly<Record<string, number | boolean | string>>): unknown };
  readonly info: { get(name: string): number | bigint };
  run(hooks: Readonly<Record<number, (event: BetterFound) => void>>): unknown;
  getSolution(): { readonly colValue: Float64Array };
  dispose(): void;
}

/** As much as is used of the runtime of the solver `highs`; whoever solves loads it, in a worker. */
export interface HighsRuntime {
  readonly constants: { readonly callbackType: { readonly mipImprovingSolution: number } };
  createModel(data: ModelArrays): HighsModel;
}

/** As the solver itself has it. */
const USUAL_FOR_SOLUTIONS = 0.05;
/** A feasible solution is there (`primal_solution_status`). */
const FEASIBLE = 2;

function arraysOf({ columns, rows }: Mip): ModelArrays {
  const starts = [0];
  for (const { terms } of rows) starts.push((starts.at(-1) ?? 0) + terms.length);
  const terms = rows.flatMap((row) => row.terms);
  return {
    numCols: columns.length,
    numRows: rows.length,
    colCost: Float64Array.from(columns, ({ cost }) => cost),
    colLower: Float64Array.from(columns, ({ low }) => low),
    colUpper: Float64Array.from(columns, ({ high }) => high),
    rowLower: Float64Array.from(rows, ({ low }) => low),
    rowUpper: Float64Array.from(rows, ({ high }) => high),
    integrality: Int32Array.from(columns, ({ isInteger }) => (isInteger ? 1 : 0)),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: columns.length,
      starts: Int32Array.from(starts),
      indices: Int32Array.from(terms, ([column]) => column),
      values: Float64Array.from(terms, ([, factor]) => factor),
    },
  };
}

function solutionOf(model: HighsModel, { columns }: Mip): MipSolution | null {
  if (model.info.get('primal_solution_status') !== FEASIBLE) return null;
  const values = [...model.getSolution().colValue].map((value, at) =>
    columns[at]?.isInteger ? Math.round(value) : value,
  );
  return {
    values,
    cost: Number(model.info.get('objective_function_value')),
    bound: Number(model.info.get('mip_dual_bound')),
  };
}

/** Solves programs with a loaded runtime. It blocks while it solves. */
export function solveWithHighs(highs: HighsRuntime): SolveMip {
  return (mip: Mip, { gap, seconds, forSolutions = USUAL_FOR_SOLUTIONS }: Effort, onBetter) => {
    const model = highs.createModel(arraysOf(mip));
    try {
      // Of programs of this size, presolving, looking for symmetry and a second search by reduced costs take longer than they save
      // (scripts/benchBuying.mjs).
      model.options.set({
        output_flag: false,
        presolve: 'off',
        mip_detect_symmetry: false,
        mip_heuristic_run_root_reduced_cost: false,
        mip_heuristic_effort: forSolutions,
        mip_rel_gap: gap,
        mip_abs_gap: 1e-6,
        time_limit: seconds,
      });
      model.run({
        [highs.constants.callbackType.mipImprovingSolution]: ({ data }) =>
          onBetter?.(data.mip_primal_bound ?? Infinity, data.mip_dual_bound ?? -Infinity),
      });
      return solutionOf(model, mip);
    } finally {
      model.dispose();
    }
  };
}
