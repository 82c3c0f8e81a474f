import type { NamedArticle } from '@yugator/core';
import { Article } from '../models/shelf.model.js';

interface NamedArticles {
  readonly byId: ReadonlyMap<string, Article>;
  readonly named: readonly NamedArticle[];
}

/** All articles, to be found by what a list calls them. */
export async function namedArticles(lock = false): Promise<NamedArticles> {
  const articles = await Article.findAll({ lock });
  return {
    byId: new Map(articles.map((article) => [article.id, article])),
    named: articles.map(({ id, name, number, barcode }) => ({
      id,
      name,
      number: number ?? '',
      barcode: barcode ?? '',
    })),
  };
}

/** The known of a stored link; throws where the database holds a link to nothing. */
export function knownIn<T>(byId: ReadonlyMap<string, T>, id: string): T {
  const known = byId.get(id);
  if (!known) throw new Error(`A stored link leads to ${id}, which is not there.`);
  return known;
}
