import type { ItemNeedDto } from '@yugator/contracts';
import { proposedDraw } from '@yugator/core';
import { quantityWords } from '../words/figures.js';

/** Articles that items take, each once, with what is on hand where that is not enough. */
export function partsOf(needs: readonly ItemNeedDto[]): string[] {
  const byArticle = new Map(needs.map((need) => [need.articleId, need]));
  const itemIds = needs.map(({ itemId }) => itemId);
  return proposedDraw(itemIds, needs).flatMap(({ articleId, quantity }) => {
    const article = byArticle.get(articleId);
    if (!article) return [];
    const { name, unit, onHand } = article;
    const short = onHand < quantity ? ` (only ${quantityWords(onHand, unit)} on hand)` : '';
    return `${quantityWords(quantity, unit)} × ${name}${short}`;
  });
}
