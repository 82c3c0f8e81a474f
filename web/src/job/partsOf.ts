import type { ItemNeedDto } from '@yugator/contracts';
import { quantityWords } from '../words/figures.js';

/** Articles that items take, each once, with what is on hand where that is not enough. */
export function partsOf(needs: readonly ItemNeedDto[]): string[] {
  const sums = new Map<string, ItemNeedDto>();
  for (const need of needs) {
    const known = sums.get(need.articleId);
    sums.set(need.articleId, { ...need, quantity: need.quantity + (known?.quantity ?? 0) });
  }
  return [...sums.values()].map(({ name, quantity, unit, onHand }) => {
    const short = onHand < quantity ? ` (only ${quantityWords(onHand, unit)} on hand)` : '';
    return `${quantityWords(quantity, unit)} × ${name}${short}`;
  });
}
