import { sightOf } from '../check/looks.js';
import type { SheetStep } from './compose.js';
import type { FoundFields } from './finding.js';
import type { WorkItem } from './machineSetUp.js';

/** Whether a look came to replacing what was looked at, by what was seen or by what the person decided. */
function isToBeReplaced({ look }: SheetStep, found: FoundFields | undefined): boolean {
  if (!look || typeof found?.['sight'] !== 'string') return false;
  return (found['decided'] ?? sightOf(look, found['sight'])?.answer) === 'replace';
}

/**
 * Items that a job should take in after what it has found: where a part looked at is to be replaced, the item of the machine that
 * replaces it. `items` are all that the machine has, `chosen` those of the job.
 */
export function followUps(
  steps: readonly SheetStep[],
  foundByKey: ReadonlyMap<string, FoundFields>,
  items: readonly WorkItem[],
  chosen: ReadonlySet<string>,
): WorkItem[] {
  const worn = new Set(
    steps.filter((step) => isToBeReplaced(step, foundByKey.get(step.key))).flatMap((step) => step.components),
  );
  return items.filter(
    ({ id, action, components }) =>
      action === 'replace' && components.some((component) => worn.has(component)) && !chosen.has(id),
  );
}
