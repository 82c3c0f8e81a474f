import type { StockUnit } from '../../units/stock.js';

/** One of the articles that a service may take, and how much of it. */
export interface ServiceArticle {
  readonly articleId: string;
  readonly quantity: number;
}

/** Something that is to be done, for one component: it takes one of `articles`, the preferred first. */
export interface Service {
  /** days from today */
  readonly day: number;
  readonly articles: readonly ServiceArticle[];
}

/** An article as far as buying goes. */
export interface BuyingArticle {
  readonly id: string;
  readonly unit: StockUnit;
  /** pieces or litres */
  readonly onHand: number;
  /** what is to lie there in the end, whatever comes */
  readonly keep: number;
  /** what was ordered already: days from today, and how much */
  readonly arrivals: readonly { readonly day: number; readonly quantity: number }[];
  /** of a kit: what it holds */
  readonly contents: readonly ServiceArticle[];
}

/** What a supplier sells an article in. */
export interface Offer {
  readonly id: string;
  readonly articleId: string;
  readonly supplierId: string;
  /** pieces or litres in one pack or container */
  readonly pack: number;
  /** of one pack, in minor units */
  readonly priceMinor: number;
  /** days from the order to the shelf */
  readonly leadDays: number;
}

export interface BuyingSupplier {
  readonly id: string;
  /** of an order, in minor units */
  readonly carriageMinor: number;
  /** orders from this worth on are carried free; null where none is */
  readonly freeFromMinor: number | null;
}

/** What is to be covered, and from where: plain data that goes to a worker whole. */
export interface BuyingInstance {
  readonly services: readonly Service[];
  readonly articles: readonly BuyingArticle[];
  readonly offers: readonly Offer[];
  readonly suppliers: readonly BuyingSupplier[];
}

/** What may be bought besides, to compare: only loose parts, or kits for whatever a kit holds. */
export type BuyingManner = 'free' | 'loose' | 'kits';

/** What the lead has settled: so many packs of an offer, no more and no fewer. */
export type LockedPacks = ReadonlyMap<string, number>;

/** What a service costs that waits until the next arrival, in minor units: dearer than carriage, cheaper than ever so many parts. */
export const WAIT_MINOR = 5_000;
/** What a service costs that cannot be done at all, and a piece or litre that is to be kept and is not. */
export const UNCOVERED_MINOR = 500_000;
/** What is least missed decides between equals: a kit left closed, and the preferred article. */
export const OPEN_KIT_MINOR = 0.5;
export const SECOND_CHOICE_MINOR = 0.25;
