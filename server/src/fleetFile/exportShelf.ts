import type {
  FileArticleDto,
  FileFitDto,
  FileMovementDto,
  FileShelfDto,
  FileSupplierDto,
} from '@yugator/contracts';
import { grouped } from '../database/grouped.js';
import { known } from '../database/known.js';
import { OfferRow, Supplier } from '../models/buying.model.js';
import { Article, FitRow, KitPartRow } from '../models/shelf.model.js';
import { storedTraits } from '../shelf/articleTraits.js';
import { movementsByArticle } from './exportMovements.js';

/** The shelf with its suppliers, and what fits each machine, by names. Orders stay behind. */
export async function exportShelf(
  currency: string,
): Promise<{ shelf: FileShelfDto; fits: ReadonlyMap<string, FileFitDto[]> }> {
  const [articles, parts, movements, suppliers, offers, fits] = await Promise.all([
    Article.findAll({ order: ['name'] }),
    KitPartRow.findAll(),
    movementsByArticle(),
    Supplier.findAll({ order: ['name'] }),
    OfferRow.findAll({ order: ['pack'] }),
    FitRow.findAll(),
  ]);
  const names = new Map(articles.map(({ id, name }) => [id, name]));
  const nameOf = (id: string) => known(names, id);
  const byName = (a: { article: string }, b: { article: string }) => a.article.localeCompare(b.article);
  const partsByKit = grouped(parts, ({ kitId }) => kitId);
  const offersBySupplier = grouped(offers, ({ supplierId }) => supplierId);
  return {
    shelf: {
      currency,
      articles: articles.map((article) =>
        toFileArticle(article, {
          contents: (partsByKit.get(article.id) ?? [])
            .map(({ articleId, quantity }) => ({ article: nameOf(articleId), quantity }))
            .sort(byName),
          movements: movements.get(article.id) ?? [],
        }),
      ),
      suppliers: suppliers.map((supplier) =>
        toFileSupplier(
          supplier,
          (offersBySupplier.get(supplier.id) ?? [])
            .map(({ articleId, number, pack, priceMinor, leadDays }) => ({
              article: nameOf(articleId),
              number,
              pack,
              priceMinor,
              leadDays,
            }))
            .sort(byName),
        ),
      ),
    },
    fits: new Map(
      [...grouped(fits, ({ machineId }) => machineId)].map(([id, own]) => [
        id,
        own
          .map(({ component, articleId, quantity, standing, reason }) => ({
            component,
            article: nameOf(articleId),
            quantity,
            standing,
            reason,
          }))
          .sort((a, b) => a.component.localeCompare(b.component) || byName(a, b)),
      ]),
    ),
  };
}

function toFileArticle(
  article: Article,
  { contents, movements }: { contents: FileArticleDto['contents']; movements: FileMovementDto[] },
): FileArticleDto {
  const { makerNumbers, fluid, filter, plug } = storedTraits(article);
  return {
    name: article.name,
    kind: article.kind,
    unit: article.unit,
    leastOnHand: article.leastOnHand,
    priceMinor: article.priceMinor,
    number: article.number ?? '',
    barcode: article.barcode ?? '',
    place: article.place,
    component: article.component,
    makerNumbers,
    fluid,
    filter,
    plug,
    isRetired: article.retiredAt !== null,
    contents,
    // They follow from the movements.
    lots: [],
    movements,
  };
}

function toFileSupplier(
  { name, leadDays, carriageMinor, freeFromMinor, note, retiredAt }: Supplier,
  offers: FileSupplierDto['offers'],
): FileSupplierDto {
  return { name, leadDays, carriageMinor, freeFromMinor, note, isRetired: retiredAt !== null, offers };
}
