import { oneWaiting } from './oneWaiting.js';

/** What to buy is reckoned by workers of the page. */
export const { prepare: prepareBuying, start: startBuying } = oneWaiting(
  () => new Worker(new URL('./buyingWorker.ts', import.meta.url), { type: 'module' }),
);
