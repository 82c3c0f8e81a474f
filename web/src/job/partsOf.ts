import type { ItemNeedDto } from '@yugator/contracts';
import { proposedDraw, stockWords } from '@yugator/core';
import type { UnitSystem } from '@yugator/core';

/** Articles that items take, each once, with what is on hand where that is not enough. */
export function partsOf(needs: readonly ItemNeedDto[], units: UnitSystem): string[] {
  const byArticle = new Map(needs.map((need) => [need.articleId, need]));
  const itemIds = needs.map(({ itemId }) => itemId);
  return proposedDraw(itemIds, needs).flatMap(({ articleId, quantity }) => {
    const article = byArticle.get(articleId);
    if (!article) return [];
    const { name, unit, onHand } = article;
    const short = onHand < quantity ? ` (only ${stockWords(onHand, unit, units)} on hand)` : '';
    return `${stockWords(quantity, unit, units)} × ${name}${short}`;
  });
}
