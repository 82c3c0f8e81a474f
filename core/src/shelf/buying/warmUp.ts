import type { BuyingInstance } from './instance.js';

const SUPPLIERS = [
  { id: 's0', carriageMinor: 650, freeFromMinor: 15_000, leadDays: 2 },
  { id: 's1', carriageMinor: 950, freeFromMinor: 25_000, leadDays: 5 },
  { id: 's2', carriageMinor: 1200, freeFromMinor: 40_000, leadDays: 14 },
] as const;
const PARTS = 24;
const SERVICES = 120;
const DAYS = 182;

const priceOf = (part: number) => 400 + ((part * 37) % 23) * 130;

/**
 * A made-up crew whose parts are reckoned before those that are asked for: engines run what is compiled only for now at half its pace,
 * and what a solver does often is compiled well only once it did it. The same each time.
 */
export function warmUpInstance(): BuyingInstance {
  const parts = Array.from({ length: PARTS }, (_, part) => ({
    id: `a${part}`,
    unit: 'piece' as const,
    onHand: part % 3,
    keep: part % 2,
    arrivals: [],
    contents: [],
  }));
  const kits = [0, 4, 8, 12, 16, 20].map((first) => ({
    id: `k${first}`,
    unit: 'piece' as const,
    onHand: 0,
    keep: 0,
    arrivals: [],
    contents: [0, 1, 2, 3].map((next) => ({ articleId: `a${first + next}`, quantity: 1 + (next % 2) })),
  }));
  const prices = new Map(parts.map(({ id }, part) => [id, priceOf(part)]));
  const worth = (contents: (typeof kits)[number]['contents']) =>
    contents.reduce((sum, { articleId, quantity }) => sum + quantity * (prices.get(articleId) ?? 0), 0);
  const sold = [
    ...parts.map(({ id }) => ({ id, price: prices.get(id) ?? 0, packs: [1, 10] })),
    ...kits.map(({ id, contents }) => ({ id, price: worth(contents) * 0.85, packs: [1] })),
  ];
  return {
    articles: [...parts, ...kits],
    suppliers: SUPPLIERS.map(({ id, carriageMinor, freeFromMinor }) => ({
      id,
      carriageMinor,
      freeFromMinor,
    })),
    offers: sold.flatMap(({ id, price, packs }, at) =>
      SUPPLIERS.flatMap((supplier, which) =>
        packs.map((pack) => ({
          id: `${id}-${supplier.id}-${pack}`,
          articleId: id,
          supplierId: supplier.id,
          pack,
          priceMinor: Math.round(price * pack * (pack > 1 ? 0.85 : 1) * (0.9 + ((at + which) % 3) * 0.1)),
          leadDays: supplier.leadDays,
        })),
      ),
    ),
    services: Array.from({ length: SERVICES }, (_, at) => ({
      day: (at * 29) % DAYS,
      articles: [{ articleId: `a${(at * 7) % PARTS}`, quantity: 1 + (at % 2) }],
    })),
  };
}
