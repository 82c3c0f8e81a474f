import { configure } from '@testing-library/react';

/** What a screen should show it shows at once; on a machine that others keep busy, when its turn comes. */
export const PATIENCE_MS = 20_000;
configure({
  asyncUtilTimeout: PATIENCE_MS,
  // Whoever waits for something asks again and again, and the whole page would be written out each time.
  getElementError: (message) => new Error(message ?? 'It is not on the page.'),
});
