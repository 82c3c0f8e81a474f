/** How full the new filter is filled before it is screwed on. */
export type Prefill = 'none' | 'quarter' | 'half' | 'full';

/**
 * To the full mark in two stages, in one pour to a shade below it, or with the book's figure without filter first and what the filter
 * took after the run.
 */
export type FillTarget = 'fullMark' | 'shadeUnder' | 'withoutFilterFirst';

export interface FillNeed {
  /** litres, the filter changed too */
  readonly capacityWithFilter: number;
  /** litres, the filter left on; null where the book gives one figure */
  readonly capacityWithoutFilter: number | null;
  /** litres that the book says to pour first, before the first run; null where it does not say */
  readonly firstPourByBook: number | null;
  readonly filterChanged: boolean;
  readonly prefill: Prefill;
  /** litres that stayed in: drained only in part */
  readonly retained: number;
  readonly target: FillTarget;
  /** litres below the full mark at which `shadeUnder` ends */
  readonly shade: number;
}

/** What to pour, in litres: `prefilled + firstPour + topUp = target`. */
export interface FillPlan {
  /** all that goes in */
  readonly target: number;
  /** into the filter, before it is screwed on */
  readonly prefilled: number;
  readonly firstPour: number;
  /** expected after the first run, when the filter has taken its share; the dipstick decides */
  readonly topUp: number;
}

/** A filter takes 0.2 to 0.5 L (common practice); where the book does not say how much, this. */
const USUAL_FILTER_LITRES = 0.3;
const MOST_OF_REFILL = 0.2;
/** Held back from the first pour, so that no filter smaller than its book overfills the engine. */
const MARGIN = 0.05;

/** Litres that a new filter swallows. */
export function filterTakes({ capacityWithFilter, capacityWithoutFilter, filterChanged }: FillNeed): number {
  if (!filterChanged) return 0;
  const byBook = capacityWithoutFilter === null ? 0 : capacityWithFilter - capacityWithoutFilter;
  return byBook > 0 ? byBook : Math.min(USUAL_FILTER_LITRES, MOST_OF_REFILL * capacityWithFilter);
}

/** Litres that the engine takes to its full mark, what stayed in it taken off. */
function refillOf(need: FillNeed): number {
  const { capacityWithFilter, capacityWithoutFilter, filterChanged, retained } = need;
  const capacity = filterChanged ? capacityWithFilter : (capacityWithoutFilter ?? capacityWithFilter);
  return Math.max(0, capacity - Math.max(0, retained));
}

const PREFILLED: Record<Prefill, number> = { none: 0, quarter: 0.25, half: 0.5, full: 1 };

/** Pours `first` at first, and what is still missing after the run: never more than `target` in all. */
function inTwo(target: number, prefilled: number, first: number): FillPlan {
  const firstPour = Math.min(first, target - prefilled);
  return { target, prefilled, firstPour, topUp: target - prefilled - firstPour };
}

/**
 * The plan of a refill, in litres. The first pour leaves room for what the filter will swallow and a twentieth more; the rest goes in
 * by the dipstick after the first run. With `shadeUnder` one pour ends just below the mark; with `withoutFilterFirst` the first
 * pour is the book's figure without filter. Where the book says what to pour first, that is poured. Never more than the engine takes.
 */
export function fillPlan(need: FillNeed): FillPlan {
  const refill = refillOf(need);
  const takes = Math.min(filterTakes(need), refill);
  const prefilled = takes * PREFILLED[need.prefill];
  if (need.target === 'shadeUnder') {
    return inTwo(Math.max(prefilled, refill - need.shade), prefilled, need.firstPourByBook ?? refill);
  }
  const held =
    need.target === 'withoutFilterFirst' && need.capacityWithoutFilter !== null ? 0 : refill * MARGIN;
  return inTwo(refill, prefilled, need.firstPourByBook ?? Math.max(0, refill - takes - held));
}

/** Where the level is to stand. */
export type DipstickTarget = Pick<FillNeed, 'target' | 'shade'>;

/** What the dipstick says, with 0 at the low mark and 1 at the full one. */
export type DipstickAdvice =
  | { readonly kind: 'full' }
  /** litres to the target */
  | { readonly kind: 'add'; readonly litres: number }
  /** litres too many: they foam, and blow past the seals */
  | { readonly kind: 'overfull'; readonly litres: number };

const TOLERANCE_OF_MARKS = 0.05;

/**
 * What to do at a reading between the marks: `reading` 0 at the low mark, 1 at the full mark, below 0 or above 1 beyond them;
 * `betweenMarks` is the litres from one to the other.
 */
export function atDipstick(reading: number, betweenMarks: number, target: DipstickTarget): DipstickAdvice {
  if (reading > 1 + TOLERANCE_OF_MARKS) return { kind: 'overfull', litres: (reading - 1) * betweenMarks };
  const wanted = target.target === 'shadeUnder' ? 1 - target.shade / betweenMarks : 1;
  const missing = wanted - reading;
  return missing <= TOLERANCE_OF_MARKS ? { kind: 'full' } : { kind: 'add', litres: missing * betweenMarks };
}
