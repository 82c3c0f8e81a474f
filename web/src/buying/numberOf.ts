import type { BoughtFromDto } from '@yugator/contracts';
import type { Offer } from '@yugator/core';

/** The number under which a supplier sells an offer; '' where it has none. */
export function numberOf({ articleId, pack }: Offer, supplier: BoughtFromDto | undefined): string {
  return supplier?.offers.find((each) => each.articleId === articleId && each.pack === pack)?.number ?? '';
}
