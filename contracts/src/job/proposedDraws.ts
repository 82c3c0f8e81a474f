import { drawsWithKits, proposedDraw } from '@yugator/core';
import type { JobDrawDto, JobDto } from './job.dto.js';

/** What the items done so far take from the shelf, each article once; kits are opened where that is worth it, and say what is left. */
export function proposedDraws({
  items,
  needs,
  kits,
}: Pick<JobDto, 'items' | 'needs' | 'kits'>): JobDrawDto[] {
  const done = items.filter(({ outcome }) => outcome === 'done').map(({ itemId }) => itemId);
  const known = new Map<string, Pick<JobDrawDto, 'name' | 'unit' | 'onHand' | 'priceMinor'>>([
    ...kits.map((kit) => [kit.articleId, { ...kit, unit: 'piece' as const }] as const),
    ...needs.map((need) => [need.articleId, need] as const),
  ]);
  const onHand = new Map(needs.map((need) => [need.articleId, need.onHand]));
  return drawsWithKits(proposedDraw(done, needs), kits, onHand).flatMap(({ articleId, quantity, left }) => {
    const article = known.get(articleId);
    if (!article) return [];
    const { name, unit, onHand: there, priceMinor } = article;
    return [
      { articleId, name, unit, quantity, onHand: there, priceMinor, left: left.map((each) => ({ ...each })) },
    ];
  });
}
