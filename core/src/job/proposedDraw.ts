import { roundQuantity } from '../shelf/ledger.js';

/** An article that doing an item takes. */
export interface ItemArticle {
  readonly itemId: string;
  readonly articleId: string;
  /** pieces or litres */
  readonly quantity: number;
}

export interface Draw {
  readonly articleId: string;
  readonly quantity: number;
}

/** What doing `itemIds` takes from the shelf, each article once, in the order first needed. */
export function proposedDraw(itemIds: readonly string[], needs: readonly ItemArticle[]): Draw[] {
  const sums = new Map<string, number>();
  for (const need of needs) {
    if (itemIds.includes(need.itemId)) {
      sums.set(need.articleId, roundQuantity((sums.get(need.articleId) ?? 0) + need.quantity));
    }
  }
  return [...sums].map(([articleId, quantity]) => ({ articleId, quantity }));
}
