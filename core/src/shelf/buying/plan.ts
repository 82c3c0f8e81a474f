import type { Effort, SolveMip } from '../../solver/mip.js';
import { roundQuantity } from '../ledger.js';
import type { BuyingInstance, BuyingManner, BuyingSupplier, LockedPacks, Offer } from './instance.js';
import { buyingModel } from './model.js';
import type { BuyingModel } from './model.js';

/** So many packs of an offer. */
export interface BuyingLine {
  readonly offer: Offer;
  readonly packs: number;
}

/** What lies there of an article when all is done. */
export interface LeftInTheEnd {
  readonly articleId: string;
  readonly quantity: number;
}

/** What to buy, and what becomes of it. */
export interface BuyingPlan {
  readonly lines: readonly BuyingLine[];
  /** kits that are opened, by article */
  readonly opened: ReadonlyMap<string, number>;
  readonly goodsMinor: number;
  readonly carriageMinor: number;
  /** goods and carriage together */
  readonly costMinor: number;
  /** services that wait for an arrival, and those that nobody sells something for */
  readonly waiting: number;
  readonly uncovered: number;
  /** of every article, in the order of the articles */
  readonly left: readonly LeftInTheEnd[];
  /** how much less any other plan could cost at most, by the solver's own bound: a share of the cost */
  readonly gap: number;
}

/** What a supplier asks for bringing goods of so much worth. */
export function carriageFor(
  { carriageMinor, freeFromMinor }: Pick<BuyingSupplier, 'carriageMinor' | 'freeFromMinor'>,
  goodsMinor: number,
): number {
  const isFree = goodsMinor === 0 || (freeFromMinor !== null && goodsMinor >= freeFromMinor);
  return isFree ? 0 : carriageMinor;
}

/** What lines are worth together, in minor units. */
export function goodsOf(lines: readonly BuyingLine[]): number {
  return lines.reduce((sum, { offer, packs }) => sum + packs * offer.priceMinor, 0);
}

function openedOf(model: BuyingModel, values: readonly number[]): Map<string, number> {
  const opened = new Map<string, number>();
  for (const { articleId, column } of model.opened) {
    const kits = values[column] ?? 0;
    if (kits > 0) opened.set(articleId, (opened.get(articleId) ?? 0) + kits);
  }
  return opened;
}

function leftOf(
  model: BuyingModel,
  values: readonly number[],
  { articles, offers }: BuyingInstance,
  opened: ReadonlyMap<string, number>,
): LeftInTheEnd[] {
  const left = new Map(
    articles.map(({ id, onHand, arrivals }) => [
      id,
      arrivals.reduce((sum, { quantity }) => sum + quantity, Math.max(0, onHand)),
    ]),
  );
  const add = (id: string, quantity: number) => left.set(id, (left.get(id) ?? 0) + quantity);
  for (const [at, { articleId, pack }] of offers.entries())
    add(articleId, pack * (values[model.packs[at] ?? -1] ?? 0));
  for (const { id, contents } of articles) {
    const kits = opened.get(id) ?? 0;
    add(id, -kits);
    for (const part of contents) add(part.articleId, kits * part.quantity);
  }
  for (const { articleId, quantity, column } of model.served)
    add(articleId, -quantity * (values[column] ?? 0));
  return articles.map(({ id }) => ({ articleId: id, quantity: roundQuantity(left.get(id) ?? 0) }));
}

/** What to buy; null where the solver found nothing in its time. */
export function planBuying(
  instance: BuyingInstance,
  solve: SolveMip,
  effort: Effort,
  {
    manner = 'free',
    locked = new Map(),
    onBetter,
  }: {
    readonly manner?: BuyingManner;
    readonly locked?: LockedPacks;
    readonly onBetter?: (cost: number, bound: number) => void;
  } = {},
): BuyingPlan | null {
  const model = buyingModel(instance, manner, locked);
  const solution = solve(model.mip, effort, onBetter);
  if (!solution) return null;
  const { values, cost, bound } = solution;
  const lines = instance.offers.flatMap((offer, at) => {
    const packs = values[model.packs[at] ?? -1] ?? 0;
    return packs > 0 ? [{ offer, packs }] : [];
  });
  const goodsMinor = goodsOf(lines);
  const carriageMinor = instance.suppliers.reduce((sum, supplier) => {
    const own = lines.filter(({ offer }) => offer.supplierId === supplier.id);
    return sum + carriageFor(supplier, goodsOf(own));
  }, 0);
  const opened = openedOf(model, values);
  const count = (columns: readonly number[]) =>
    columns.reduce((sum, column) => sum + (values[column] ?? 0), 0);
  return {
    lines,
    opened,
    goodsMinor,
    carriageMinor,
    costMinor: goodsMinor + carriageMinor,
    waiting: count(model.waiting),
    uncovered: count(model.uncovered),
    left: leftOf(model, values, instance, opened),
    gap: cost > 0 ? Math.max(0, (cost - bound) / cost) : 0,
  };
}
