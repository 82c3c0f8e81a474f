import type {
  FieldFaultDto,
  FileArticleDto,
  FileFitDto,
  FileShelfDto,
  FileSupplierDto,
  KnownShelf,
} from '@yugator/contracts';
import { nameKey } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { inChunks } from '../database/inChunks.js';
import { known } from '../database/known.js';
import { OfferRow, Supplier } from '../models/buying.model.js';
import { Article, FitRow, KitPartRow, Movement } from '../models/shelf.model.js';
import { columnsOf, traitFaults } from '../shelf/articleFields.js';
import type { Importer } from './fleetTask.js';

/** The shelf as it is here, for a file to be held against. */
export async function knownShelf(currency: string): Promise<KnownShelf> {
  const articles = await Article.findAll();
  return {
    currency,
    articles: new Map(
      articles.map(({ name, kind, unit, component, number, barcode }) => [
        nameKey(name),
        { name, kind, unit, component, codes: [number, barcode].filter((code) => code !== null) },
      ]),
    ),
  };
}

/** What of a file is not here yet: articles and suppliers that are here count as they are here. */
export interface NewOnShelf {
  readonly articles: readonly FileArticleDto[];
  readonly suppliers: readonly FileSupplierDto[];
}

export async function newOnShelf(shelf: FileShelfDto | null, here: KnownShelf): Promise<NewOnShelf> {
  if (!shelf) return { articles: [], suppliers: [] };
  const suppliers = new Set((await Supplier.findAll()).map(({ name }) => nameKey(name)));
  return {
    articles: shelf.articles.filter(({ name }) => !here.articles.has(nameKey(name))),
    suppliers: shelf.suppliers.filter(({ name }) => !suppliers.has(nameKey(name))),
  };
}

/** What speaks against the traits of the articles of a file, as it would when they are typed. */
export function traitFaultsOf(shelf: FileShelfDto | null, here: KnownShelf): FieldFaultDto[] {
  return (shelf?.articles ?? []).flatMap((article, at) =>
    here.articles.has(nameKey(article.name))
      ? []
      : traitFaults(article.kind, columnsOf(article, null)).map((each) => ({
          ...each,
          pointer: `#/file/shelf/articles/${at}${each.pointer.replace(/^#/, '')}`,
        })),
  );
}

/** What lies there of an article, as it came in: the `at`th of its lots. */
function cameIn(
  articleId: string,
  { left, leftMinor, container }: FileArticleDto['lots'][number],
  at: number,
  caller: Importer,
  now: Date,
) {
  return {
    id: uuid(),
    articleId,
    kind: 'received' as const,
    quantity: left,
    valueMinor: leftMinor,
    leftQuantity: left,
    leftMinor,
    container,
    // First in, first out: they came in in this order.
    movedAt: new Date(now.getTime() + at),
    movedById: caller.id,
    jobId: null,
    note: 'From a file',
    articleName: null,
    articleUnit: null,
    voidedAt: null,
  };
}

/** Writes what is not here yet: articles with what kits hold and what lies there, suppliers with what they sell. */
export async function writeShelf(
  { articles, suppliers }: NewOnShelf,
  caller: Importer,
  now: Date,
): Promise<void> {
  const fresh = articles.map((article) => ({ article, id: uuid() }));
  await inChunks(fresh, (chunk) =>
    Article.bulkCreate(
      chunk.map(({ article, id }) => ({
        ...columnsOf(article, null),
        id,
        kind: article.kind,
        unit: article.unit,
        retiredAt: article.isRetired ? now : null,
      })),
    ),
  );
  const ids = await articleIds();
  const parts = fresh.flatMap(({ article: { contents }, id: kitId }) =>
    contents.map(({ article, quantity }) => ({ kitId, articleId: known(ids, nameKey(article)), quantity })),
  );
  await inChunks(parts, (chunk) => KitPartRow.bulkCreate(chunk));
  await inChunks(
    fresh.flatMap(({ article: { lots }, id }) => lots.map((lot, at) => cameIn(id, lot, at, caller, now))),
    (chunk) => Movement.bulkCreate(chunk),
  );
  for (const { offers, isRetired, name, leadDays, carriageMinor, freeFromMinor, note } of suppliers) {
    const supplierId = uuid();
    const retiredAt = isRetired ? now : null;
    await Supplier.create({ id: supplierId, name, leadDays, carriageMinor, freeFromMinor, note, retiredAt });
    await OfferRow.bulkCreate(
      offers.map(({ article, number, pack, priceMinor, leadDays: days }) => ({
        supplierId,
        articleId: known(ids, nameKey(article)),
        number,
        pack,
        priceMinor,
        leadDays: days,
      })),
    );
  }
}

/** Ids of all articles, by the keys of their names. */
export async function articleIds(): Promise<ReadonlyMap<string, string>> {
  const articles = await Article.findAll({ attributes: ['id', 'name'], raw: true });
  return new Map(articles.map(({ id, name }) => [nameKey(name), id]));
}

/** Writes what fits a machine that is new. */
export async function writeFits(
  machineId: string,
  fits: readonly FileFitDto[],
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  await FitRow.bulkCreate(
    fits.map(({ component, article, quantity, standing, reason }) => ({
      machineId,
      component,
      articleId: known(ids, nameKey(article)),
      quantity,
      standing,
      reason,
    })),
  );
}
