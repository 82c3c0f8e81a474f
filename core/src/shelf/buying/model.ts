import { MipBuilder } from '../../solver/mip.js';
import type { Mip, Row } from '../../solver/mip.js';
import { OPEN_KIT_MINOR, SECOND_CHOICE_MINOR, UNCOVERED_MINOR, WAIT_MINOR } from './instance.js';
import type {
  BuyingArticle,
  BuyingInstance,
  BuyingManner,
  BuyingSupplier,
  LockedPacks,
  Offer,
  ServiceArticle,
} from './instance.js';

/** Nobody fills an order up with more packs of one thing. */
const MOST_FILLING = 20;

/** Services alike: the same articles, due in the same period. */
interface Group {
  readonly period: number;
  readonly articles: readonly ServiceArticle[];
  count: number;
}

/** A column that says how many services of a group take an article in a period. */
interface Served extends ServiceArticle {
  readonly column: number;
  readonly period: number;
}

/** A program, and which of its columns say what. */
export interface BuyingModel {
  readonly mip: Mip;
  /** packs of each offer, in the order of the offers */
  readonly packs: readonly number[];
  /** kits opened, by article and period */
  readonly opened: readonly {
    readonly articleId: string;
    readonly column: number;
    readonly period: number;
  }[];
  readonly served: readonly Served[];
  /** services that are done later than they are due */
  readonly waiting: readonly number[];
  /** services that nothing covers */
  readonly uncovered: readonly number[];
}

/** Days on which something arrives, today among them, in order: the beginnings of the periods. */
function periodsOf({ articles, offers }: BuyingInstance): number[] {
  const days = new Set([0]);
  for (const { leadDays } of offers) days.add(leadDays);
  for (const { arrivals } of articles) for (const { day } of arrivals) days.add(Math.max(0, day));
  return [...days].sort((a, b) => a - b);
}

function periodOf(day: number, begins: readonly number[]): number {
  return Math.max(
    0,
    begins.findLastIndex((begin) => begin <= day),
  );
}

/**
 * The periods in which more of an article may be there than before, the first among them: something arrives of it, or of a kit that
 * holds it. Whatever happens to it between two of them might as well have happened at the earlier one, so the program knows no others.
 */
function periodsOfArticles(
  { articles, offers }: BuyingInstance,
  begins: readonly number[],
): ReadonlyMap<string, readonly number[]> {
  const own = new Map(
    articles.map(({ id, arrivals }) => {
      const days = [
        ...arrivals.map(({ day }) => Math.max(0, day)),
        ...offers.flatMap(({ articleId, leadDays }) => (articleId === id ? [leadDays] : [])),
      ];
      return [id, new Set([0, ...days.map((day) => periodOf(day, begins))])] as const;
    }),
  );
  const all = new Map([...own].map(([id, periods]) => [id, new Set(periods)]));
  for (const { id, contents } of articles)
    for (const { articleId } of contents)
      for (const period of own.get(id) ?? []) all.get(articleId)?.add(period);
  return new Map([...all].map(([id, periods]) => [id, [...periods].sort((a, b) => a - b)]));
}

function groupsOf({ services }: BuyingInstance, begins: readonly number[]): Group[] {
  const groups = new Map<string, Group>();
  for (const { day, articles } of services) {
    const period = periodOf(day, begins);
    const key = `${period} ${articles.map(({ articleId, quantity }) => `${articleId} ${quantity}`).join(' ')}`;
    const group = groups.get(key) ?? { period, articles, count: 0 };
    group.count += 1;
    groups.set(key, group);
  }
  return [...groups.values()];
}

/** The most that can be needed of each article, whatever else is chosen. */
function mostNeeded({ services, articles }: BuyingInstance): ReadonlyMap<string, number> {
  const most = new Map(articles.map(({ id, keep }) => [id, keep]));
  for (const service of services)
    for (const { articleId, quantity } of service.articles)
      most.set(articleId, (most.get(articleId) ?? 0) + quantity);
  return most;
}

/** As many kits as can be opened to any use: so many hold all that is needed of what they hold. */
function mostOpened(contents: readonly ServiceArticle[], most: ReadonlyMap<string, number>): number {
  return Math.max(
    0,
    ...contents.map(({ articleId, quantity }) => Math.ceil((most.get(articleId) ?? 0) / quantity)),
  );
}

/** As many packs as can be of use: so many cover all by themselves, and so many more fill an order up until it is carried free. */
function mostPacks(
  { articleId, pack, priceMinor }: Offer,
  supplier: BuyingSupplier | undefined,
  articles: ReadonlyMap<string, BuyingArticle>,
  most: ReadonlyMap<string, number>,
): number {
  const own = most.get(articleId) ?? 0;
  const pieces = own + mostOpened(articles.get(articleId)?.contents ?? [], most);
  const freeFrom = supplier && supplier.carriageMinor > 0 ? (supplier.freeFromMinor ?? 0) : 0;
  return Math.ceil(pieces / pack) + Math.min(MOST_FILLING, Math.ceil(freeFrom / Math.max(1, priceMinor)));
}

/** Whether an offer may be bought in a manner. */
function isAllowed(
  { articleId }: Offer,
  manner: BuyingManner,
  articles: ReadonlyMap<string, BuyingArticle>,
  inKits: ReadonlySet<string>,
): boolean {
  const article = articles.get(articleId);
  if (manner === 'free' || !article) return true;
  if (manner === 'loose') return article.contents.length === 0;
  // A kit need not hold the last decilitre: oil may be bought beside it.
  return article.unit === 'litre' || !inKits.has(articleId);
}

/** Builds the program of an instance. */
class Builder {
  private readonly mip = new MipBuilder();
  private readonly begins: readonly number[];
  private readonly byId: ReadonlyMap<string, BuyingArticle>;
  private readonly periods: ReadonlyMap<string, readonly number[]>;
  private readonly packs: number[] = [];
  private readonly served: Served[] = [];
  private readonly opened: { articleId: string; column: number; period: number }[] = [];
  private readonly waiting: number[] = [];
  private readonly uncovered: number[] = [];

  constructor(
    private readonly instance: BuyingInstance,
    private readonly manner: BuyingManner,
    private readonly locked: LockedPacks,
  ) {
    this.begins = periodsOf(instance);
    this.byId = new Map(instance.articles.map((article) => [article.id, article]));
    this.periods = periodsOfArticles(instance, this.begins);
  }

  build(): BuyingModel {
    this.addOffers();
    this.addKits();
    this.addServices();
    for (const article of this.instance.articles) this.addBalance(article);
    this.addCarriage();
    const { packs, opened, served, waiting, uncovered } = this;
    return { mip: this.mip.build(), packs, opened, served, waiting, uncovered };
  }

  private addOffers(): void {
    const most = mostNeeded(this.instance);
    const suppliers = new Map(this.instance.suppliers.map((supplier) => [supplier.id, supplier]));
    const sold = new Set(this.instance.offers.map(({ articleId }) => articleId));
    const inKits = new Set(
      this.instance.articles
        .filter(({ id }) => sold.has(id))
        .flatMap(({ contents }) => contents.map(({ articleId }) => articleId)),
    );
    for (const offer of this.instance.offers) {
      const settled = this.locked.get(offer.id);
      const isFree = isAllowed(offer, this.manner, this.byId, inKits);
      const high =
        settled ?? (isFree ? mostPacks(offer, suppliers.get(offer.supplierId), this.byId, most) : 0);
      this.packs.push(this.mip.column(offer.priceMinor, high, true, settled ?? 0));
    }
  }

  private addKits(): void {
    const most = mostNeeded(this.instance);
    for (const { id, contents } of this.instance.articles)
      if (contents.length)
        for (const period of this.periodsOf(id)) {
          const column = this.mip.column(OPEN_KIT_MINOR, mostOpened(contents, most));
          this.opened.push({ articleId: id, period, column });
        }
  }

  private addServices(): void {
    for (const { period: due, articles, count } of groupsOf(this.instance, this.begins)) {
      const terms: [number, number][] = [];
      for (const [choice, { articleId, quantity }] of articles.entries())
        for (const period of this.periodsFrom(articleId, due)) {
          const cost = Math.max(0, period - due) * WAIT_MINOR + choice * SECOND_CHOICE_MINOR;
          const column = this.mip.column(cost, count);
          this.served.push({ articleId, quantity, column, period });
          if (period > due) this.waiting.push(column);
          terms.push([column, 1]);
        }
      const none = this.mip.column(UNCOVERED_MINOR, count);
      this.uncovered.push(none);
      this.mip.row([...terms, [none, 1]], count, count);
    }
  }

  /** In no period goes out more of an article than is there by then. */
  private addBalance({ id, onHand, keep, arrivals }: BuyingArticle): void {
    const isSold = this.instance.offers.some(({ articleId }) => articleId === id);
    const periods = this.periodsOf(id);
    for (const period of periods) {
      const begin = this.begins[period] ?? 0;
      const terms: (readonly [number, number])[] = [
        ...this.boughtBy(id, begin),
        ...this.fromKits(id, period),
        ...this.goneBy(id, period),
      ];
      const there = arrivals.reduce(
        (sum, { day, quantity }) => (day <= begin ? sum + quantity : sum),
        Math.max(0, onHand),
      );
      // What nobody sells cannot be kept; what is there of it is used up.
      const least = isSold && period === periods.at(-1) ? keep : 0;
      if (least > 0) terms.push([this.mip.column(UNCOVERED_MINOR, least, false), 1]);
      if (terms.length) this.mip.row(terms, least - there, Infinity);
    }
  }

  private periodsOf(id: string): readonly number[] {
    return this.periods.get(id) ?? [0];
  }

  /** The periods in which an article can serve what is due in a period: what is there by then, and what comes later. */
  private periodsFrom(id: string, due: number): readonly number[] {
    const own = this.periodsOf(id);
    return own.slice(
      Math.max(
        0,
        own.findLastIndex((period) => period <= due),
      ),
    );
  }

  private boughtBy(id: string, begin: number): Row['terms'] {
    return this.instance.offers.flatMap(({ articleId, pack, leadDays }, at) =>
      articleId === id && leadDays <= begin ? [[this.packs[at] ?? 0, pack] as const] : [],
    );
  }

  private fromKits(id: string, until: number): Row['terms'] {
    return this.opened.flatMap(({ articleId, column, period }) => {
      const part = this.byId.get(articleId)?.contents.find((each) => each.articleId === id);
      return part && period <= until ? [[column, part.quantity] as const] : [];
    });
  }

  private goneBy(id: string, until: number): Row['terms'] {
    const opened = this.opened.filter(({ articleId, period }) => articleId === id && period <= until);
    const served = this.served.filter(({ articleId, period }) => articleId === id && period <= until);
    return [
      ...opened.map(({ column }) => [column, -1] as const),
      ...served.map(({ column, quantity }) => [column, -quantity] as const),
    ];
  }

  private addCarriage(): void {
    for (const { id, carriageMinor, freeFromMinor } of this.instance.suppliers) {
      const own = this.instance.offers.flatMap(({ supplierId, priceMinor }, at) =>
        supplierId === id ? [{ column: this.packs[at] ?? 0, priceMinor }] : [],
      );
      if (carriageMinor === 0 || own.length === 0) continue;
      const ordered = this.mip.column(carriageMinor, 1);
      // Each offer by itself needs the order: tighter than all of them together.
      for (const { column } of own) {
        const { high } = this.mip.columnAt(column);
        const needs = [[column, 1] as const, [ordered, -high] as const];
        if (high > 0) this.mip.row(needs, -Infinity, 0);
      }
      if (freeFromMinor === null) continue;
      const free = this.mip.column(-carriageMinor, 1);
      this.mip.row([[free, 1] as const, [ordered, -1] as const], -Infinity, 0);
      const worth = own.map(({ column, priceMinor }) => [column, priceMinor] as const);
      this.mip.row([...worth, [free, -freeFromMinor]], 0, Infinity);
    }
  }
}

/**
 * What to buy as a mixed-integer program: all services are covered at the least cost of packs and carriage, period by period of what
 * arrives. A service waits where nothing is there in time, and is left uncovered where nobody sells what it takes. What is left over is
 * worth nothing beyond what later services use of it.
 */
export function buyingModel(
  instance: BuyingInstance,
  manner: BuyingManner = 'free',
  locked: LockedPacks = new Map(),
): BuyingModel {
  return new Builder(instance, manner, locked).build();
}
