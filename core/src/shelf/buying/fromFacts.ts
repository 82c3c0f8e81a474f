import { addDays, daysBetween } from '../../calendar/civilDate.js';
import type { CivilDate } from '../../calendar/civilDate.js';
import type { StockUnit } from '../../units/stock.js';
import { firstDayOf } from '../demand.js';
import { roundQuantity } from '../ledger.js';
import type { Demand } from '../demand.js';
import type { BuyingInstance, Offer, Service, ServiceArticle } from './instance.js';

/** Work that is coming: one of `articles`, the preferred first. */
export interface ComingNeed extends Omit<Demand, 'quantity'> {
  readonly articles: readonly { readonly articleId: string; readonly quantity: number }[];
}

interface FactArticle {
  readonly id: string;
  readonly unit: StockUnit;
  readonly onHand: number;
  readonly leastOnHand: number;
  readonly contents: readonly { readonly articleId: string; readonly quantity: number }[];
  readonly arrivals: readonly { readonly on: CivilDate; readonly quantity: number }[];
}

interface FactSupplier {
  readonly id: string;
  readonly leadDays: number;
  readonly carriageMinor: number;
  readonly freeFromMinor: number | null;
  readonly offers: readonly {
    readonly articleId: string;
    readonly pack: number;
    readonly priceMinor: number;
    readonly leadDays: number | null;
  }[];
}

/** All that what to buy follows from. */
export interface BuyingFacts {
  readonly today: CivilDate;
  readonly weeks: number;
  readonly works: readonly ComingNeed[];
  readonly articles: readonly FactArticle[];
  readonly suppliers: readonly FactSupplier[];
}

/** What tells an offer from others. */
export function offerId(
  supplierId: string,
  { articleId, pack }: { articleId: string; pack: number },
): string {
  return `${supplierId} ${articleId} ${pack}`;
}

/** A need counts where it may come within the time looked at by more than the risk that is taken; on the first day of which that is so. */
function serviceOf(need: ComingNeed, { today, weeks }: BuyingFacts, sure: number): Service[] {
  const day = firstDayOf(need, 1 - sure);
  const last = addDays(today, weeks * 7 - 1);
  const [first, ...others] = need.articles;
  if (day === null || day > last || !first) return [];
  return [{ day: Math.max(0, daysBetween(today, day)), articles: [first, ...others] }];
}

const WEEK = 7;

/** The one article of a service that takes a part of a piece, such as grease out of a cartridge; null of any other. */
function partOfPiece({ articles }: Service, pieces: ReadonlySet<string>): ServiceArticle | null {
  const [only, other] = articles;
  const isPart = only && !other && pieces.has(only.articleId) && !Number.isInteger(only.quantity);
  return isPart ? only : null;
}

/**
 * What is taken in parts of a piece many times a week is one need of the week, on its first day: nothing hangs on which of them it is,
 * and a solver would look at each. All else stays as it comes.
 */
function joinedByWeek(services: readonly Service[], pieces: ReadonlySet<string>): Service[] {
  const byWeek = new Map<string, { day: number; only: ServiceArticle }>();
  const others = services.filter((service) => {
    const part = partOfPiece(service, pieces);
    if (!part) return true;
    const key = `${part.articleId} ${Math.floor(service.day / WEEK)}`;
    const before = byWeek.get(key);
    const quantity = roundQuantity((before?.only.quantity ?? 0) + part.quantity);
    const day = Math.min(before?.day ?? service.day, service.day);
    byWeek.set(key, { day, only: { articleId: part.articleId, quantity } });
    return false;
  });
  return [...others, ...[...byWeek.values()].map(({ day, only }) => ({ day, articles: [only] }))];
}

function offersOf({ id, leadDays, offers }: FactSupplier): Offer[] {
  return offers.map((offer) => ({
    id: offerId(id, offer),
    articleId: offer.articleId,
    supplierId: id,
    pack: offer.pack,
    priceMinor: offer.priceMinor,
    leadDays: offer.leadDays ?? leadDays,
  }));
}

/** What is to be covered, as sure (0 to 1) as it has to be that there is enough. */
export function buyingInstance(facts: BuyingFacts, sure: number): BuyingInstance {
  const pieces = new Set(facts.articles.filter(({ unit }) => unit === 'piece').map(({ id }) => id));
  const services = facts.works.flatMap((need) => serviceOf(need, facts, sure));
  return {
    services: joinedByWeek(services, pieces),
    articles: facts.articles.map(({ id, unit, onHand, leastOnHand, contents, arrivals }) => ({
      id,
      unit,
      onHand,
      keep: leastOnHand,
      contents,
      arrivals: arrivals.map(({ on, quantity }) => ({
        day: Math.max(0, daysBetween(facts.today, on)),
        quantity,
      })),
    })),
    offers: facts.suppliers.flatMap(offersOf),
    suppliers: facts.suppliers.map(({ id, carriageMinor, freeFromMinor }) => ({
      id,
      carriageMinor,
      freeFromMinor,
    })),
  };
}
