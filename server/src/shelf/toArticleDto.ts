import type { ArticleDto, KitPartDto, LotDto, MovementDto } from '@yugator/contracts';
import { onHand, stockBySheds, stockState } from '@yugator/core';
import type { Article, Movement } from '../models/shelf.model.js';
import { storedTraits } from './articleTraits.js';

/** Movements of an article that go over the wire. */
const MOVEMENTS_SHOWN = 10;

/** What the movements of an article are told with. */
interface Known {
  /** people by id */
  readonly names: ReadonlyMap<string, string>;
  /** machines by the id of a job */
  readonly tags: ReadonlyMap<string, string>;
}

interface KnownOfArticle extends Known {
  /** paths of photos by article */
  readonly photos: ReadonlyMap<string, string>;
}

/** A movement as it is told. */
export function toMovementDto(movement: Movement, { names, tags }: Known): MovementDto {
  return {
    at: movement.movedAt.toISOString(),
    quantity: movement.quantity,
    valueMinor: movement.valueMinor,
    kind: movement.kind,
    shed: movement.shed,
    by: names.get(movement.movedById ?? '') ?? null,
    machineTag: tags.get(movement.jobId ?? '') ?? null,
    note: movement.note,
    voided: movement.voidedAt !== null,
  };
}

/** What is still there of what came in, the earlier first; `own`: movements, latest first. */
function lotsOf(own: readonly Movement[]): LotDto[] {
  return [...own]
    .reverse()
    .flatMap(({ leftQuantity, leftMinor, container }) =>
      leftQuantity !== null && leftQuantity > 0
        ? [{ left: leftQuantity, leftMinor: leftMinor ?? 0, container }]
        : [],
    );
}

/** An article with what is on hand; `own`: its movements, latest first. */
export function toArticleDto(
  article: Article,
  own: readonly Movement[],
  contents: KitPartDto[],
  known: KnownOfArticle,
): ArticleDto {
  const counting = own.filter((movement) => movement.voidedAt === null);
  const quantity = onHand(counting);
  const isRetired = article.retiredAt !== null;
  return {
    id: article.id,
    name: article.name,
    kind: article.kind,
    unit: article.unit,
    leastOnHand: article.leastOnHand,
    priceMinor: article.priceMinor,
    onHand: quantity,
    sheds: stockBySheds(counting),
    lots: lotsOf(own),
    // Nothing is wanted of what is no longer bought.
    state: stockState(quantity, isRetired ? 0 : article.leastOnHand),
    number: article.number ?? '',
    barcode: article.barcode ?? '',
    place: article.place,
    component: article.component,
    ...storedTraits(article),
    isRetired,
    photo: known.photos.get(article.id) ?? null,
    contents,
    version: article.version,
    movements: own.slice(0, MOVEMENTS_SHOWN).map((movement) => toMovementDto(movement, known)),
  };
}
