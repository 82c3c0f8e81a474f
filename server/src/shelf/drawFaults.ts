import type { DrawDto, FieldFaultDto, KitPartDto } from '@yugator/contracts';
import { isDrawnMeanwhile } from '@yugator/core';
import type { Article } from '../models/shelf.model.js';
import { fault } from '../problem/problem.js';
import { leftFaults } from './kitParts.js';

const GONE = 'This article is no longer on the shelf. Choose another.';
const MEANWHILE =
  'Somebody drew it meanwhile, and so much is no longer there. Take something else; or, if you used it all the same, sign off again.';

/** What speaks against a draw: an article that is gone, what is said to be left of a kit, or somebody who was faster. */
export function drawFaults(
  draws: readonly DrawDto[],
  articles: ReadonlyMap<string, Article>,
  parts: ReadonlyMap<string, KitPartDto[]>,
  onHand: (articleId: string) => number,
): FieldFaultDto[] {
  return draws.flatMap((draw, at) => {
    const { articleId, quantity, onHand: seen } = draw;
    if (!articles.has(articleId)) return [fault(`/draws/${at}/articleId`, 'unknown', GONE)];
    const faults = leftFaults(draw, parts.get(articleId) ?? [], `/draws/${at}`);
    if (seen !== undefined && isDrawnMeanwhile(quantity, seen, onHand(articleId)))
      faults.push(fault(`/draws/${at}/quantity`, 'drawnMeanwhile', MEANWHILE));
    return faults;
  });
}
