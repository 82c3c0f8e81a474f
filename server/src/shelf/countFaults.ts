import type { CountedLineDto, FieldFaultDto } from '@yugator/contracts';
import type { Article } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';

/** What speaks against a count: an article that is gone, a part of a piece, or stock that moved since it was counted. */
export function countFaults(
  lines: readonly CountedLineDto[],
  articles: readonly Article[],
  onHand: (articleId: string) => number,
): FieldFaultDto[] {
  const byId = new Map(articles.map((article) => [article.id, article]));
  return lines.flatMap(({ articleId, counted, booked }, at) => {
    const article = byId.get(articleId);
    const pointer = `/lines/${at}`;
    if (!article)
      return [fault(`${pointer}/articleId`, 'unknown', 'This article is no longer on the shelf.')];
    const now = onHand(articleId);
    if (now !== booked) {
      const detail = `${article.name} moved since it was counted: the book now says ${now}. Count it again.`;
      return [fault(`${pointer}/counted`, 'moved', detail)];
    }
    // Half a kit may have been left before kits were opened whole.
    if (article.unit === 'piece' && article.kind !== 'kit' && !Number.isInteger(counted))
      return [fault(`${pointer}/counted`, 'notWhole', 'Pieces are whole: type a whole number.')];
    return [];
  });
}
