import { drawsWithKits, proposedDraw } from '@yugator/core';
import type { JobDrawDto, JobDto } from './job.dto.js';

type Needed = Pick<JobDto, 'needs' | 'kits'>;

/** What doing some items takes from the shelf, each article once; kits are opened where that is worth it, and say what is left. */
export function drawsFor(itemIds: readonly string[], { needs, kits }: Needed): JobDrawDto[] {
  const known = new Map<string, Pick<JobDrawDto, 'name' | 'unit' | 'onHand' | 'priceMinor'>>([
    ...kits.map((kit) => [kit.articleId, { ...kit, unit: 'piece' as const }] as const),
    ...needs.map((need) => [need.articleId, need] as const),
  ]);
  const onHand = new Map(needs.map((need) => [need.articleId, need.onHand]));
  return drawsWithKits(proposedDraw(itemIds, needs), kits, onHand).flatMap(
    ({ articleId, quantity, left }) => {
      const article = known.get(articleId);
      if (!article) return [];
      const { name, unit, onHand: there, priceMinor } = article;
      return [
        {
          articleId,
          name,
          unit,
          quantity,
          onHand: there,
          priceMinor,
          left: left.map((each) => ({ ...each })),
        },
      ];
    },
  );
}

/** What the items done so far take from the shelf. */
export function proposedDraws({ items, ...needed }: Pick<JobDto, 'items'> & Needed): JobDrawDto[] {
  return drawsFor(
    items.filter(({ outcome }) => outcome === 'done').map(({ itemId }) => itemId),
    needed,
  );
}

/** What all that is needed takes from the shelf. */
export function fetchedDraws(needed: Needed): JobDrawDto[] {
  return drawsFor(
    needed.needs.map(({ itemId }) => itemId),
    needed,
  );
}
