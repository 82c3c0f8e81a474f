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

/** What becomes of a service: which of its articles, on which of the days, and what that costs; null: nothing covers it. */
type Fate = { readonly articleId: string; readonly quantity: number; readonly at: number } | null;

/** What lies there of each article on each of the days. */
type Stock = ReadonlyMap<string, number[]>;

/** Tries every way to cover an instance. */
class EveryWay {
  /** on which something arrives, today among them */
  private readonly days: readonly number[];
  private readonly kits: readonly BuyingArticle[];
  /** twice two for every service, and one to keep */
  private readonly mostTaken: number;
  private readonly fates: readonly (readonly (readonly [fate: Fate, cost: number])[])[];
  private least = Infinity;

  constructor(private readonly instance: BuyingInstance) {
    const { articles, offers, services } = instance;
    const arrivals = articles.flatMap((article) => article.arrivals.map(({ day }) => day));
    this.days = [...new Set([0, ...offers.map(({ leadDays }) => leadDays), ...arrivals])].sort(
      (a, b) => a - b,
    );
    this.kits = articles.filter(({ contents }) => contents.length > 0);
    this.mostTaken = services.length * 2 + 1;
    this.fates = services.map(({ day, articles: own }) => {
      const due = this.days.filter((each) => each <= day).length - 1;
      return [
        [null, UNCOVERED_MINOR] as const,
        ...own.flatMap(({ articleId, quantity }, choice) =>
          this.days.flatMap((_day, at) => {
            const cost = (at - due) * WAIT_MINOR + choice * SECOND_CHOICE_MINOR;
            return at >= due ? [[{ articleId, quantity, at }, cost] as const] : [];
          }),
        ),
      ];
    });
  }

  leastCost(): number {
    const { offers, suppliers } = this.instance;
    const most = offers.map(({ pack, priceMinor, supplierId }) => {
      const supplier = suppliers.find(({ id }) => id === supplierId);
      return Math.ceil(this.mostTaken / pack) + Math.ceil((supplier?.freeFromMinor ?? 0) / priceMinor);
    });
    for (const packs of lists(most)) {
      const bought = this.paidFor(packs);
      if (bought < this.least) this.openKits(packs, bought);
    }
    return this.least;
  }

  /** Goods and carriage. */
  private paidFor(packs: readonly number[]): number {
    const { offers, suppliers } = this.instance;
    return suppliers.reduce((sum, { id, carriageMinor, freeFromMinor }) => {
      const worth = offers.reduce(
        (all, { supplierId, priceMinor }, at) =>
          supplierId === id ? all + priceMinor * (packs[at] ?? 0) : all,
        0,
      );
      const isFree = worth === 0 || (freeFromMinor !== null && worth >= freeFromMinor);
      return sum + worth + (isFree ? 0 : carriageMinor);
    }, 0);
  }

  private supply(article: BuyingArticle, day: number, packs: readonly number[]): number {
    const ordered = article.arrivals.reduce(
      (sum, arrival) => (arrival.day <= day ? sum + arrival.quantity : sum),
      Math.max(0, article.onHand),
    );
    return this.instance.offers.reduce(
      (sum, { articleId, leadDays, pack }, at) =>
        articleId === article.id && leadDays <= day ? sum + pack * (packs[at] ?? 0) : sum,
      ordered,
    );
  }

  private openKits(packs: readonly number[], bought: number): void {
    const most = this.kits.flatMap((kit) =>
      this.days.map((day) => Math.min(this.supply(kit, day, packs), this.mostTaken)),
    );
    for (const openings of lists(most)) {
      const cost = bought + openings.reduce((sum, count) => sum + count * OPEN_KIT_MINOR, 0);
      const stock = this.stockAfter(packs, openings);
      const areThere = this.kits.every(({ id }) => (stock.get(id) ?? []).every((kits) => kits >= 0));
      if (areThere && cost < this.least) this.serve(0, cost, stock);
    }
  }

  private openedBy(openings: readonly number[], kit: number, day: number): number {
    return this.days.reduce(
      (sum, each, at) => (each <= day ? sum + (openings[kit * this.days.length + at] ?? 0) : sum),
      0,
    );
  }

  private stockAfter(packs: readonly number[], openings: readonly number[]): Stock {
    return new Map(
      this.instance.articles.map((article) => [
        article.id,
        this.days.map((day) =>
          this.kits.reduce(
            (sum, { id, contents }, at) => {
              const each = contents.find(({ articleId }) => articleId === article.id)?.quantity ?? 0;
              return sum + (each - Number(id === article.id)) * this.openedBy(openings, at, day);
            },
            this.supply(article, day, packs),
          ),
        ),
      ]),
    );
  }

  /** One service after the other, each in every way; what is too dear already is not gone on with. */
  private serve(service: number, cost: number, stock: Stock): void {
    if (cost >= this.least) return;
    if (service === this.fates.length) {
      this.least = Math.min(this.least, cost + this.missing(stock) * UNCOVERED_MINOR);
      return;
    }
    for (const [fate, more] of this.fates[service] ?? []) {
      if (fate && (stock.get(fate.articleId) ?? []).slice(fate.at).some((there) => there < fate.quantity))
        continue;
      this.take(fate, stock, 1);
      this.serve(service + 1, cost + more, stock);
      this.take(fate, stock, -1);
    }
  }

  private take(fate: Fate, stock: Stock, sign: 1 | -1): void {
    const own = fate ? stock.get(fate.articleId) : undefined;
    if (fate && own)
      for (let at = fate.at; at < own.length; at += 1) own[at] = (own[at] ?? 0) - sign * fate.quantity;
  }

  /** Pieces or litres that are to be kept, are sold, and are not there. */
  private missing(stock: Stock): number {
    const sold = new Set(this.instance.offers.map(({ articleId }) => articleId));
    return this.instance.articles.reduce((sum, { id, keep }) => {
      const last = stock.get(id)?.at(-1) ?? 0;
      return sold.has(id) ? sum + Math.max(0, keep - last) : sum;
    }, 0);
  }
}

/**
 * The least cost of an instance, by trying every way: every number of packs that can be of use, every kit opened on every day on which
 * something arrives, every article and day for every service. Written without the program it is to check.
 */
export function leastCost(instance: BuyingInstance): number {
  return new EveryWay(instance).leastCost();
}
