import { inUnit } from './quantity.js';
import { shownUnit, UNITS } from './units.js';
import type { Unit, UnitSystem } from './units.js';

/** What stock is counted in. */
export type StockUnit = 'piece' | 'litre';

/** From two gallons on, people who think in gallons say gallons. */
const LITRES_SAID_IN_GALLONS = 2 * UNITS.volume.gal;
const DECIMALS = 2;

function volumeUnit(litres: number, system: UnitSystem): Unit {
  const isMuch = Math.abs(litres) >= LITRES_SAID_IN_GALLONS - 0.005;
  return system === 'us' && isMuch ? 'gal' : shownUnit('volume', system).unit;
}

/** A quantity of stock in words: "3" pieces, "4.1 L", "4.3 qt", "15.85 gal"; the unit stays with its figure where a line breaks. */
export function stockWords(quantity: number, unit: StockUnit, system: UnitSystem): string {
  if (unit === 'piece') return String(Number(quantity.toFixed(DECIMALS)));
  const shown = volumeUnit(quantity, system);
  return `${inUnit(quantity, 'volume', shown, DECIMALS)}\u00a0${shown}`;
}

/** So much of an article, in words: "2 × Spark plug", "4.1 L engine oil". */
export function articleWords(
  { quantity, unit, name }: { readonly quantity: number; readonly unit: StockUnit; readonly name: string },
  system: UnitSystem,
): string {
  return `${stockWords(quantity, unit, system)}${unit === 'piece' ? ' ×' : ''} ${name}`;
}
