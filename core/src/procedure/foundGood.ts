import { sightOf } from '../check/looks.js';
import { isInSpec } from '../measurement/measurement.js';
import type { Step } from './step.js';

type Found = Readonly<Record<string, number | string>>;

/** The figures of what was found, by the name of the field. */
export function figuresOf(found: Found): Record<string, number> {
  return Object.fromEntries(
    Object.entries(found).flatMap(([name, value]) => (typeof value === 'number' ? [[name, value]] : [])),
  );
}

/** Whether what a step measured is out and can be set, so that it is measured again. */
export function isToBeSet(
  { measurement, setBy }: Pick<Step, 'measurement' | 'setBy'>,
  found: Found,
): boolean {
  return measurement !== null && setBy !== null && isInSpec(measurement, figuresOf(found)) === false;
}

/** Whether a step found things as they should be: what it measured, and what it saw; null where it found nothing. */
export function foundGood(
  { measurement, look }: Pick<Step, 'measurement' | 'look'>,
  found: Found,
): boolean | null {
  const measured = measurement ? isInSpec(measurement, figuresOf(found)) : null;
  const sight = look && typeof found['sight'] === 'string' ? sightOf(look, found['sight']) : undefined;
  const seen = sight ? sight.answer === 'keep' : null;
  if (measured === null) return seen;
  return measured && seen !== false;
}
