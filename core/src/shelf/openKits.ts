import type { Draw } from '../job/proposedDraw.js';
import type { CountedPart, LeftOver } from './kit.js';
import { roundQuantity } from './ledger.js';

/** A kit on the shelf. */
export interface ShelvedKit {
  readonly articleId: string;
  readonly onHand: number;
  readonly contents: readonly CountedPart[];
}

/** What is taken from the shelf; of a kit, what is left of it. */
export interface KitDraw extends Draw {
  readonly left: readonly LeftOver[];
}

/** A kit is opened for what is worth at least so much of it; else the loose part is bought (common practice). */
const LEAST_USED_SHARE = 0.5;

/** Less than this of a bottle, in litres, is not put back (common practice). */
const LEAST_LEFT_LITRES = 0.1;

/** How much of a kit the needs would use up: in worth, and as a share of all of it. */
function usedOf({ contents }: ShelvedKit, open: ReadonlyMap<string, number>) {
  const isPriced = contents.some(({ priceMinor }) => priceMinor > 0);
  const worth = (quantity: number, price: number) => quantity * (isPriced ? price : 1);
  const all = contents.reduce((sum, { quantity, priceMinor }) => sum + worth(quantity, priceMinor), 0);
  const used = contents.reduce(
    (sum, { articleId, quantity, priceMinor }) =>
      sum + worth(Math.min(quantity, open.get(articleId) ?? 0), priceMinor),
    0,
  );
  return { worth: used, share: all > 0 ? used / all : 0 };
}

/** Takes the contents of a kit off what is still needed, and returns what is left of it. */
function openKit({ contents }: ShelvedKit, open: Map<string, number>): LeftOver[] {
  return contents.flatMap(({ articleId, quantity, unit }) => {
    const needed = open.get(articleId) ?? 0;
    open.set(articleId, roundQuantity(Math.max(0, needed - quantity)));
    const left = roundQuantity(Math.max(0, quantity - needed));
    const isWorthIt = unit === 'piece' ? left > 0 : left >= LEAST_LEFT_LITRES;
    return isWorthIt ? [{ articleId, quantity: left }] : [];
  });
}

function summed(lefts: readonly LeftOver[]): LeftOver[] {
  const sums = new Map<string, number>();
  for (const { articleId, quantity } of lefts)
    sums.set(articleId, roundQuantity((sums.get(articleId) ?? 0) + quantity));
  return [...sums].map(([articleId, quantity]) => ({ articleId, quantity }));
}

/**
 * How needs are taken from the shelf. What lies there loose is used up first: a kit is opened only while something is missing that it
 * holds, and only where at least half of its worth is used; then all it holds is used before the loose. What is missing still is drawn
 * loose, though it is not there. Kits come first, in the order in which they are opened.
 */
export function drawsWithKits(
  needs: readonly Draw[],
  kits: readonly ShelvedKit[],
  onHand: ReadonlyMap<string, number>,
): KitDraw[] {
  const open = new Map(needs.map(({ articleId, quantity }) => [articleId, quantity]));
  const isMissing = (articleId: string) => (open.get(articleId) ?? 0) > (onHand.get(articleId) ?? 0);
  const opened = new Map<string, { quantity: number; left: LeftOver[] }>();
  for (;;) {
    const candidates = kits
      .filter(({ articleId, onHand: there }) => there >= (opened.get(articleId)?.quantity ?? 0) + 1)
      .filter(({ contents }) => contents.some(({ articleId }) => isMissing(articleId)))
      .map((kit) => ({ kit, ...usedOf(kit, open) }))
      .filter(({ share }) => share >= LEAST_USED_SHARE)
      // Of two that are used up, the one that saves more.
      .sort((a, b) => b.share - a.share || b.worth - a.worth);
    const best = candidates[0]?.kit;
    if (!best) break;
    const before = opened.get(best.articleId);
    const left = openKit(best, open);
    opened.set(best.articleId, {
      quantity: (before?.quantity ?? 0) + 1,
      left: [...(before?.left ?? []), ...left],
    });
  }
  const ofKits = [...opened].map(([articleId, { quantity, left }]) => ({
    articleId,
    quantity,
    left: summed(left),
  }));
  const loose = [...open]
    .filter(([, quantity]) => quantity > 0)
    .map(([articleId, quantity]) => ({ articleId, quantity, left: [] }));
  return [...ofKits, ...loose];
}
