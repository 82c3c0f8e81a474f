import { sightOf } from '../check/looks.js';
import type { LookKey } from '../check/looks.js';
import { shownValue } from '../units/quantity.js';
import type { UnitSystem } from '../units/units.js';
import { measuredAgain } from '../measurement/again.js';
import { fieldsOf } from '../measurement/measurement.js';
import type { Measurement } from '../measurement/measurement.js';
import { sheetSteps } from './compose.js';
import type { SheetStep } from './compose.js';
import { foundGood } from './foundGood.js';
import type { MachineSetUp } from './machineSetUp.js';

/** Figures in SI and words that a step found, by the name of the field. */
export type FoundFields = Readonly<Record<string, number | string>>;

/** What a step of a job found, with the limits that it was judged by on that day. */
export interface Finding {
  /** of the step */
  readonly key: string;
  readonly measurement: Measurement | null;
  readonly look: LookKey | null;
  readonly found: FoundFields;
  readonly isGood: boolean;
}

/** What a job found of each of its items; items of which it found nothing are left out. */
export function itemFindings(
  steps: readonly SheetStep[],
  foundByKey: ReadonlyMap<string, FoundFields>,
): Map<string, Finding[]> {
  const findings = new Map<string, Finding[]>();
  for (const step of steps) {
    const found = foundByKey.get(step.key);
    const isGood = found ? foundGood(step, found) : null;
    if (!found || isGood === null) continue;
    const { key, measurement, look } = step;
    for (const itemId of step.itemIds) {
      findings.set(itemId, [...(findings.get(itemId) ?? []), { key, measurement, look, found, isGood }]);
    }
  }
  return findings;
}

/**
 * What a job found of each of its items. A step that an item taken in later has put off the sheet was worked all the same: it is
 * looked for on the sheet of each item alone.
 */
export function jobFindings(
  setUp: MachineSetUp,
  foundByKey: ReadonlyMap<string, FoundFields>,
): Map<string, Finding[]> {
  const steps = sheetSteps(setUp);
  const findings = itemFindings(steps, foundByKey);
  const onSheet = new Set(steps.map(({ key }) => key));
  const offSheet = new Map([...foundByKey].filter(([key]) => !onSheet.has(key)));
  if (offSheet.size === 0) return findings;
  for (const item of setUp.items) {
    const own = itemFindings(sheetSteps({ ...setUp, items: [item] }), offSheet).get(item.id) ?? [];
    if (own.length) findings.set(item.id, [...(findings.get(item.id) ?? []), ...own]);
  }
  return findings;
}

/** What was measured, without its name: "left 83 kPa, right 82 kPa"; empty where no figure was kept. */
export function measuredWords(measurement: Measurement, found: FoundFields, units: UnitSystem): string {
  if (measurement.kind === 'bolts') {
    const { loose, checked } = found;
    return typeof loose === 'number' && typeof checked === 'number' ? `${loose} of ${checked}` : '';
  }
  const fields = fieldsOf(measurement);
  const figures = fields.flatMap(({ name, label, dimension }) => {
    const value = found[name];
    if (typeof value !== 'number') return [];
    const figure = dimension === null ? String(value) : shownValue(value, dimension, units);
    return [fields.length === 1 ? figure : `${label.toLowerCase()} ${figure}`];
  });
  return figures.join(', ');
}

/** A finding in words and in the units of `units`: "Pressure, rear pair: left 83 kPa, right 82 kPa". */
export function findingWords({ measurement, look, found }: Finding, units: UnitSystem): string {
  const figures = measurement ? measuredWords(measurement, found, units) : '';
  const again = measurement ? measuredWords(measurement, measuredAgain(found), units) : '';
  const measured =
    measurement && figures ? `${measurement.label}: ${figures}${again ? `, set to ${again}` : ''}` : '';
  const sight = look && typeof found['sight'] === 'string' ? sightOf(look, found['sight']) : undefined;
  const note = typeof found['note'] === 'string' && found['note'] ? ` (${found['note']})` : '';
  return `${[measured, sight?.words ?? ''].filter(Boolean).join('; ')}${note}`;
}
