import { stockWords } from '@yugator/core';
import type { StockUnit } from '@yugator/core';
import { useSession } from './useSession.js';

/** How a quantity of stock is told to this person. */
export function useStockWords(): (quantity: number, unit: StockUnit) => string {
  const { site } = useSession();
  return (quantity, unit) => stockWords(quantity, unit, site.unitSystem);
}
