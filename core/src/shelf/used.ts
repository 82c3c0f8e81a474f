import type { CivilDate } from '../calendar/civilDate.js';
import { roundQuantity } from './ledger.js';

/** What a job drew from the shelf, or left of a kit (below 0), and what that cost. */
export interface UsedDraw {
  readonly articleId: string;
  readonly on: CivilDate;
  readonly quantity: number;
  /** minor units; of what was left, below 0 */
  readonly costMinor: number;
}

/** How much of an article was used, in pieces or litres. */
export interface UsedArticle {
  readonly articleId: string;
  readonly drawn: number;
  /** of kits that were opened: what went back on the shelf as this article */
  readonly left: number;
  readonly costMinor: number;
}

/** What was used in a year. */
export interface UsedYear {
  readonly year: number;
  /** the dearest first */
  readonly used: readonly UsedArticle[];
  readonly costMinor: number;
}

function usedOf(draws: readonly UsedDraw[]): UsedArticle[] {
  const byArticle = new Map<string, UsedArticle>();
  for (const { articleId, quantity, costMinor } of draws) {
    const before = byArticle.get(articleId) ?? { articleId, drawn: 0, left: 0, costMinor: 0 };
    byArticle.set(articleId, {
      articleId,
      drawn: roundQuantity(before.drawn + Math.max(0, quantity)),
      left: roundQuantity(before.left + Math.max(0, -quantity)),
      costMinor: before.costMinor + costMinor,
    });
  }
  return [...byArticle.values()].sort((a, b) => b.costMinor - a.costMinor);
}

/** What was used year by year, the latest first. */
export function usedByYear(draws: readonly UsedDraw[]): UsedYear[] {
  const years = [...new Set(draws.map(({ on }) => Number(on.slice(0, 4))))].sort((a, b) => b - a);
  return years.map((year) => {
    const used = usedOf(draws.filter(({ on }) => Number(on.slice(0, 4)) === year));
    return { year, used, costMinor: used.reduce((sum, { costMinor }) => sum + costMinor, 0) };
  });
}

/** How much of an article is taken, and how many times. */
export interface TakenArticle {
  readonly articleId: string;
  readonly quantity: number;
  readonly times: number;
}

/** What works take up to and with a day, each by the article that fits first; in the order in which they come. */
export function takenUntil(
  works: readonly {
    readonly expectedOn: CivilDate;
    readonly articles: readonly { readonly articleId: string; readonly quantity: number }[];
  }[],
  until: CivilDate,
): TakenArticle[] {
  const taken = new Map<string, TakenArticle>();
  const coming = works.filter(({ expectedOn }) => expectedOn <= until);
  for (const { articles } of coming.toSorted((a, b) => (a.expectedOn < b.expectedOn ? -1 : 1))) {
    const [first] = articles;
    if (!first) continue;
    const before = taken.get(first.articleId);
    taken.set(first.articleId, {
      articleId: first.articleId,
      quantity: roundQuantity((before?.quantity ?? 0) + first.quantity),
      times: (before?.times ?? 0) + 1,
    });
  }
  return [...taken.values()];
}
