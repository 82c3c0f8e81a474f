import { roundQuantity } from './ledger.js';
import type { MovementKind } from './movementKinds.js';

/** A movement as it is told from outside, with what it took of earlier ones. */
export interface ToldMovement {
  readonly kind: MovementKind;
  /** in above 0, out below */
  readonly quantity: number;
  /** minor units, with the sign of the quantity */
  readonly valueMinor: number;
  readonly takes: readonly ToldTake[];
}

export interface ToldTake {
  /** which of the movements it was taken of; null: of none that came in yet */
  readonly lot: number | null;
  readonly quantity: number;
  readonly costMinor: number;
  readonly lotMinor: number;
}

/** What does not add up in a ledger, and at which movement; null: in the whole of it. */
export interface LedgerFault {
  readonly at: number | null;
  readonly code: 'nothing' | 'takes' | 'value' | 'noLot' | 'overdrawn' | 'moved';
}

function sum<T>(each: readonly T[], of: (one: T) => number): number {
  return each.reduce((all, one) => all + of(one), 0);
}

/** Whether stock that comes in: a lot, of which others take. */
function isLot({ kind, quantity }: ToldMovement): boolean {
  return quantity > 0 && kind !== 'moved';
}

function ownFault(movement: ToldMovement, all: readonly ToldMovement[]): LedgerFault['code'] | null {
  const { kind, quantity, valueMinor, takes } = movement;
  if (quantity === 0) return 'nothing';
  if (kind === 'moved') return takes.length === 0 && valueMinor === 0 ? null : 'moved';
  if (quantity > 0) return takes.length > 0 ? 'takes' : valueMinor < 0 ? 'value' : null;
  const isOfLots = takes.every(({ lot, lotMinor }) => {
    const from = lot === null ? null : all[lot];
    return from === null ? lotMinor === 0 : from !== undefined && isLot(from);
  });
  if (!isOfLots) return 'noLot';
  if (roundQuantity(sum(takes, (take) => take.quantity)) !== -quantity) return 'takes';
  return sum(takes, ({ costMinor }) => costMinor) === -valueMinor ? null : 'value';
}

/** What is left of each movement that came in, after all that was taken of it; null of those of which nothing is taken. */
export function leftOfLots(
  movements: readonly ToldMovement[],
): ({ readonly left: number; readonly leftMinor: number } | null)[] {
  const quantities = movements.map(({ quantity }) => quantity);
  const worths = movements.map(({ valueMinor }) => valueMinor);
  for (const { takes } of movements)
    for (const { lot, quantity, lotMinor } of takes) {
      if (lot === null || quantities[lot] === undefined) continue;
      quantities[lot] -= quantity;
      worths[lot] = (worths[lot] ?? 0) - lotMinor;
    }
  return movements.map((movement, at) =>
    isLot(movement) ? { left: roundQuantity(quantities[at] ?? 0), leftMinor: worths[at] ?? 0 } : null,
  );
}

/** All that does not add up in the movements of one article: what went out of which lot, at what cost, and what is left. */
export function ledgerFaults(movements: readonly ToldMovement[]): LedgerFault[] {
  const faults = movements.flatMap((movement, at): LedgerFault[] => {
    const code = ownFault(movement, movements);
    return code ? [{ at, code }] : [];
  });
  const overdrawn = leftOfLots(movements).flatMap((lot, at): LedgerFault[] => {
    const isWrong = lot && (lot.left < 0 || lot.leftMinor < 0 || (lot.left === 0 && lot.leftMinor !== 0));
    return isWrong ? [{ at, code: 'overdrawn' }] : [];
  });
  const carried = movements.filter(({ kind }) => kind === 'moved');
  const isEven = roundQuantity(sum(carried, ({ quantity }) => quantity)) === 0;
  return [...faults, ...overdrawn, ...(isEven ? [] : [{ at: null, code: 'moved' } as const])];
}
