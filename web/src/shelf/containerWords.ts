import { containersOf } from '@yugator/core';
import type { ContainedLot, StockUnit } from '@yugator/core';

/** The containers of an article: "3 full of 5 L, 3.1 L in an open one"; '' of what came in loose. */
export function containerWords(
  lots: readonly ContainedLot[],
  unit: StockUnit,
  stock: (quantity: number, unit: StockUnit) => string,
): string {
  return containersOf(lots)
    .map(({ size, full, open }) => {
      const ofSize = stock(size, unit);
      const opened =
        open.length === 1
          ? `${stock(open[0] ?? 0, unit)} in an open one${full ? '' : ` of ${ofSize}`}`
          : open.map((left) => stock(left, unit)).join(' and ') + ' in open ones';
      const whole = full ? `${full} full of ${ofSize}` : '';
      return [whole, open.length ? opened : ''].filter(Boolean).join(', ');
    })
    .join('; ');
}
