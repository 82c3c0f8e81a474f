import { plannerSolver, planSeason, usualEffort } from '@yugator/core';
import type { FoundPlan, PlannerInstance } from '@yugator/core';
import highs from 'highs';

/** Its types name a default export that the import has taken already. */
const loadHighs = highs as unknown as () => Promise<Parameters<typeof plannerSolver>[0]>;

/** Plans in this thread. The solver is loaded anew each time: its memory grows with use and never shrinks. */
export default async function planThreadWorker(instance: PlannerInstance): Promise<FoundPlan> {
  return planSeason(
    instance,
    plannerSolver(await loadHighs()),
    usualEffort(instance, () => performance.now()),
  );
}
