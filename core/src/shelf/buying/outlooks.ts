import { outlookOf, weeklyDemand } from '../demand.js';
import type { Arrival, Demand, Outlook } from '../demand.js';
import { roundQuantity } from '../ledger.js';
import type { BuyingFacts } from './fromFacts.js';

/** How one article stands against what is coming. */
export interface ArticleOutlook {
  readonly articleId: string;
  readonly outlook: Outlook;
  /** what is expected to be taken in each week */
  readonly weekly: readonly number[];
  /** days until an order from where it is bought as a rule is here; null where nobody sells it */
  readonly leadDays: number | null;
  /** what the kits that lie there hold of it */
  readonly inKits: number;
}

/** Days until what is cheapest by the piece or litre is here, which is where it is bought as a rule. */
function usualLead({ suppliers }: BuyingFacts, articleId: string): number | null {
  const offers = suppliers
    .flatMap(({ leadDays, offers: own }) =>
      own.flatMap((offer) =>
        offer.articleId === articleId
          ? [{ days: offer.leadDays ?? leadDays, each: offer.priceMinor / offer.pack }]
          : [],
      ),
    )
    .sort((a, b) => a.each - b.each || a.days - b.days);
  return offers[0]?.days ?? null;
}

/** What kits hold of an article, as if all were opened for it: those that lie there, and those to come. */
function inKits({ articles }: BuyingFacts, articleId: string): { onHand: number; arrivals: Arrival[] } {
  const holding = articles.flatMap((kit) => {
    const part = kit.contents.find((each) => each.articleId === articleId);
    return part ? [{ kit, each: part.quantity }] : [];
  });
  return {
    onHand: roundQuantity(holding.reduce((sum, { kit, each }) => sum + Math.max(0, kit.onHand) * each, 0)),
    arrivals: holding.flatMap(({ kit, each }) =>
      kit.arrivals.map(({ on, quantity }) => ({ on, quantity: roundQuantity(quantity * each) })),
    ),
  };
}

/** What is coming by the article that it takes first. */
function demandsByArticle({ works }: BuyingFacts): ReadonlyMap<string, Demand[]> {
  const demands = new Map<string, Demand[]>();
  for (const { earlyOn, expectedOn, lateOn, articles } of works) {
    const [first] = articles;
    if (!first) continue;
    const own = demands.get(first.articleId) ?? [];
    own.push({ earlyOn, expectedOn, lateOn, quantity: first.quantity });
    demands.set(first.articleId, own);
  }
  return demands;
}

const NEVER = '9999';

/** The outlook of every article that is taken, the one to be ordered first in front; else in the order of the articles. */
export function buyingOutlooks(facts: BuyingFacts, sure: number): ArticleOutlook[] {
  const demands = demandsByArticle(facts);
  return facts.articles
    .flatMap(({ id, unit, onHand, arrivals }): ArticleOutlook[] => {
      const own = demands.get(id);
      if (!own) return [];
      const leadDays = usualLead(facts, id);
      const held = inKits(facts, id);
      const stocked = {
        unit,
        onHand: onHand + held.onHand,
        arrivals: [...arrivals, ...held.arrivals],
        leadDays: leadDays ?? 0,
        sure,
      };
      return [
        {
          articleId: id,
          outlook: outlookOf(own, stocked, facts.today, facts.weeks),
          weekly: weeklyDemand(own, facts.today, facts.weeks),
          leadDays,
          inKits: held.onHand,
        },
      ];
    })
    .sort((a, b) => (a.outlook.orderBy ?? NEVER).localeCompare(b.outlook.orderBy ?? NEVER));
}
