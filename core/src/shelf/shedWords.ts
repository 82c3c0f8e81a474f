import type { StockUnit } from '../units/stock.js';
import { stockWords } from '../units/stock.js';
import type { UnitSystem } from '../units/units.js';
import type { ShedStock } from './sheds.js';

/** Where what nobody named a shed of lies. */
export const NO_SHED = 'where no shed is said';

/** How an article is spread over sheds: "3 in North shed, 2 in Nursery yard"; '' where it is not. */
export function inShedsWords(sheds: readonly ShedStock[], unit: StockUnit, units: UnitSystem): string {
  if (sheds.length < 2) return '';
  return sheds
    .map(
      ({ shed, quantity }) =>
        `${stockWords(quantity, unit, units)} ${shed === null ? NO_SHED : `in ${shed}`}`,
    )
    .join(', ');
}

/** From where an article is fetched: "from North shed", "1 from North shed, 2 from Nursery yard"; '' where nothing is to be fetched. */
export function fromShedsWords(taken: readonly ShedStock[], unit: StockUnit, units: UnitSystem): string {
  const from = (shed: string | null) => (shed === null ? NO_SHED : `from ${shed}`);
  const [only, ...others] = taken;
  if (!only) return '';
  if (others.length === 0) return from(only.shed);
  return taken.map(({ shed, quantity }) => `${stockWords(quantity, unit, units)} ${from(shed)}`).join(', ');
}
