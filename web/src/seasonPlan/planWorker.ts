import { plannerSolver, planSeason } from '@yugator/core';
import type { FoundPlan, PlannerInstance } from '@yugator/core';
import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';

/** What the worker says: a better plan, the one it ended with, or that it could not plan. */
export type PlanSaid =
  { readonly kind: 'better' | 'done'; readonly found: FoundPlan } | { readonly kind: 'failed' };

/** Within a hundredth of the best possible, or after so long the best that was found. */
const EFFORT = { milliseconds: 12_000, gap: 0.01, now: () => performance.now() };

const say = (said: PlanSaid) => postMessage(said);

async function plan(instance: PlannerInstance): Promise<void> {
  const solver = plannerSolver(await loadHighs({ locateFile: () => wasmUrl }));
  const found = planSeason(instance, solver, EFFORT, (better) => say({ kind: 'better', found: better }));
  say({ kind: 'done', found });
}

addEventListener('message', ({ data }: MessageEvent<PlannerInstance>) => {
  plan(data).catch((error: unknown) => {
    console.error(error);
    say({ kind: 'failed' });
  });
});
