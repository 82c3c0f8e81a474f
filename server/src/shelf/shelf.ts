import { Injectable } from '@nestjs/common';
import type { ArticleDto, CreateArticleDto, ShortArticleDto, UpdateArticleDto } from '@yugator/contracts';
import { isShort, onHand, stockState } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { Clock } from '../clock/clock.js';
import { grouped } from '../database/grouped.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { namesById } from '../people/namesById.js';
import { fieldProblem, notFound, stale } from '../problem/problem.js';
import { Article, KitPartRow, Movement } from '../models/shelf.model.js';
import { articlePhotoPaths } from './articlePhotos.js';
import { articleFaults, columnsOf } from './articleFields.js';
import { contentFaults, partsByKit } from './kitParts.js';
import { tagsByJob } from './tagsByJob.js';
import { toArticleDto } from './toArticleDto.js';

/** Kits, parts and fluids, and what is on hand of them. */
@Injectable()
export class Shelf {
  constructor(
    private readonly work: UnitOfWork,
    private readonly clock: Clock,
  ) {}

  /** An article as it stands. */
  async get(id: string): Promise<ArticleDto> {
    const [article] = await this.list([id]);
    if (!article) throw notFound('article');
    return article;
  }

  /** Articles by name, each with what is on hand and its latest movements; all of them where no ids are given. */
  async list(ids?: readonly string[]): Promise<ArticleDto[]> {
    const [articles, movements, names, parts, photos] = await Promise.all([
      Article.findAll({ where: ids ? { id: [...ids] } : {}, order: ['name'] }),
      Movement.findAll({
        where: ids ? { articleId: [...ids] } : {},
        order: [
          ['movedAt', 'DESC'],
          ['id', 'DESC'],
        ],
        raw: true,
      }),
      namesById(),
      partsByKit(ids),
      articlePhotoPaths(ids),
    ]);
    // Of all articles nearly every job drew something.
    const tags = await tagsByJob(ids ? movements.flatMap(({ jobId }) => jobId ?? []) : undefined);
    const byArticle = grouped(movements, ({ articleId }) => articleId);
    return articles.map((article) =>
      toArticleDto(article, byArticle.get(article.id) ?? [], parts.get(article.id) ?? [], {
        names,
        tags,
        photos,
      }),
    );
  }

  /** The articles that are out or below what should be on hand. */
  async short(): Promise<ShortArticleDto[]> {
    const [articles, stock] = await Promise.all([
      Article.findAll({ where: { retiredAt: null }, order: ['name'] }),
      this.onHandById(),
    ]);
    return articles.flatMap(({ id, name, unit, leastOnHand }) => {
      const quantity = stock.get(id) ?? 0;
      return isShort(stockState(quantity, leastOnHand))
        ? [{ id, name, unit, leastOnHand, onHand: quantity }]
        : [];
    });
  }

  async onHandById(): Promise<ReadonlyMap<string, number>> {
    const movements = await Movement.findAll({
      where: { voidedAt: null },
      attributes: ['articleId', 'quantity'],
      raw: true,
    });
    const byArticle = grouped(movements, ({ articleId }) => articleId);
    return new Map([...byArticle].map(([id, own]) => [id, onHand(own)]));
  }

  /** Those of `ids` that are fluids kept by the litre, by their ids. */
  async fluids(ids: readonly string[]): Promise<ReadonlyMap<string, Article>> {
    if (ids.length === 0) return new Map();
    const articles = await Article.findAll({ where: { id: [...ids], kind: 'fluid', unit: 'litre' } });
    return new Map(articles.map((article) => [article.id, article]));
  }

  async create(fields: CreateArticleDto): Promise<ArticleDto> {
    return this.work.run(async () => {
      const columns = columnsOf(fields, null);
      const faults = await articleFaults(fields.kind, columns, null);
      if (faults.length) throw fieldProblem(...faults);
      const article = await Article.create({ kind: fields.kind, unit: fields.unit, ...columns, id: uuid() });
      this.work.changed('shelf');
      return this.get(article.id);
    });
  }

  /** Changes what is said of an article; what it is, and how it is counted, stays. */
  async update(
    id: string,
    { contents, version, isRetired, ...fields }: UpdateArticleDto,
  ): Promise<ArticleDto> {
    return this.work.run(async () => {
      const article = await Article.findByPk(id, { lock: true });
      if (!article) throw notFound('article');
      if (article.version !== version) throw stale('article', await this.get(id));
      const columns = columnsOf(fields, article);
      const faults = [
        ...(await articleFaults(article.kind, columns, id)),
        ...(await contentFaults(article, contents)),
      ];
      if (faults.length) throw fieldProblem(...faults);
      await article.update({
        ...columns,
        retiredAt: this.retiredAt(article, isRetired),
        version: version + 1,
      });
      await KitPartRow.destroy({ where: { kitId: id } });
      await KitPartRow.bulkCreate(contents.map((part) => ({ ...part, kitId: id })));
      this.work.changed('shelf');
      return this.get(id);
    });
  }

  /** Since when it is no longer bought, as somebody says now. */
  private retiredAt({ retiredAt }: Article, isRetired: boolean | undefined): Date | null {
    if (isRetired === undefined) return retiredAt;
    return isRetired ? (retiredAt ?? new Date(this.clock.now())) : null;
  }
}
