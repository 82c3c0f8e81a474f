import type { CivilDate } from '../calendar/civilDate.js';
import type { MovementKind } from './movementKinds.js';

/** What a movement added to the worth of the shelf (out: below 0), in minor units. */
export interface ValuedMovement {
  readonly on: CivilDate;
  /** `priced`: what went out before it came in turned out to cost more or less than its record says */
  readonly kind: MovementKind | 'priced';
  readonly valueMinor: number;
}

/** What the shelf was worth through a month, in minor units. */
export interface ShelfMonth {
  /** such as 2026-11 */
  readonly month: string;
  readonly opening: number;
  readonly cameIn: number;
  /** by jobs and rounds, less what they left of kits; below 0 as it goes out */
  readonly used: number;
  /** put right by counts */
  readonly counted: number;
  readonly scrapped: number;
  /** lent, less what came back */
  readonly lent: number;
  readonly priced: number;
  readonly closing: number;
}

type Column = Exclude<keyof ShelfMonth, 'month' | 'opening' | 'closing'>;

type Sums = Readonly<Record<Column, number>>;

const NOTHING: Sums = { cameIn: 0, used: 0, counted: 0, scrapped: 0, lent: 0, priced: 0 };

const COLUMNS: Record<ValuedMovement['kind'], Column> = {
  received: 'cameIn',
  drawn: 'used',
  left: 'used',
  counted: 'counted',
  scrapped: 'scrapped',
  lent: 'lent',
  returned: 'lent',
  // Out of one shed and into another: nothing of its worth.
  moved: 'lent',
  priced: 'priced',
};

function monthOf(on: CivilDate): string {
  return on.slice(0, 7);
}

function nextMonth(month: string): string {
  const [year = 0, number = 0] = month.split('-').map(Number);
  return number === 12 ? `${year + 1}-01` : `${year}-${String(number + 1).padStart(2, '0')}`;
}

/** The months from the first movement to `today`, the earlier first; the closing of each is the opening of the next. */
export function shelfMonths(movements: readonly ValuedMovement[], today: CivilDate): ShelfMonth[] {
  const byMonth = new Map<string, Sums>();
  for (const { on, kind, valueMinor } of movements) {
    const sums = byMonth.get(monthOf(on)) ?? NOTHING;
    const column = COLUMNS[kind];
    byMonth.set(monthOf(on), { ...sums, [column]: sums[column] + valueMinor });
  }
  const first = [...byMonth.keys()].sort()[0];
  if (first === undefined) return [];
  const months: ShelfMonth[] = [];
  let opening = 0;
  for (let month = first; month <= monthOf(today); month = nextMonth(month)) {
    const sums = byMonth.get(month) ?? NOTHING;
    const closing = opening + Object.values(sums).reduce((all, sum) => all + sum, 0);
    months.push({ month, opening, ...sums, closing });
    opening = closing;
  }
  return months;
}
