import type { ItemNeedDto } from '@yugator/contracts';
import { Article, ItemArticleRow } from '../models/shelf.model.js';

/** What items take from the shelf, with what is on hand there. The rows carry their articles. */
export function toNeeds(rows: readonly ItemArticleRow[], onHand: ReadonlyMap<string, number>): ItemNeedDto[] {
  return rows.flatMap(({ itemId, articleId, quantity, article }) =>
    article
      ? [
          {
            itemId,
            articleId,
            quantity,
            name: article.name,
            unit: article.unit,
            onHand: onHand.get(articleId) ?? 0,
            priceMinor: article.priceMinor,
          },
        ]
      : [],
  );
}

/** The same of items by their ids. */
export async function itemNeeds(
  itemIds: readonly string[],
  onHand: ReadonlyMap<string, number>,
): Promise<ItemNeedDto[]> {
  const rows = await ItemArticleRow.findAll({ where: { itemId: [...itemIds] }, include: [Article] });
  return toNeeds(rows, onHand);
}
