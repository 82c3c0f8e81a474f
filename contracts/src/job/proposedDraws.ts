import { proposedDraw } from '@yugator/core';
import type { JobDrawDto, JobDto } from './job.dto.js';

/** What the items done so far take from the shelf, each article once. */
export function proposedDraws({ items, needs }: Pick<JobDto, 'items' | 'needs'>): JobDrawDto[] {
  const done = items.filter(({ outcome }) => outcome === 'done').map(({ itemId }) => itemId);
  const articles = new Map(needs.map((need) => [need.articleId, need]));
  return proposedDraw(done, needs).flatMap(({ articleId, quantity }) => {
    const article = articles.get(articleId);
    if (!article) return [];
    const { name, unit, onHand, priceMinor } = article;
    return [{ articleId, name, unit, quantity, onHand, priceMinor }];
  });
}
