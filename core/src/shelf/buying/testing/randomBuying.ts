import type { BuyingArticle, BuyingInstance, BuyingSupplier, Offer, Service } from '../instance.js';

/** How big the generated cases are: at most so many of each. */
export interface BuyingSize {
  readonly articles: number;
  readonly kits: number;
  readonly suppliers: number;
  readonly offers: number;
  readonly services: number;
  readonly days: number;
}

/** Numbers that are the same for the same seed (mulberry32). */
function numbers(seed: number) {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  const whole = (low: number, high: number) => low + Math.floor(next() * (high - low + 1));
  const of = <T>(list: readonly T[]): T => {
    const chosen = list[whole(0, list.length - 1)];
    if (chosen === undefined) throw new Error('Nothing to choose from.');
    return chosen;
  };
  return { whole, of, chance: (share: number) => next() < share };
}

/** An invented shelf with what its fleet will take and where that is sold; the same for the same seed. */
export function randomBuying(seed: number, size: BuyingSize): BuyingInstance {
  const { whole, of, chance } = numbers(seed);
  const leads = [0, 2, 7];
  const parts: BuyingArticle[] = Array.from({ length: whole(1, size.articles) }, (_, at) => ({
    id: `a${at}`,
    unit: at % 3 === 2 ? 'litre' : 'piece',
    onHand: chance(0.5) ? 0 : whole(0, 3),
    keep: chance(0.8) ? 0 : 1,
    arrivals: chance(0.85) ? [] : [{ day: whole(0, 10), quantity: whole(1, 2) }],
    contents: [],
  }));
  const kits: BuyingArticle[] = Array.from({ length: whole(0, size.kits) }, (_, at) => ({
    id: `k${at}`,
    unit: 'piece',
    onHand: chance(0.7) ? 0 : whole(0, 2),
    keep: 0,
    arrivals: [],
    contents: [...new Set([of(parts).id, of(parts).id, of(parts).id])].map((articleId) => ({
      articleId,
      quantity: whole(1, 2),
    })),
  }));
  const articles = [...parts, ...kits];
  const suppliers: BuyingSupplier[] = Array.from({ length: whole(1, size.suppliers) }, (_, at) => ({
    id: `s${at}`,
    carriageMinor: chance(0.3) ? 0 : whole(200, 1500),
    freeFromMinor: chance(0.4) ? null : whole(1000, 5000),
  }));
  const offers: Offer[] = Array.from({ length: whole(1, size.offers) }, (_, at) => ({
    id: `o${at}`,
    articleId: of(articles).id,
    supplierId: of(suppliers).id,
    pack: chance(0.6) ? 1 : whole(2, 5),
    priceMinor: whole(600, 4000),
    leadDays: of(leads),
  }));
  const services: Service[] = Array.from({ length: whole(1, size.services) }, () => {
    const wanted = [...new Set([of(parts).id, ...(chance(0.25) ? [of(parts).id] : [])])];
    return {
      day: whole(0, size.days),
      articles: wanted.map((articleId) => ({ articleId, quantity: whole(1, 2) })),
    };
  });
  return { services, articles, offers, suppliers };
}
