import type { ArticleDto } from '@yugator/contracts';
import { NOTHING_SAID } from '../shelf/articleForm.js';

/** An article for the tests of screens: a kit of which three are on hand. */
export const article = (over: Partial<ArticleDto> = {}): ArticleDto => ({
  id: 'k',
  name: 'Oil change kit',
  kind: 'kit',
  unit: 'piece',
  leastOnHand: 2,
  priceMinor: 2890,
  onHand: 3,
  sheds: [{ shed: null, quantity: over.onHand ?? 3 }],
  lots: [{ left: 3, leftMinor: 8670, container: null }],
  state: 'enough',
  ...NOTHING_SAID,
  isRetired: false,
  photo: null,
  contents: [],
  version: 1,
  movements: [],
  ...over,
});
