import { onceEach } from '../onceEach.js';

/** How a currency is divided (ISO 4217): minor units in one, and the decimals that shows as. */
export const minorOf = onceEach((currency): { readonly perUnit: number; readonly digits: number } => {
  const { maximumFractionDigits: digits = 2 } = new Intl.NumberFormat('en-GB', {
    style: 'currency',
    currency,
  }).resolvedOptions();
  return { perUnit: 10 ** digits, digits };
});
