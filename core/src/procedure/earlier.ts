import type { CivilDate } from '../calendar/civilDate.js';
import { measuredAgain } from '../measurement/again.js';
import type { Measurement } from '../measurement/measurement.js';
import { measuredWords } from './finding.js';
import type { Finding } from './finding.js';
import type { UnitSystem } from '../units/units.js';

/** What an earlier visit found, and when. */
export interface EarlierFinding {
  readonly on: CivilDate;
  readonly finding: Finding;
}

/** What earlier visits found of what is measured, latest first: of one kind and under one name. */
export function earlierOf(
  { kind, label }: Measurement,
  earlier: readonly EarlierFinding[],
): readonly EarlierFinding[] {
  return earlier
    .filter(({ finding: { measurement } }) => measurement?.kind === kind && measurement.label === label)
    .toSorted((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : 0));
}

/** Strokes that a fitting took so far. */
export interface StrokesSoFar {
  readonly average: number;
  /** the last four, latest first */
  readonly last: readonly number[];
}

const LAST_FEW = 4;

/** What a fitting took in earlier visits; null where none counted. */
export function strokesSoFar(earlier: readonly EarlierFinding[]): StrokesSoFar | null {
  const strokes = earlier.flatMap(({ finding }) =>
    typeof finding.found['strokes'] === 'number' ? [finding.found['strokes']] : [],
  );
  if (strokes.length === 0) return null;
  const sum = strokes.reduce((all, each) => all + each, 0);
  return { average: sum / strokes.length, last: strokes.slice(0, LAST_FEW) };
}

/** What was found the last time, after setting where it was set: "left 80 kPa, right 82 kPa"; null where nothing was. */
export function lastFigures(
  earlier: readonly EarlierFinding[],
  units: UnitSystem,
): { readonly on: CivilDate; readonly words: string } | null {
  for (const { on, finding } of earlier) {
    const again = measuredAgain(finding.found);
    const found = Object.keys(again).length ? again : finding.found;
    const words = finding.measurement ? measuredWords(finding.measurement, found, units) : '';
    // Where only the look was kept, the visit before tells more.
    if (words) return { on, words };
  }
  return null;
}
