import { addDays } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { ServicePoint } from './baseline.js';
import type { Action } from './item.js';
import type { Trigger } from './trigger.js';
import { intervalOf } from './triggerKinds.js';

/** A time an item was checked, and whether it was as it should be. */
export interface Check extends ServicePoint {
  readonly isGood: boolean;
}

/** A proposal to check more or less often, with the checks behind it. */
export interface IntervalProposal<C extends Check = Check> {
  readonly kind: 'longer' | 'shorter';
  /** of the present interval */
  readonly factor: number;
  readonly triggers: readonly Trigger[];
  /** those that it rests on, in order of time */
  readonly checks: readonly C[];
}

/** Only what is looked at, tightened, set or greased has an interval that its checks can move. */
const CHECKED: ReadonlySet<Action> = new Set<Action>(['inspect', 'tighten', 'adjust', 'grease']);

/** Whether checks of an action say anything about how often it is worth doing. */
export function isMovedByChecks(action: Action): boolean {
  return CHECKED.has(action);
}

/** A maker's warranty: until a day, until life hours, or whichever comes first; none where both are null. */
export interface Warranty {
  readonly until: CivilDate | null;
  readonly hours: number | null;
}

/** Whether a warranty still holds, its last day and hour included. */
export function isUnderWarranty({ until, hours }: Warranty, life: number, today: CivilDate): boolean {
  if (until === null && hours === null) return false;
  return (until === null || today <= until) && (hours === null || life <= hours);
}

/** What the crew lead said to a proposal, and when. */
export interface ProposalAnswer {
  readonly answer: 'accepted' | 'refused' | 'later';
  readonly on: CivilDate;
}

/** "Later" holds for so long. */
const ASK_AGAIN_DAYS = 30;

/** Whether a proposal may be put to the crew lead again; `before`: the last answer, null where there was none. */
export function isAskedAgain(before: ProposalAnswer | null, today: CivilDate): boolean {
  return before?.answer !== 'later' || addDays(before.on, ASK_AGAIN_DAYS) <= today;
}

/** The day up to which checks are settled: what was accepted or refused counts newer ones only. Null where all count. */
export function settledUntil(before: ProposalAnswer | null): CivilDate | null {
  return before && before.answer !== 'later' ? before.on : null;
}

/** So many good ones in a row make it longer; so many bad ones of the last few make it shorter (our own rule). */
const GOOD_IN_A_ROW = 4;
const LAST_FEW = 3;
const BAD_OF_THEM = 2;
const LONGER = 1.5;
const SHORTER = 0.5;
/** However good, an interval is never stretched beyond this much of the book's, nor cut below that much. */
const MOST_OF_BOOK = 2;
const LEAST_OF_BOOK = 0.25;

/** The interval of the book that a present one stands for, in its own measure; null where the book has none of its kind. */
function printedLength(trigger: Trigger, book: readonly Trigger[]): number | null {
  const own = intervalOf(trigger);
  for (const printed of book) {
    const interval = intervalOf(printed);
    if (own && interval?.of === own.of) return interval.length;
  }
  return null;
}

/** `trigger` at `factor` of its length: whole hours, days or months, but not more than `most` of its length. */
function scaled(trigger: Trigger, factor: number, most: number): Trigger {
  const own = intervalOf(trigger);
  if (factor === 1 || !own) return trigger;
  return own.scaled((count) => {
    const whole = Math.max(1, Math.round(count * factor));
    return whole > count * most ? count * most : whole;
  });
}

interface Intervals {
  readonly present: readonly Trigger[];
  readonly book: readonly Trigger[];
  readonly isUnderWarranty: boolean;
}

/** How far `trigger` may grow: so many times its present length; 1 where it stays as it is. */
function mostLonger(trigger: Trigger, { book, isUnderWarranty }: Intervals): number {
  const own = intervalOf(trigger);
  if (!own) return 1;
  const printed = printedLength(trigger, book);
  if (printed === null) return isUnderWarranty ? 1 : LONGER;
  return Math.max(1, ((isUnderWarranty ? 1 : MOST_OF_BOOK) * printed) / own.length);
}

/** How far `trigger` may shrink: so much of its present length. */
function leastShorter(trigger: Trigger, { book }: Intervals): number {
  const own = intervalOf(trigger);
  if (!own) return 1;
  const printed = printedLength(trigger, book);
  return printed === null ? SHORTER : Math.min(1, (LEAST_OF_BOOK * printed) / own.length);
}

/**
 * What the checks of an item since its interval was last settled say about it; null where they say nothing. Each
 * interval is held to the book's of its own kind: between a quarter and twice of it, under warranty never longer than it.
 */
export function proposeInterval<C extends Check>(
  checks: readonly C[],
  intervals: Intervals,
): IntervalProposal<C> | null {
  const { present } = intervals;
  const inOrder = [...checks].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.life - b.life));
  const lately = inOrder.slice(-LAST_FEW);
  const row = inOrder.slice(-GOOD_IN_A_ROW);
  const propose = (kind: IntervalProposal['kind'], factors: readonly number[], behind: readonly C[]) => {
    const factor = kind === 'longer' ? Math.max(...factors) : Math.min(...factors);
    const most = present.map((trigger) => (kind === 'longer' ? mostLonger(trigger, intervals) : 1));
    const triggers = present.map((trigger, at) => scaled(trigger, factors[at] ?? 1, most[at] ?? 1));
    const isSame = JSON.stringify(triggers) === JSON.stringify(present);
    return factor === 1 || isSame ? null : { kind, factor, triggers, checks: behind };
  };
  if (lately.length === LAST_FEW && lately.filter(({ isGood }) => !isGood).length >= BAD_OF_THEM) {
    const factors = present.map((trigger) => Math.max(SHORTER, leastShorter(trigger, intervals)));
    return propose('shorter', factors, lately);
  }
  if (row.length === GOOD_IN_A_ROW && row.every(({ isGood }) => isGood)) {
    const factors = present.map((trigger) => Math.min(LONGER, mostLonger(trigger, intervals)));
    return propose('longer', factors, row);
  }
  return null;
}

/** The checks made after `point`, or all where nothing was settled yet. */
export function checksSince<C extends Check>(
  checks: readonly C[],
  point: ServicePoint['on'] | null,
): readonly C[] {
  return point === null ? checks : checks.filter(({ on }) => on > point);
}
