import highs from 'highs';
import type { GrowingRuntime } from '../../planner/master.js';
import { solveWithHighs } from '../highs.js';
import type { HighsRuntime } from '../highs.js';
import type { SolveMip } from '../mip.js';

/** The runtime of the solver, loaded. Its types name a default export that the import has taken already. */
export function highsRuntime(): Promise<HighsRuntime & GrowingRuntime> {
  const load = highs as unknown as () => Promise<HighsRuntime & GrowingRuntime>;
  return load();
}

/** The solver, loaded. */
export async function loadedHighs(): Promise<SolveMip> {
  return solveWithHighs(await highsRuntime());
}
