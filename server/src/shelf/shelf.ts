import { Injectable } from '@nestjs/common';
import type {
  ArticleDto,
  CountResultDto,
  CountSheetDto,
  CreateArticleDto,
  DrawDto,
  ShortArticleDto,
  StockActDto,
  UpdateArticleDto,
} from '@yugator/contracts';
import {
  countCorrection,
  countDifference,
  countTotals,
  kitPartPrice,
  onHand,
  isShort,
  stockState,
} from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { Clock } from '../clock/clock.js';
import { grouped } from '../database/grouped.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Job } from '../models/job.model.js';
import { Machine } from '../models/machine.model.js';
import { namesById } from '../people/namesById.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';
import { Article, KitPartRow, Movement } from '../models/shelf.model.js';
import { countFaults } from './countFaults.js';
import { articleFaults, columnsOf } from './articleFields.js';
import { contentFaults, leftFaults, partsByKit } from './kitParts.js';
import { toArticleDto } from './toArticleDto.js';

/** Kits, parts and fluids, and the book of their movements. */
@Injectable()
export class Shelf {
  constructor(
    private readonly work: UnitOfWork,
    private readonly clock: Clock,
  ) {}

  /** All articles by name, each with what is on hand and its latest movements. */
  async list(): Promise<ArticleDto[]> {
    const [articles, movements, names, tags, parts] = await Promise.all([
      Article.findAll({ order: ['name'] }),
      Movement.findAll({
        order: [
          ['movedAt', 'DESC'],
          ['id', 'DESC'],
        ],
        raw: true,
      }),
      namesById(),
      this.tagsByJob(),
      partsByKit(),
    ]);
    const byArticle = grouped(movements, ({ articleId }) => articleId);
    return articles.map((article) =>
      toArticleDto(article, byArticle.get(article.id) ?? [], parts.get(article.id) ?? [], { names, tags }),
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

  /** Books stock that came in, or brings the book to what was counted. */
  async act(id: string, { kind, quantity, note }: StockActDto, caller: Person): Promise<ArticleDto> {
    return this.work.run(async () => {
      const article = await Article.findByPk(id, { lock: true });
      if (!article) throw notFound('article');
      if (kind === 'received' && quantity === 0) {
        throw fieldProblem(fault('/quantity', 'nothing', 'Type how much came in, more than 0.'));
      }
      const booked = (await this.onHandById()).get(id) ?? 0;
      await this.move(
        article,
        kind,
        kind === 'received' ? quantity : countCorrection(booked, quantity),
        caller,
        { note: note ?? '' },
      );
      return this.get(id);
    });
  }

  /** Books a count of many articles, all of it or nothing; what moved since it was counted is to be counted anew. */
  async count({ lines, note = '' }: CountSheetDto, caller: Person): Promise<CountResultDto> {
    return this.work.run(async () => {
      const where = { id: lines.map(({ articleId }) => articleId) };
      const articles = await Article.findAll({ where, order: ['id'], lock: true });
      const booked = await this.onHandById();
      const faults = countFaults(lines, articles, booked);
      if (faults.length) throw fieldProblem(...faults);
      const differences = lines.flatMap((line) => {
        const article = articles.find(({ id }) => id === line.articleId);
        return article ? [{ article, ...countDifference(line, article.priceMinor) }] : [];
      });
      const differing = differences.filter(({ quantity }) => quantity !== 0);
      for (const { article, quantity } of differing)
        await this.move(article, 'counted', quantity, caller, { note });
      const { missing, besides } = countTotals(differing);
      return {
        counted: lines.length,
        differing: differing.length,
        missingMinor: missing,
        besidesMinor: besides,
      };
    });
  }

  /** Draws what a job used, inside the running unit of work. What it left of kits goes on the shelf as loose parts. */
  async draw(draws: readonly DrawDto[], jobId: string, caller: Person): Promise<void> {
    const ids = draws.flatMap(({ articleId, left = [] }) => [
      articleId,
      ...left.map((each) => each.articleId),
    ]);
    const articles = await Article.findAll({ where: { id: ids }, order: ['id'], lock: true });
    const parts = await partsByKit(draws.map(({ articleId }) => articleId));
    const faults = draws.flatMap((draw, at) =>
      leftFaults(draw, parts.get(draw.articleId) ?? [], `/draws/${at}`),
    );
    if (faults.length) throw fieldProblem(...faults);
    for (const [index, draw] of draws.entries()) {
      const article = articles.find((candidate) => candidate.id === draw.articleId);
      if (!article) {
        throw fieldProblem(
          fault(
            `/draws/${index}/articleId`,
            'unknown',
            'This article is no longer on the shelf. Choose another.',
          ),
        );
      }
      await this.move(article, 'drawn', -draw.quantity, caller, { jobId });
      for (const { articleId, quantity } of draw.left ?? []) {
        const part = articles.find(({ id }) => id === articleId);
        if (!part) throw notFound('part of the kit');
        const priceMinor = kitPartPrice(article.priceMinor, parts.get(article.id) ?? [], articleId) ?? 0;
        await this.move(part, 'left', quantity, caller, { jobId, priceMinor });
      }
    }
  }

  /** Gives back what a job drew, inside the running unit of work. */
  async giveBack(jobId: string): Promise<void> {
    await Movement.update({ voidedAt: new Date(this.clock.now()) }, { where: { jobId, voidedAt: null } });
    this.work.changed('shelf');
  }

  /** Since when it is no longer bought, as somebody says now. */
  private retiredAt({ retiredAt }: Article, isRetired: boolean | undefined): Date | null {
    if (isRetired === undefined) return retiredAt;
    return isRetired ? (retiredAt ?? new Date(this.clock.now())) : null;
  }

  private async get(id: string): Promise<ArticleDto> {
    const article = (await this.list()).find((candidate) => candidate.id === id);
    if (!article) throw notFound('article');
    return article;
  }

  private async move(
    article: Article,
    kind: Movement['kind'],
    quantity: number,
    caller: Person,
    more: { note?: string; jobId?: string; priceMinor?: number },
  ): Promise<void> {
    await Movement.create({
      id: uuid(),
      articleId: article.id,
      kind,
      quantity,
      priceMinor: more.priceMinor ?? article.priceMinor,
      movedAt: new Date(this.clock.now()),
      movedById: caller.id,
      jobId: more.jobId ?? null,
      note: more.note ?? '',
    });
    this.work.changed('shelf');
  }

  private async tagsByJob(): Promise<ReadonlyMap<string, string>> {
    const jobs = await Job.findAll({ attributes: ['id', 'machineId'], raw: true });
    const machines = await Machine.findAll({ attributes: ['id', 'tag'], raw: true });
    const tags = new Map(machines.map((machine) => [machine.id, machine.tag]));
    return new Map(jobs.map((job) => [job.id, tags.get(job.machineId) ?? '']));
  }
}
