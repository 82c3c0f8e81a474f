import solver from 'javascript-lp-solver';
import type { Mip } from '../../../solver/mip.js';

/** As much as is used of it. Its types name a default export that the import has taken already. */
const SOLVER = solver as unknown as {
  Solve(model: object): { readonly feasible: boolean; readonly result: number };
};

/** The least cost of a program by another solver than the one that ships with Yugator. */
export function leastBySecondSolver({ columns, rows }: Mip): number {
  const constraints: Record<string, { min?: number; max?: number; equal?: number }> = {};
  const variables: Record<string, Record<string, number>> = {};
  const ints: Record<string, number> = {};
  for (const [at, { cost, isInteger }] of columns.entries()) {
    variables[`x${at}`] = { cost };
    if (isInteger) ints[`x${at}`] = 1;
  }
  const limit = (name: string, low: number, high: number) => {
    constraints[name] = {
      ...(Number.isFinite(low) ? { min: low } : {}),
      ...(Number.isFinite(high) ? { max: high } : {}),
    };
  };
  for (const [at, { low, high, terms }] of rows.entries()) {
    limit(`r${at}`, low, high);
    for (const [column, factor] of terms) {
      const variable = variables[`x${column}`];
      if (variable) variable[`r${at}`] = (variable[`r${at}`] ?? 0) + factor;
    }
  }
  for (const [at, { low, high }] of columns.entries()) {
    limit(`b${at}`, low, high);
    const variable = variables[`x${at}`];
    if (variable) variable[`b${at}`] = 1;
  }
  const found = SOLVER.Solve({ optimize: 'cost', opType: 'min', constraints, variables, ints });
  if (!found.feasible) throw new Error('The second solver found nothing.');
  return found.result;
}
