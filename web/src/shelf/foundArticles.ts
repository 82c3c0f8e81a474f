import type { ArticleDto } from '@yugator/contracts';
import { componentSpec, numberKey } from '@yugator/core';

type Searched = Pick<ArticleDto, 'name' | 'number' | 'barcode' | 'place' | 'component' | 'makerNumbers'>;

/** All that an article is called by a number, as numbers are compared. */
function codesOf({ number, barcode, makerNumbers }: Searched): string[] {
  const makers = makerNumbers.flatMap((each) => [each.number, each.supersededBy]);
  return [number, barcode, ...makers].map(numberKey).filter(Boolean);
}

/**
 * The articles that somebody looks for. What is exactly a code or number of some is that alone, as it comes from a scanner; else all in
 * whose name, place, component or numbers every typed word occurs.
 */
export function found<T extends Searched>(articles: readonly T[], typed: string): T[] {
  const code = numberKey(typed);
  const exact = code ? articles.filter((article) => codesOf(article).includes(code)) : [];
  if (exact.length) return exact;
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return articles.filter((article) => {
    const { name, place, component } = article;
    const said = [name, place, component ? componentSpec(component).words : ''].join(' ').toLowerCase();
    const codes = codesOf(article);
    return words.every(
      (word) => said.includes(word) || codes.some((own) => own.includes(numberKey(word) || ' ')),
    );
  });
}
