import type { ArticleDto, CountPartDto } from '@yugator/contracts';
import { NO_SHED } from '@yugator/core';

type Counted = Pick<
  ArticleDto,
  'name' | 'number' | 'place' | 'unit' | 'lots' | 'sheds' | 'isRetired' | 'onHand'
>;

function partOf(shed: string | null, articles: readonly Counted[]): CountPartDto {
  return {
    shed,
    lines: articles.map(({ name, number, place, unit, lots }) => ({
      name,
      number,
      place,
      unit,
      sizes: [...new Set(lots.flatMap(({ container }) => container ?? []))],
    })),
  };
}

/**
 * What is counted on which sheet: of each of `sheds` what lies there and what lies nowhere, for that may turn up anywhere; then what
 * lies where nobody said. One sheet of all where sheds are not told apart.
 */
export function countParts(all: readonly Counted[], sheds: readonly string[]): CountPartDto[] {
  const articles = all.filter(({ isRetired, onHand }) => !isRetired || onHand !== 0);
  if (sheds.length === 0) return [partOf(null, articles)];
  const unsaid = articles.filter((article) => article.sheds.some(({ shed }) => shed === null));
  return [
    ...sheds.map((name) =>
      partOf(
        name,
        articles.filter(
          (article) => article.sheds.length === 0 || article.sheds.some(({ shed }) => shed === name),
        ),
      ),
    ),
    ...(unsaid.length ? [partOf(NO_SHED, unsaid)] : []),
  ];
}
