import highs from 'highs';
import { solveWithHighs } from '../highs.js';
import type { HighsRuntime } from '../highs.js';
import type { SolveMip } from '../mip.js';

/** The solver, loaded. Its types name a default export that the import has taken already. */
export async function loadedHighs(): Promise<SolveMip> {
  const load = highs as unknown as () => Promise<HighsRuntime>;
  return solveWithHighs(await load());
}
