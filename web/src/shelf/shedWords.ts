import type { ArticleDto } from '@yugator/contracts';
import type { StockUnit } from '@yugator/core';

/** How a shed is called that nobody named. */
export const NO_SHED = 'where no shed is said';

/** How an article is spread over several sheds: "3 in North shed, 2 in Nursery yard"; '' where it is not. */
export function shedWords(
  { sheds, unit }: Pick<ArticleDto, 'sheds' | 'unit'>,
  stock: (quantity: number, unit: StockUnit) => string,
): string {
  if (sheds.length < 2) return '';
  return sheds
    .map(({ shed, quantity }) => `${stock(quantity, unit)} ${shed === null ? NO_SHED : `in ${shed}`}`)
    .join(', ');
}
