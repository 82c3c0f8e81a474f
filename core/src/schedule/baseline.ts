import type { CivilDate } from '../calendar/civilDate.js';
import type { LifeHours } from '../meter/lifeHours.js';
import type { MeterName } from './trigger.js';

/** A day and the life hours of the engine on it. */
export interface ServicePoint {
  readonly on: CivilDate;
  readonly life: LifeHours;
}

/** From where the next interval of an item counts. */
export type Baseline =
  | ({ readonly kind: 'completion' } & ServicePoint)
  | ({ readonly kind: 'declared' } & ServicePoint)
  | ({ readonly kind: 'enteredService' } & ServicePoint)
  | { readonly kind: 'noRecord' };

export const JUDGEMENTS = ['kept', 'deferred', 'leftOut'] as const;
export type JudgementKind = (typeof JUDGEMENTS)[number];

/**
 * A limit set by judgement in place of the book's: a part looked at and kept, work put off, or the next check left out since this one
 * came out clean.
 */
export interface Extension {
  readonly kind: JudgementKind;
  readonly made: ServicePoint;
  /** life hours at which it is due now; null where only the date counts */
  readonly untilLife: number | null;
  /** the meter of those hours; null for the engine's */
  readonly meter: MeterName | null;
  /** the day on which it is due now; null where only the hours count */
  readonly untilOn: CivilDate | null;
}

/** What is known of an item's past. Voided facts are left out by the caller. */
export interface ItemHistory {
  readonly completions: readonly ServicePoint[];
  /** declared by the crew lead from the record that was kept before */
  readonly declared: readonly ServicePoint[];
  readonly extensions?: readonly Extension[];
}

/** How the machine came to the crew. */
export interface EntryIntoService extends ServicePoint {
  readonly cameNew: boolean;
}

/** Whether `a` is later than `b`: on a later day, or on the same at more hours. */
export function isLater(a: ServicePoint, b: ServicePoint): boolean {
  return a.on > b.on || (a.on === b.on && a.life > b.life);
}

/** The latest of `points`, whatever order they were entered in. */
export function latest<P extends ServicePoint>(points: readonly P[]): P | undefined {
  return points.reduce<P | undefined>(
    (best, point) => (!best || isLater(point, best) ? point : best),
    undefined,
  );
}

/**
 * The baseline of an item: its last completion; else what was declared; else, for a machine that came new, its entry into
 * service; else no record. The order in which the facts were entered does not matter.
 */
export function baselineOf(history: ItemHistory, entry: EntryIntoService): Baseline {
  const completion = latest(history.completions);
  if (completion) return { kind: 'completion', on: completion.on, life: completion.life };
  const declared = latest(history.declared);
  if (declared) return { kind: 'declared', on: declared.on, life: declared.life };
  if (entry.cameNew) return { kind: 'enteredService', on: entry.on, life: entry.life };
  return { kind: 'noRecord' };
}

/** Whether a judgement was made since the baseline. A check that leaves out the next one is itself the baseline. */
function isSince({ made, kind }: Extension, baseline: Baseline): boolean {
  if (baseline.kind === 'noRecord' || baseline.kind === 'enteredService') return true;
  return kind === 'leftOut' ? !isLater(baseline, made) : isLater(made, baseline);
}

/** The judgement that holds since the baseline, if one was made after it. One without any limit says nothing. */
export function extensionSince(baseline: Baseline, history: ItemHistory): Extension | undefined {
  const made = (history.extensions ?? [])
    .filter(({ untilLife, untilOn }) => untilLife !== null || untilOn !== null)
    .map((extension) => ({ ...extension.made, extension }));
  const last = latest(made)?.extension;
  return last && isSince(last, baseline) ? last : undefined;
}
