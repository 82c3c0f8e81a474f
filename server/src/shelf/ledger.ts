import { Injectable } from '@nestjs/common';
import type { CountResultDto, CountSheetDto, DrawDto, StockActDto } from '@yugator/contracts';
import { countCorrection, countDifference, countTotals, goesOut, leftWorth } from '@yugator/core';
import { Op } from 'sequelize';
import { v7 as uuid } from 'uuid';
import { Clock } from '../clock/clock.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import type { Person } from '../models/person.model.js';
import { Article, Movement } from '../models/shelf.model.js';
import { fieldProblem, notFound } from '../problem/problem.js';
import { actFaults } from './actFaults.js';
import { countFaults } from './countFaults.js';
import { drawFaults } from './drawFaults.js';
import { partsByKit } from './kitParts.js';
import { StockBook } from './stockBook.js';

/** A movement that is to be booked; `quantity`: in above 0, out below. */
interface Moved {
  readonly kind: Movement['kind'];
  readonly quantity: number;
  readonly note?: string;
  readonly jobId?: string;
  /** of what comes in: what it is worth, where that is not the price of the article */
  readonly valueMinor?: number;
  readonly container?: number | null;
}

/** What arrived of an article. */
interface CameIn {
  readonly articleId: string;
  readonly quantity: number;
  readonly valueMinor: number;
  readonly container: number | null;
}

/** Locks articles, in one order for everybody: who draws or counts one waits for whoever does so already. */
function lockArticles(ids: readonly string[]): Promise<Article[]> {
  return Article.findAll({ where: { id: [...ids] }, order: ['id'], lock: true });
}

/** The book of movements: what came in, went out, and was counted. */
@Injectable()
export class Ledger {
  constructor(
    private readonly work: UnitOfWork,
    private readonly clock: Clock,
  ) {}

  /** Books stock that came in, came back or went away, or brings the book to what was counted. */
  async act(id: string, fields: StockActDto, caller: Person): Promise<void> {
    await this.work.run(async () => {
      const [article] = await lockArticles([id]);
      if (!article) throw notFound('article');
      const book = await StockBook.read([id]);
      const booked = book.onHand(id);
      const faults = actFaults(fields, article, booked);
      if (faults.length) throw fieldProblem(...faults);
      const { kind, quantity, note = '', container = null } = fields;
      const price = fields.priceMinor ?? article.priceMinor;
      if (kind === 'received') {
        const valueMinor = Math.round(quantity * price);
        await this.move(book, article, { kind, quantity, note, container, valueMinor }, caller);
        // What was paid last is what the next one is thought to cost.
        if (price !== article.priceMinor)
          await article.update({ priceMinor: price, version: article.version + 1 });
      } else {
        const more = kind === 'counted' ? countCorrection(booked, quantity) : quantity;
        await this.move(book, article, { kind, note, quantity: goesOut(kind) ? -more : more }, caller);
      }
      await book.write();
    });
  }

  /** Books what arrived of an order, inside the running unit of work. What was paid last is what the next one is thought to cost. */
  async receive(came: readonly CameIn[], note: string, caller: Person): Promise<void> {
    const articles = await lockArticles(came.map(({ articleId }) => articleId));
    const book = await StockBook.read(articles.map(({ id }) => id));
    for (const { articleId, quantity, valueMinor, container } of came) {
      const article = articles.find(({ id }) => id === articleId);
      if (!article) throw notFound('article');
      await this.move(book, article, { kind: 'received', quantity, valueMinor, container, note }, caller);
      const priceMinor = Math.round(valueMinor / quantity);
      if (priceMinor !== article.priceMinor)
        await article.update({ priceMinor, version: article.version + 1 });
    }
    await book.write();
  }

  /** Books a count of many articles, all of it or nothing; what moved since it was counted is to be counted anew. */
  async count({ lines, note = '' }: CountSheetDto, caller: Person): Promise<CountResultDto> {
    return this.work.run(async () => {
      const articles = await lockArticles(lines.map(({ articleId }) => articleId));
      const book = await StockBook.read(articles.map(({ id }) => id));
      const faults = countFaults(lines, articles, (id) => book.onHand(id));
      if (faults.length) throw fieldProblem(...faults);
      const differing = lines.flatMap((line) => {
        const article = articles.find(({ id }) => id === line.articleId);
        if (!article) return [];
        const { quantity } = countDifference(line, article.priceMinor);
        return quantity === 0 ? [] : [{ article, quantity }];
      });
      const moved: { quantity: number; valueMinor: number }[] = [];
      for (const { article, quantity } of differing)
        moved.push({
          quantity,
          valueMinor: await this.move(book, article, { kind: 'counted', quantity, note }, caller),
        });
      await book.write();
      const { missing, besides } = countTotals(moved);
      return {
        counted: lines.length,
        differing: differing.length,
        missingMinor: missing,
        besidesMinor: besides,
      };
    });
  }

  /**
   * Draws what a job used, inside the running unit of work. What it left of kits goes on the shelf as loose parts, at their share of
   * what the kits cost. More than is there is drawn all the same, for the work was done; the shelf then asks for a count.
   */
  async draw(draws: readonly DrawDto[], jobId: string, caller: Person): Promise<void> {
    if (draws.length === 0) return;
    const ids = draws.flatMap(({ articleId, left = [] }) => [
      articleId,
      ...left.map((each) => each.articleId),
    ]);
    const articles = new Map((await lockArticles(ids)).map((article) => [article.id, article]));
    const parts = await partsByKit(draws.map(({ articleId }) => articleId));
    const book = await StockBook.read([...articles.keys()]);
    const faults = drawFaults(draws, articles, parts, (id) => book.onHand(id));
    if (faults.length) throw fieldProblem(...faults);
    for (const { articleId, quantity, left = [] } of draws) {
      const article = articles.get(articleId);
      if (!article) throw notFound('article');
      const costMinor = -(await this.move(
        book,
        article,
        { kind: 'drawn', quantity: -quantity, jobId },
        caller,
      ));
      for (const each of left) {
        const part = articles.get(each.articleId);
        if (!part) throw notFound('part of the kit');
        const valueMinor = leftWorth(costMinor, quantity, parts.get(articleId) ?? [], each) ?? 0;
        await this.move(book, part, { kind: 'left', quantity: each.quantity, jobId, valueMinor }, caller);
      }
    }
    await book.write();
  }

  /** Gives back what a job drew, and takes back what it left, inside the running unit of work. */
  async giveBack(jobId: string): Promise<void> {
    const where = { jobId, voidedAt: { [Op.is]: null } };
    const articleIds = (await Movement.findAll({ where, attributes: ['articleId'], raw: true })).map(
      ({ articleId }) => articleId,
    );
    await lockArticles(articleIds);
    const movements = await Movement.findAll({ where });
    const book = await StockBook.read([...new Set(articleIds)], 'whole');
    for (const movement of movements) book.void(movement);
    await Movement.update({ voidedAt: new Date(this.clock.now()) }, { where });
    await book.write();
    this.work.changed('shelf');
  }

  /** Books a movement; returns what the worth of the shelf changed by. */
  private async move(
    book: StockBook,
    article: Article,
    { kind, quantity, note = '', jobId, valueMinor: worth, container = null }: Moved,
    caller: Person,
  ): Promise<number> {
    const id = uuid();
    const isIn = quantity > 0;
    const valueMinor = isIn
      ? (worth ?? Math.round(quantity * article.priceMinor))
      : 0 - book.takeOut(article.id, id, -quantity, article.priceMinor);
    await Movement.create({
      id,
      articleId: article.id,
      kind,
      quantity,
      valueMinor,
      container: isIn ? container : null,
      movedAt: new Date(this.clock.now()),
      movedById: caller.id,
      jobId: jobId ?? null,
      note,
    });
    if (isIn) book.comeIn(article.id, id, quantity, valueMinor);
    this.work.changed('shelf');
    return valueMinor;
  }
}
