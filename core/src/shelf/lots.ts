import { roundQuantity } from './ledger.js';

/** Something that came in: what is left of it, and what that is worth. */
export interface Lot {
  readonly id: string;
  /** pieces or litres, never below 0 */
  readonly left: number;
  /** minor units */
  readonly leftMinor: number;
}

/** What went out of a lot. */
export interface Take {
  readonly movementId: string;
  /** null: more went out than was there, and nothing that came in since covers it yet */
  readonly lotId: string | null;
  readonly quantity: number;
  /** what it cost, as its record says: that stands */
  readonly costMinor: number;
  /** what the lot lost by it; 0 of none */
  readonly lotMinor: number;
}

/** The stock of one article: lots in the order in which they came in, and what went out of them. */
export interface Stock {
  readonly lots: readonly Lot[];
  readonly takes: readonly Take[];
}

export const NO_STOCK: Stock = { lots: [], takes: [] };

/** A part of a value; all of it with the last of the quantity, so that rounding loses nothing. */
function shareOf(valueMinor: number, part: number, whole: number): number {
  return part >= whole ? valueMinor : Math.round((valueMinor * part) / whole);
}

/** Takes a quantity out of lots, first in first out; `missing`: what was not there. */
function takeFrom(lots: readonly Lot[], quantity: number) {
  let missing = quantity;
  const parts: { lotId: string; quantity: number; lotMinor: number }[] = [];
  const after = lots.map((lot) => {
    const part = Math.min(lot.left, missing);
    if (part <= 0) return lot;
    const lotMinor = shareOf(lot.leftMinor, part, lot.left);
    parts.push({ lotId: lot.id, quantity: part, lotMinor });
    missing = roundQuantity(missing - part);
    return { ...lot, left: roundQuantity(lot.left - part), leftMinor: lot.leftMinor - lotMinor };
  });
  return { parts, missing, lots: after };
}

/** What went out beyond the stock is covered by what is there now, the earlier first. Its cost stands, whatever the lot is worth. */
function covered({ lots, takes }: Stock): Stock {
  let now = lots;
  const after = takes.flatMap((take): Take[] => {
    if (take.lotId !== null) return [take];
    const taken = takeFrom(now, take.quantity);
    if (taken.parts.length === 0) return [take];
    now = taken.lots;
    let { quantity, costMinor } = take;
    const parts = taken.parts.map((part) => {
      const cost = shareOf(costMinor, part.quantity, quantity);
      quantity = roundQuantity(quantity - part.quantity);
      costMinor -= cost;
      return { movementId: take.movementId, costMinor: cost, ...part };
    });
    return quantity > 0 ? [...parts, { ...take, quantity, costMinor }] : parts;
  });
  return { lots: now, takes: after };
}

/** Something comes in, worth so much: what went out beyond the stock is covered by it first. */
export function comeIn({ lots, takes }: Stock, lot: Lot): Stock {
  return covered({ lots: [...lots, lot], takes });
}

/**
 * Something goes out, first in first out. What is not there goes out all the same, for the work was done: it costs what the article
 * costs today (`priceMinor` for one), and waits for what comes in.
 */
export function takeOut(
  { lots, takes }: Stock,
  movementId: string,
  quantity: number,
  priceMinor: number,
): Stock {
  const taken = takeFrom(lots, quantity);
  const parts = taken.parts.map((part) => ({ movementId, costMinor: part.lotMinor, ...part }));
  const { missing } = taken;
  const beyond = { movementId, lotId: null, quantity: missing, lotMinor: 0 };
  const more = missing > 0 ? [{ ...beyond, costMinor: Math.round(missing * priceMinor) }] : [];
  return { lots: taken.lots, takes: [...takes, ...parts, ...more] };
}

/** A movement that went out is voided: every lot gets back exactly what it lost by it. */
export function voidOut({ lots, takes }: Stock, movementId: string): Stock {
  const given = takes.filter((take) => take.movementId === movementId);
  const back = lots.map((lot) =>
    given
      .filter(({ lotId }) => lotId === lot.id)
      .reduce(
        (sum, { quantity, lotMinor }) => ({
          ...sum,
          left: roundQuantity(sum.left + quantity),
          leftMinor: sum.leftMinor + lotMinor,
        }),
        lot,
      ),
  );
  return covered({ lots: back, takes: takes.filter((take) => take.movementId !== movementId) });
}

/** A movement that came in is voided: what went out of it is covered by what else is there, or waits. */
export function voidIn({ lots, takes }: Stock, lotId: string): Stock {
  return covered({
    lots: lots.filter(({ id }) => id !== lotId),
    takes: takes.map((take) => (take.lotId === lotId ? { ...take, lotId: null, lotMinor: 0 } : take)),
  });
}

/** What is on hand: what lies there, less what went out beyond it. */
export function stockOnHand({ lots, takes }: Stock): number {
  const there = lots.reduce((sum, { left }) => sum + left, 0);
  const beyond = takes.reduce((sum, { lotId, quantity }) => sum + (lotId === null ? quantity : 0), 0);
  return roundQuantity(there - beyond);
}

/** What a movement that went out cost, in minor units. */
export function costOf({ takes }: Stock, movementId: string): number {
  return takes
    .filter((take) => take.movementId === movementId)
    .reduce((sum, { costMinor }) => sum + costMinor, 0);
}

/** What so much would cost if it went out now, in minor units. */
export function costNow(
  lots: readonly Pick<Lot, 'left' | 'leftMinor'>[],
  quantity: number,
  priceMinor: number,
): number {
  const named = lots.map((lot, at) => ({ ...lot, id: String(at) }));
  return costOf(takeOut({ lots: named, takes: [] }, 'now', quantity, priceMinor), 'now');
}

/** What lies there is worth, in minor units. */
export function lotsWorth(lots: readonly Pick<Lot, 'leftMinor'>[]): number {
  return lots.reduce((sum, { leftMinor }) => sum + leftMinor, 0);
}
