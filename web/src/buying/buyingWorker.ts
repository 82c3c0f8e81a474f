import { planBuying, solveWithHighs, warmUpInstance } from '@yugator/core';
import type { BuyingInstance, BuyingPlan, LockedPacks, SolveMip } from '@yugator/core';
import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';

/** What is to be reckoned. */
export interface BuyingAsk {
  readonly instance: BuyingInstance;
  readonly locked: LockedPacks;
}

/** What the worker says: a better plan was found, all three are there, or it could not be reckoned. */
export type BuyingSaid =
  | { readonly kind: 'better'; readonly costMinor: number }
  | {
      readonly kind: 'done';
      readonly plan: BuyingPlan | null;
      readonly loose: BuyingPlan | null;
      readonly kits: BuyingPlan | null;
    }
  | { readonly kind: 'failed' };

/** Within half a per cent of the best, or after so long the best that was found. */
const EFFORT = { gap: 0.005, seconds: 20 };
/** What is only shown to compare need not be as near. */
const BESIDE = { gap: 0.01, seconds: 10 };

const say = (said: BuyingSaid) => postMessage(said);

/** Before it is asked; longer than this it does not keep a question waiting. */
const WARM_UP = { gap: 0, seconds: 0.9 };

async function warmSolver(): Promise<SolveMip> {
  const solve = solveWithHighs(await loadHighs({ locateFile: () => wasmUrl }));
  planBuying(warmUpInstance(), solve, WARM_UP);
  return solve;
}

const solver = warmSolver();

async function reckon({ instance, locked }: BuyingAsk): Promise<void> {
  const solve = await solver;
  const onBetter = (costMinor: number) => say({ kind: 'better', costMinor });
  const plan = planBuying(instance, solve, EFFORT, { locked, onBetter });
  const loose = planBuying(instance, solve, BESIDE, { manner: 'loose' });
  const kits = planBuying(instance, solve, BESIDE, { manner: 'kits' });
  say({ kind: 'done', plan, loose, kits });
}

addEventListener('message', ({ data }: MessageEvent<BuyingAsk>) => {
  reckon(data).catch((error: unknown) => {
    console.error(error);
    say({ kind: 'failed' });
  });
});
