import { articleWords, fromShedsWords, stockWords, takenFromSheds } from '@yugator/core';
import type { UnitSystem } from '@yugator/core';
import type { JobDrawDto, JobDto } from './job.dto.js';
import { fetchedDraws } from './proposedDraws.js';

type Needed = Pick<JobDto, 'needs' | 'kits' | 'shed'>;

/** From which sheds it is fetched, as far as it is there; '' where sheds are not told apart. */
function fromWords(draw: JobDrawDto, { needs, kits, shed }: Needed, units: UnitSystem): string {
  const article = [...kits, ...needs].find(({ articleId }) => articleId === draw.articleId);
  const there = Math.min(draw.quantity, draw.onHand);
  if (!article?.sheds.length || there <= 0) return '';
  return fromShedsWords(takenFromSheds(article.sheds, shed, there), draw.unit, units);
}

/**
 * Articles that items take, each once: from which shed, with what is on hand where that is not enough, and what is left of a kit that
 * is opened. "1 × Oil filter from North shed", "2 × Plug (only 1 on hand)".
 */
export function fetchWords(needed: Needed, units: UnitSystem): string[] {
  const names = new Map(
    needed.kits.flatMap(({ contents }) => contents.map((part) => [part.articleId, part] as const)),
  );
  return fetchedDraws(needed).map((draw) => {
    const { unit, quantity, onHand, left } = draw;
    const from = fromWords(draw, needed, units);
    const short = onHand < quantity ? ` (only ${stockWords(onHand, unit, units)} on hand)` : '';
    const rest = left.flatMap((each) => {
      const part = names.get(each.articleId);
      return part ? [articleWords({ ...part, quantity: each.quantity }, units)] : [];
    });
    const leaves = rest.length ? ` (leaves ${rest.join(', ')})` : '';
    return `${articleWords(draw, units)}${from && `, ${from}`}${short}${leaves}`;
  });
}
