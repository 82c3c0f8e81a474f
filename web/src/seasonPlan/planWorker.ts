import { plannerSolver, planSeason, usualEffort } from '@yugator/core';
import type { FoundPlan, PlannerInstance } from '@yugator/core';
import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';

/** What the worker says: a better plan, the one it ended with, or that it could not plan. */
export type PlanSaid =
  | { readonly kind: 'better' | 'done'; readonly found: FoundPlan }
  | { readonly kind: 'failed' };

const say = (said: PlanSaid) => postMessage(said);

async function plan(instance: PlannerInstance): Promise<void> {
  const solver = plannerSolver(await loadHighs({ locateFile: () => wasmUrl }));
  const found = planSeason(
    instance,
    solver,
    usualEffort(instance, () => performance.now()),
    (better) => say({ kind: 'better', found: better }),
  );
  say({ kind: 'done', found });
}

addEventListener('message', ({ data }: MessageEvent<PlannerInstance>) => {
  plan(data).catch((error: unknown) => {
    console.error(error);
    say({ kind: 'failed' });
  });
});
