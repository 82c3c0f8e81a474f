import { addDays, civilDate } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { seasonInYear } from '../season/season.js';
import type { Season } from '../season/season.js';
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

/** What was used in a stretch of time. */
export interface UsedPeriod {
  /** the season that it is, or lies before; null of a civil year */
  readonly season: string | null;
  readonly year: number;
  /** between the seasons, before that one: what was made ready for it */
  readonly isBefore: boolean;
  /** both included */
  readonly from: CivilDate;
  readonly to: CivilDate;
  /** the dearest first */
  readonly used: readonly UsedArticle[];
  readonly costMinor: number;
}

type Period = Omit<UsedPeriod, 'used' | 'costMinor'>;

function usedIn(period: Period, draws: readonly UsedDraw[]): UsedPeriod {
  const used = usedOf(draws);
  return { ...period, used, costMinor: used.reduce((sum, { costMinor }) => sum + costMinor, 0) };
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

function yearOf(day: CivilDate): number {
  return Number(day.slice(0, 4));
}

/** What was used year by year, the latest first. */
export function usedByYear(draws: readonly UsedDraw[]): UsedPeriod[] {
  const years = [...new Set(draws.map(({ on }) => yearOf(on)))].sort((a, b) => b - a);
  return years.map((year) => {
    const [from, to] = [civilDate(`${year}-01-01`), civilDate(`${year}-12-31`)];
    const own = draws.filter(({ on }) => yearOf(on) === year);
    return usedIn({ season: null, year, isBefore: false, from, to }, own);
  });
}

/** The seasons of some years, in the order in which they begin. */
function seasonsFrom(seasons: readonly Season[], first: number, last: number): Period[] {
  const years = Array.from({ length: last - first + 1 }, (_, at) => first + at);
  return seasons
    .flatMap((season) =>
      years.flatMap((year): Period[] => {
        const days = seasonInYear(season, year);
        if (!days) return [];
        return [{ season: season.name, year, isBefore: false, from: days.firstDay, to: days.lastDay }];
      }),
    )
    .sort((a, b) => (a.from < b.from ? -1 : 1));
}

/**
 * The season in which a day lies, of several the one that began last; else the time between the seasons before the next one. Null where
 * no season is known.
 */
function periodOf(day: CivilDate, seasons: readonly Period[]): Period | null {
  const inside = seasons.findLast(({ from, to }) => from <= day && day <= to);
  if (inside) return inside;
  const next = seasons.find(({ from }) => from > day);
  if (!next) return null;
  const ended = seasons.filter(({ to }) => to < day).map(({ to }) => to);
  const last = ended.reduce((latest, to) => (to > latest ? to : latest), ended[0] ?? day);
  return { ...next, isBefore: true, from: ended.length ? addDays(last, 1) : day, to: addDays(next.from, -1) };
}

/** What was used season by season, and between them, the latest first; nothing where no season is known. */
export function usedBySeason(draws: readonly UsedDraw[], seasons: readonly Season[]): UsedPeriod[] {
  const years = draws.map(({ on }) => yearOf(on));
  if (years.length === 0) return [];
  const known = seasonsFrom(seasons, Math.min(...years) - 2, Math.max(...years) + 2);
  const periods = new Map<string, { period: Period; own: UsedDraw[] }>();
  for (const draw of draws) {
    const period = periodOf(draw.on, known);
    if (!period) return [];
    const key = `${period.from} ${period.season} ${period.isBefore}`;
    const before = periods.get(key) ?? { period, own: [] };
    before.own.push(draw);
    periods.set(key, before);
  }
  return [...periods.values()]
    .map(({ period, own }) => usedIn(period, own))
    .sort((a, b) => (a.from > b.from ? -1 : 1));
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
