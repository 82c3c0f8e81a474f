import { OPEN_KIT_MINOR, SECOND_CHOICE_MINOR, UNCOVERED_MINOR, WAIT_MINOR } from '../instance.js';
import type { BuyingArticle, BuyingInstance } from '../instance.js';

/** Every list of whole numbers from 0 to `most` of each place. */
function* lists(most: readonly number[]): Generator<number[]> {
  const [first, ...others] = most;
  if (first === undefined) {
    yield [];
    return;
  }
  for (let value = 0; value <= first; value += 1) for (const rest of lists(others)) yield [value, ...rest];
}

/** What becomes of a service: which of its articles, on which day; null: nothing covers it. */
type Fate = { readonly choice: number; readonly day: number } | null;

/**
 * The least cost of an instance, by trying every way: every number of packs that can be of use, every kit opened on every day on which
 * something arrives, every article and day for every service. Written without the program it is to check: stock is walked day by day.
 */
export function leastCost(instance: BuyingInstance): number {
  const { services, articles, offers, suppliers } = instance;
  const days = [
    ...new Set([
      0,
      ...offers.map(({ leadDays }) => leadDays),
      ...articles.flatMap(({ arrivals }) => arrivals.map(({ day }) => day)),
    ]),
  ].sort((a, b) => a - b);
  const kits = articles.filter(({ contents }) => contents.length > 0);
  const fates = services.map(({ day, articles: own }): Fate[] => {
    const due = days.filter((each) => each <= day).at(-1) ?? 0;
    return [
      null,
      ...own.flatMap((_article, choice) =>
        days.filter((each) => each >= due).map((each) => ({ choice, day: each })),
      ),
    ];
  });
  const fateCost = (service: number, fate: Fate) => {
    if (!fate) return UNCOVERED_MINOR;
    const due = days.filter((each) => each <= (services[service]?.day ?? 0)).at(-1) ?? 0;
    return (days.indexOf(fate.day) - days.indexOf(due)) * WAIT_MINOR + fate.choice * SECOND_CHOICE_MINOR;
  };
  const isSold = (id: string) => offers.some(({ articleId }) => articleId === id);
  // Twice two for every service, and one to keep.
  const mostTaken = services.length * 2 + 1;
  const mostPacks = offers.map(({ pack, priceMinor, supplierId }) => {
    const supplier = suppliers.find(({ id }) => id === supplierId);
    return Math.ceil(mostTaken / pack) + Math.ceil((supplier?.freeFromMinor ?? 0) / priceMinor);
  });
  let least = Infinity;
  for (const packs of lists(mostPacks)) {
    let bought = 0;
    for (const { id, carriageMinor, freeFromMinor } of suppliers) {
      const worth = offers.reduce(
        (sum, { supplierId, priceMinor }, at) =>
          supplierId === id ? sum + priceMinor * (packs[at] ?? 0) : sum,
        0,
      );
      const isFree = worth === 0 || (freeFromMinor !== null && worth >= freeFromMinor);
      bought += worth + (isFree ? 0 : carriageMinor);
    }
    if (bought >= least) continue;
    const supply = (article: BuyingArticle, day: number) =>
      Math.max(0, article.onHand) +
      article.arrivals.reduce((sum, arrival) => (arrival.day <= day ? sum + arrival.quantity : sum), 0) +
      offers.reduce(
        (sum, { articleId, leadDays, pack }, at) =>
          articleId === article.id && leadDays <= day ? sum + pack * (packs[at] ?? 0) : sum,
        0,
      );
    const mostKits = kits.flatMap((kit) => days.map((day) => Math.min(supply(kit, day), mostTaken)));
    for (const openings of lists(mostKits)) {
      const openedBy = (kit: number, day: number) =>
        days.reduce(
          (sum, each, at) => (each <= day ? sum + (openings[kit * days.length + at] ?? 0) : sum),
          0,
        );
      if (kits.some((kit, at) => days.some((day) => openedBy(at, day) > supply(kit, day)))) continue;
      const opening = bought + openings.reduce((sum, count) => sum + count * OPEN_KIT_MINOR, 0);
      if (opening >= least) continue;
      const there = new Map(
        articles.map((article) => [
          article.id,
          days.map((day) => {
            const loose = kits.reduce((sum, { contents }, at) => {
              const part = contents.find(({ articleId }) => articleId === article.id);
              return sum + (part ? part.quantity * openedBy(at, day) : 0);
            }, 0);
            const gone = kits.reduce(
              (sum, { id }, at) => (id === article.id ? sum + openedBy(at, day) : sum),
              0,
            );
            return supply(article, day) + loose - gone;
          }),
        ]),
      );
      // One service after the other; what is too dear already is not gone on with.
      const go = (service: number, cost: number): void => {
        if (cost >= least) return;
        if (service === services.length) {
          const missing = articles.reduce((sum, { id, keep }) => {
            const last = there.get(id)?.at(-1) ?? 0;
            return isSold(id) ? sum + Math.max(0, keep - last) : sum;
          }, 0);
          least = Math.min(least, cost + missing * UNCOVERED_MINOR);
          return;
        }
        for (const fate of fates[service] ?? []) {
          const taken = fate && services[service]?.articles[fate.choice];
          const stock = taken ? there.get(taken.articleId) : undefined;
          if (fate && taken && stock) {
            const from = days.indexOf(fate.day);
            if (stock.slice(from).some((amount) => amount < taken.quantity)) continue;
            for (let at = from; at < stock.length; at += 1) stock[at] = (stock[at] ?? 0) - taken.quantity;
            go(service + 1, cost + fateCost(service, fate));
            for (let at = from; at < stock.length; at += 1) stock[at] = (stock[at] ?? 0) + taken.quantity;
          } else if (!fate) go(service + 1, cost + fateCost(service, null));
        }
      };
      go(0, opening);
    }
  }
  return least;
}
