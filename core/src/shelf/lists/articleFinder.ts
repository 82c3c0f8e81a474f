import { nameKey } from '../../names/nameKey.js';

/** What an article is found by. */
export interface NamedArticle {
  readonly id: string;
  readonly name: string;
  /** our own; '' where it has none */
  readonly number: string;
  readonly barcode: string;
}

/** Finds the article that a cell means: by its number or barcode, or by its name. */
export class ArticleFinder<A extends NamedArticle> {
  private readonly byCode = new Map<string, A>();
  private readonly byName = new Map<string, A>();
  private readonly byNumber = new Map<string, A>();

  constructor(articles: Iterable<A>) {
    for (const article of articles) {
      this.byName.set(nameKey(article.name), article);
      if (article.number) this.byNumber.set(nameKey(article.number), article);
      for (const code of [article.number, article.barcode]) if (code) this.byCode.set(nameKey(code), article);
    }
  }

  withNumber(number: string): A | null {
    return this.byNumber.get(nameKey(number)) ?? null;
  }

  /** By number or barcode: a code stands for one article alone. */
  withCode(code: string): A | null {
    return (code ? this.byCode.get(nameKey(code)) : null) ?? null;
  }

  withName(name: string): A | null {
    return this.byName.get(nameKey(name)) ?? null;
  }

  /** The one article that is meant; or why it is none. */
  find(text: string): A | string {
    const [code, name] = [this.withCode(text), this.withName(text)];
    if (code && name && code.id !== name.id)
      return `"${text}" is the number of ${code.name}, and the name of another article. Write the number of the one that is meant.`;
    return code ?? name ?? `There is no article "${text}". Write its name, number or barcode.`;
  }
}
