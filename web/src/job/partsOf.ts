import { fetchedDraws } from '@yugator/contracts';
import type { JobDto } from '@yugator/contracts';
import { articleWords, stockWords } from '@yugator/core';
import type { UnitSystem } from '@yugator/core';

/** Articles that items take, each once, with what is on hand where that is not enough, and what is left of a kit that is opened. */
export function partsOf(needed: Pick<JobDto, 'needs' | 'kits'>, units: UnitSystem): string[] {
  const names = new Map(
    needed.kits.flatMap(({ contents }) => contents.map((part) => [part.articleId, part] as const)),
  );
  return fetchedDraws(needed).map((draw) => {
    const { unit, quantity, onHand, left } = draw;
    const short = onHand < quantity ? ` (only ${stockWords(onHand, unit, units)} on hand)` : '';
    const rest = left.flatMap((each) => {
      const part = names.get(each.articleId);
      return part ? [articleWords({ ...part, quantity: each.quantity }, units)] : [];
    });
    const leaves = rest.length ? ` (leaves ${rest.join(', ')})` : '';
    return `${articleWords(draw, units)}${short}${leaves}`;
  });
}
