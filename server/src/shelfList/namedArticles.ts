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
