import { sightOf } from '../check/looks.js';
import { isInSpec } from '../measurement/measurement.js';
import type { Step } from './step.js';

/** Whether a step found things as they should be: what it measured, and what it saw; null where it found nothing. */
export function foundGood(
  { measurement, look }: Pick<Step, 'measurement' | 'look'>,
  found: Readonly<Record<string, number | string>>,
): boolean | null {
  const numbers = Object.fromEntries(
    Object.entries(found).flatMap(([name, value]) => (typeof value === 'number' ? [[name, value]] : [])),
  );
  const measured = measurement ? isInSpec(measurement, numbers) : null;
  const sight = look && typeof found['sight'] === 'string' ? sightOf(look, found['sight']) : undefined;
  const seen = sight ? sight.answer === 'keep' : null;
  if (measured === null) return seen;
  return measured && seen !== false;
}
