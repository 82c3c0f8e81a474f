import type { CivilDate } from '../calendar/civilDate.js';
import type { LifeHours } from '../meter/lifeHours.js';

/** A day and the life hours on it. */
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

/** What is known of an item's past. Voided facts are left out by the caller. */
export interface ItemHistory {
  readonly completions: readonly ServicePoint[];
  /** declared by the crew lead from the record that was kept before */
  readonly declared: readonly ServicePoint[];
}

/** How the machine came to the crew. */
export interface EntryIntoService extends ServicePoint {
  readonly cameNew: boolean;
}

function latest(points: readonly ServicePoint[]): ServicePoint | undefined {
  return points.reduce<ServicePoint | undefined>((best, point) => {
    if (!best) return point;
    const later = point.on > best.on || (point.on === best.on && point.life > best.life);
    return later ? point : best;
  }, undefined);
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
