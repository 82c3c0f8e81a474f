import type { StockUnit } from '../units/stock.js';
import { roundQuantity } from './ledger.js';

/** What a kit holds of an article. */
export interface KitPart {
  readonly articleId: string;
  /** pieces or litres in one kit */
  readonly quantity: number;
  /** of one piece or litre by itself, in minor units; 0 where that is not known */
  readonly priceMinor: number;
}

/** Something of an opened kit that was not used. */
export interface LeftOver {
  readonly articleId: string;
  readonly quantity: number;
}

/** Loose prices as weights; quantities, where no loose price is known. */
function weightsOf(parts: readonly KitPart[]): number[] {
  const loose = parts.map(({ quantity, priceMinor }) => quantity * priceMinor);
  return loose.some((price) => price > 0) ? loose : parts.map(({ quantity }) => quantity);
}

/**
 * What each part of a kit is worth, in whole minor units: its share of the kit's price by the loose prices. Together they are the price
 * of the kit exactly: what rounding leaves goes to the parts that lost most by it, the earlier first (largest remainder).
 */
export function kitValues(priceMinor: number, parts: readonly KitPart[]): number[] {
  const weights = weightsOf(parts);
  const sum = weights.reduce((all, weight) => all + weight, 0);
  if (sum === 0) return parts.map(() => 0);
  const exact = weights.map((weight) => (priceMinor * weight) / sum);
  const values = exact.map(Math.floor);
  const short = priceMinor - values.reduce((all, value) => all + value, 0);
  const byLoss = exact
    .map((value, at) => ({ at, loss: value - Math.floor(value) }))
    .sort((a, b) => b.loss - a.loss || a.at - b.at);
  for (const { at } of byLoss.slice(0, short)) values[at] = (values[at] ?? 0) + 1;
  return values;
}

/**
 * What is left of opened kits is worth, in whole minor units: its part of what the kits cost. Null where a kit holds none of it.
 * `costMinor`: of all the kits that were opened.
 */
export function leftWorth(
  costMinor: number,
  kits: number,
  parts: readonly KitPart[],
  { articleId, quantity }: LeftOver,
): number | null {
  const at = parts.findIndex((part) => part.articleId === articleId);
  const part = parts[at];
  if (!part) return null;
  return Math.round(((kitValues(costMinor, parts)[at] ?? 0) * quantity) / (kits * part.quantity));
}

export type LeftFault = 'notInKit' | 'moreThanHeld' | 'partOfPiece';

/** A part of a kit, and how it is counted. */
export interface CountedPart extends KitPart {
  readonly unit: StockUnit;
}

/** Whether so many kits can be opened: of a kit with contents there is no half. What was not used of one is left of it. */
export function mayOpen(kits: number, parts: readonly KitPart[]): boolean {
  return parts.length === 0 || Number.isInteger(kits);
}

/** The articles of opened kits of which something was used: what is not all left. */
export function usedParts(kits: number, parts: readonly KitPart[], left: readonly LeftOver[]): string[] {
  return parts
    .filter(({ articleId, quantity }) => {
      const rest = left.find((each) => each.articleId === articleId)?.quantity ?? 0;
      return rest < roundQuantity(kits * quantity);
    })
    .map(({ articleId }) => articleId);
}

/** What speaks against something being left of so many opened kits; null where nothing does. */
export function leftFault(kits: number, parts: readonly CountedPart[], left: LeftOver): LeftFault | null {
  const part = parts.find(({ articleId }) => articleId === left.articleId);
  if (!part) return 'notInKit';
  if (part.unit === 'piece' && !Number.isInteger(left.quantity)) return 'partOfPiece';
  return left.quantity > roundQuantity(kits * part.quantity) ? 'moreThanHeld' : null;
}
