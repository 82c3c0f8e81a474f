import { roundQuantity } from '../ledger.js';
import type { BuyingArticle, BuyingInstance } from './instance.js';
import type { BuyingPlan, LeftInTheEnd } from './plan.js';

/** Why a kit is bought or is not: what of it is, or would be, left over, and what that is worth by itself. */
export interface KitReason {
  readonly kitId: string;
  readonly isBought: boolean;
  /** kits bought, or 1 that is not */
  readonly kits: number;
  readonly left: readonly LeftInTheEnd[];
  readonly leftMinor: number;
}

/** Loose pieces or litres that a plan buys of an article. */
function boughtLoose({ lines }: BuyingPlan, articleId: string): number {
  return lines.reduce(
    (sum, { offer, packs }) => (offer.articleId === articleId ? sum + offer.pack * packs : sum),
    0,
  );
}

/** What lies there in the end beyond what is to be kept. */
function overInTheEnd(plan: BuyingPlan, article: BuyingArticle | undefined): number {
  const left = plan.left.find(({ articleId }) => articleId === article?.id)?.quantity ?? 0;
  return Math.max(0, roundQuantity(left - (article?.keep ?? 0)));
}

/**
 * Why the kits that are sold are bought, or are not. Of a kit that is bought, what of its contents lies there in the end; of one that is
 * not though parts of it are bought loose, what more of its contents than that would lie there. `prices`: of one of each article by itself.
 */
export function kitReasons(
  { articles, offers }: BuyingInstance,
  plan: BuyingPlan,
  prices: ReadonlyMap<string, number>,
): KitReason[] {
  const byId = new Map(articles.map((article) => [article.id, article]));
  const worth = (left: readonly LeftInTheEnd[]) =>
    Math.round(
      left.reduce((sum, { articleId, quantity }) => sum + quantity * (prices.get(articleId) ?? 0), 0),
    );
  const sold = articles.filter(
    ({ id, contents }) => contents.length > 0 && offers.some(({ articleId }) => articleId === id),
  );
  return sold.flatMap(({ id, contents }): KitReason[] => {
    const kits = boughtLoose(plan, id);
    const opened = plan.opened.get(id) ?? 0;
    const isLooseBought = contents.some(({ articleId }) => boughtLoose(plan, articleId) > 0);
    if (kits === 0 && !isLooseBought) return [];
    const left = contents.flatMap(({ articleId, quantity }) => {
      const over =
        kits > 0
          ? Math.min(overInTheEnd(plan, byId.get(articleId)), opened * quantity)
          : quantity - Math.min(quantity, boughtLoose(plan, articleId));
      return over > 0 ? [{ articleId, quantity: roundQuantity(over) }] : [];
    });
    return [{ kitId: id, isBought: kits > 0, kits: Math.max(1, kits), left, leftMinor: worth(left) }];
  });
}
