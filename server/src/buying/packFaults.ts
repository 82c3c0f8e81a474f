import type { FieldFaultDto, SoldDto } from '@yugator/contracts';
import { Article } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';
import { pieceFaults } from '../shelf/wholePieces.js';

/** What speaks against articles being sold in packs: one that is gone, or a part of a piece. `list`: where they stand, such as `/offers`. */
export async function packFaults(sold: readonly SoldDto[], list: string): Promise<FieldFaultDto[]> {
  const articles = await Article.findAll({ where: { id: sold.map(({ articleId }) => articleId) } });
  const byId = new Map(articles.map((article) => [article.id, article]));
  return sold.flatMap(({ articleId, pack }, at) => {
    const article = byId.get(articleId);
    if (!article)
      return [fault(`${list}/${at}/articleId`, 'unknown', 'This article is no longer on the shelf.')];
    return pieceFaults(article, pack, `${list}/${at}/pack`);
  });
}
