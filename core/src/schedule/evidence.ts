import type { ServicePoint } from './baseline.js';
import type { Trigger } from './trigger.js';

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

/** So many good ones in a row make it longer; so many bad ones of the last few make it shorter (our own rule). */
const GOOD_IN_A_ROW = 4;
const LAST_FEW = 3;
const BAD_OF_THEM = 2;
const LONGER = 1.5;
const SHORTER = 0.5;
/** However good, an interval is never stretched beyond this much of the book's, nor cut below that much. */
const MOST_OF_BOOK = 2;
const LEAST_OF_BOOK = 0.25;

function lengthOf(trigger: Trigger): number | null {
  if (trigger.kind === 'everyHours') return trigger.hours;
  return trigger.kind === 'everyCalendar' ? trigger.count : null;
}

function scaled(trigger: Trigger, factor: number): Trigger {
  if (trigger.kind === 'everyHours')
    return { ...trigger, hours: Math.max(1, Math.round(trigger.hours * factor)) };
  if (trigger.kind === 'everyCalendar')
    return { ...trigger, count: Math.max(1, Math.round(trigger.count * factor)) };
  return trigger;
}

/** How much of the book's interval the present one is; 1 where they cannot be compared. */
function shareOfBook(present: readonly Trigger[], book: readonly Trigger[]): number {
  for (const trigger of present) {
    const length = lengthOf(trigger);
    const printed = book.find(({ kind }) => kind === trigger.kind);
    const whole = printed ? lengthOf(printed) : null;
    if (length !== null && whole) return length / whole;
  }
  return 1;
}

interface Intervals {
  readonly present: readonly Trigger[];
  readonly book: readonly Trigger[];
  readonly isUnderWarranty: boolean;
}

/**
 * What the checks of an item since its interval was last settled say about it; null where they say nothing. Under warranty an
 * interval is never longer than the book's.
 */
export function proposeInterval<C extends Check>(
  checks: readonly C[],
  { present, book, isUnderWarranty }: Intervals,
): IntervalProposal<C> | null {
  const inOrder = [...checks].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.life - b.life));
  const lately = inOrder.slice(-LAST_FEW);
  const row = inOrder.slice(-GOOD_IN_A_ROW);
  const share = shareOfBook(present, book);
  const propose = (kind: IntervalProposal['kind'], factor: number, behind: readonly C[]) => {
    const triggers = present.map((trigger) => scaled(trigger, factor));
    const isSame = JSON.stringify(triggers) === JSON.stringify(present);
    return isSame ? null : { kind, factor, triggers, checks: behind };
  };
  if (lately.length === LAST_FEW && lately.filter(({ isGood }) => !isGood).length >= BAD_OF_THEM) {
    const factor = Math.max(SHORTER, LEAST_OF_BOOK / share);
    return factor < 1 ? propose('shorter', factor, lately) : null;
  }
  if (row.length === GOOD_IN_A_ROW && row.every(({ isGood }) => isGood)) {
    const factor = Math.min(LONGER, (isUnderWarranty ? 1 : MOST_OF_BOOK) / share);
    return factor > 1 ? propose('longer', factor, row) : null;
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
