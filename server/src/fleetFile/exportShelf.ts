import type { FileArticleDto, FileFitDto, FileShelfDto, FileSupplierDto } from '@yugator/contracts';
import { Op } from 'sequelize';
import { grouped } from '../database/grouped.js';
import { known } from '../database/known.js';
import { OfferRow, Supplier } from '../models/buying.model.js';
import { Article, FitRow, KitPartRow, Movement } from '../models/shelf.model.js';
import { storedTraits } from '../shelf/articleTraits.js';

/** What lies there, by article, in the order in which it came in. */
async function lotsByArticle(): Promise<ReadonlyMap<string, FileArticleDto['lots']>> {
  const rows = await Movement.findAll({
    where: { voidedAt: null, leftQuantity: { [Op.gt]: 0 } },
    attributes: ['articleId', 'leftQuantity', 'leftMinor', 'container'],
    order: ['movedAt', 'id'],
  });
  return new Map(
    [...grouped(rows, ({ articleId }) => articleId)].map(([id, own]) => [
      id,
      own.map(({ leftQuantity, leftMinor, container }) => ({
        left: leftQuantity ?? 0,
        leftMinor: leftMinor ?? 0,
        container,
      })),
    ]),
  );
}

/** The shelf with its suppliers, and what fits each machine, by names. Movements and orders stay behind. */
export async function exportShelf(
  currency: string,
): Promise<{ shelf: FileShelfDto; fits: ReadonlyMap<string, FileFitDto[]> }> {
  const [articles, parts, lots, suppliers, offers, fits] = await Promise.all([
    Article.findAll({ order: ['name'] }),
    KitPartRow.findAll(),
    lotsByArticle(),
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
          lots: [...(lots.get(article.id) ?? [])],
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
  { contents, lots }: Pick<FileArticleDto, 'contents' | 'lots'>,
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
    lots,
  };
}

function toFileSupplier(
  { name, leadDays, carriageMinor, freeFromMinor, note, retiredAt }: Supplier,
  offers: FileSupplierDto['offers'],
): FileSupplierDto {
  return { name, leadDays, carriageMinor, freeFromMinor, note, isRetired: retiredAt !== null, offers };
}
