import type { ArticleDto } from '@yugator/contracts';
import type { StockUnit } from '@yugator/core';

/** How an article is spread over several sheds: "3 in North shed, 2 in Nursery yard"; '' where it is not. */
export function shedWords(
  { sheds, unit }: Pick<ArticleDto, 'sheds' | 'unit'>,
  stock: (quantity: number, unit: StockUnit) => string,
): string {
  if (sheds.length < 2) return '';
  return sheds
    .map(
      ({ shed, quantity }) =>
        `${stock(quantity, unit)} ${shed === null ? 'where no shed is said' : `in ${shed}`}`,
    )
    .join(', ');
}
