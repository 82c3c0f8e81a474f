import type { ArticleDto, JobDrawDto } from '@yugator/contracts';

export type KnownArticle = Pick<JobDrawDto, 'name' | 'unit' | 'onHand' | 'priceMinor'>;

/** Articles by id: those proposed for the job, and whatever else stands on the shelf. */
export function knownArticles(
  proposed: readonly JobDrawDto[],
  shelf: readonly ArticleDto[] = [],
): ReadonlyMap<string, KnownArticle> {
  return new Map<string, KnownArticle>([
    ...proposed.map((draw) => [draw.articleId, draw] as const),
    ...shelf.map((article) => [article.id, article] as const),
  ]);
}
