import { roundQuantity } from './ledger.js';

/** How much of an article lies in a shed; null: nobody said in which. */
export interface ShedStock {
  readonly shed: string | null;
  /** pieces or litres; below 0 where more was taken there than was ever brought */
  readonly quantity: number;
}

/** Sheds by name, what lies where nobody said last. */
function byShed(a: ShedStock, b: ShedStock): number {
  return Number(a.shed === null) - Number(b.shed === null) || (a.shed ?? '').localeCompare(b.shed ?? '');
}

/** What lies in each shed after all `movements`; those in which nothing lies are left out. Voided movements are left out by the caller. */
export function stockBySheds(movements: readonly ShedStock[]): ShedStock[] {
  const sums = new Map<string | null, number>();
  for (const { shed, quantity } of movements) sums.set(shed, roundQuantity((sums.get(shed) ?? 0) + quantity));
  return [...sums].flatMap(([shed, quantity]) => (quantity === 0 ? [] : [{ shed, quantity }])).sort(byShed);
}

/** What lies in one shed, 0 where nothing does. */
export function stockInShed(stock: readonly ShedStock[], shed: string | null): number {
  return stock.find((each) => each.shed === shed)?.quantity ?? 0;
}

/**
 * From which sheds so much is taken by work in the shed `home`: what lies there first, then what lies where nobody said, then of the
 * other sheds the one where most lies. What is nowhere is taken at home: the work was done, and home is to be counted.
 */
export function takenFromSheds(
  stock: readonly ShedStock[],
  home: string | null,
  quantity: number,
): ShedStock[] {
  const rank = ({ shed }: ShedStock) => (shed === home ? 0 : shed === null ? 1 : 2);
  const inOrder = stock
    .filter((each) => each.quantity > 0)
    .sort((a, b) => rank(a) - rank(b) || b.quantity - a.quantity || byShed(a, b));
  let missing = quantity;
  const taken = new Map<string | null, number>();
  for (const each of inOrder) {
    const part = Math.min(each.quantity, missing);
    if (part > 0) taken.set(each.shed, part);
    missing = roundQuantity(missing - part);
  }
  if (missing > 0) taken.set(home, roundQuantity((taken.get(home) ?? 0) + missing));
  return [...taken].map(([shed, part]) => ({ shed, quantity: part }));
}
