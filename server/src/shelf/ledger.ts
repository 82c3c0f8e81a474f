import { Injectable } from '@nestjs/common';
import type { CountResultDto, CountSheetDto, DrawDto, SettleShedDto, StockActDto } from '@yugator/contracts';
import { countCorrection, countDifference, countTotals, goesOut, leftWorth } from '@yugator/core';
import { Op } from 'sequelize';
import { v7 as uuid } from 'uuid';
import { Clock } from '../clock/clock.js';
import { inChunks } from '../database/inChunks.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import type { Person } from '../models/person.model.js';
import { Article, Movement } from '../models/shelf.model.js';
import { fieldProblem, notFound } from '../problem/problem.js';
import { actFaults } from './actFaults.js';
import { countFaults } from './countFaults.js';
import { drawFaults } from './drawFaults.js';
import { partsByKit } from './kitParts.js';
import { shedFaults, shedNames, ShedStocks, unsaidFaults } from './shedStocks.js';
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
  readonly shed: string | null;
}

/** What arrived of an article. */
interface CameIn {
  readonly articleId: string;
  readonly quantity: number;
  readonly valueMinor: number;
  readonly container: number | null;
}

/** For what, and where, something is drawn. */
interface DrawnFor {
  readonly jobId: string;
  /** in which the machine stands */
  readonly shed: string;
}

/** The lots of some articles, and in which sheds they lie, through one unit of work. */
interface Books {
  readonly lots: StockBook;
  readonly sheds: ShedStocks;
}

async function readBooks(articleIds: readonly string[]): Promise<Books> {
  const [lots, sheds] = await Promise.all([StockBook.read(articleIds), ShedStocks.read(articleIds)]);
  return { lots, sheds };
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

  /** Books stock that came in, came back, went away or went to another shed, or brings the book to what was counted in a shed. */
  async act(id: string, fields: StockActDto, caller: Person): Promise<void> {
    await this.work.run(async () => {
      const [article] = await lockArticles([id]);
      if (!article) throw notFound('article');
      const books = await readBooks([id]);
      const shed = fields.shed || null;
      const booked = books.sheds.onHand(id, shed);
      const faults = actFaults(fields, article, books.sheds);
      if (faults.length) throw fieldProblem(...faults);
      const { kind, quantity, note = '', toShed } = fields;
      if (kind === 'received') await this.bookReceived(books, article, fields, caller);
      else if (kind === 'moved') await this.carry(article, shed, toShed || null, { quantity, note }, caller);
      else {
        const more = kind === 'counted' ? countCorrection(booked, quantity) : quantity;
        const moved = { kind, note, shed, quantity: goesOut(kind) ? -more : more };
        await this.move(books, article, moved, caller);
      }
      await books.lots.write();
    });
  }

  /** Says of all that lies where nobody said in which shed: in this one. */
  async settle({ shed }: SettleShedDto, caller: Person): Promise<void> {
    await this.work.run(async () => {
      const faults = shedFaults(shed, await shedNames());
      if (faults.length) throw fieldProblem(...faults);
      const articles = await Article.findAll({ order: ['id'], lock: true });
      const stocks = await ShedStocks.read(articles.map(({ id }) => id));
      const note = 'Where it lay was said later';
      const rows = articles.flatMap((article) => {
        const quantity = stocks.onHand(article.id, null);
        return quantity === 0 ? [] : this.carried(article, null, shed, { quantity, note }, caller);
      });
      await inChunks(rows, (chunk) => Movement.bulkCreate(chunk));
      this.work.changed('shelf');
    });
  }

  /** Books what arrived of an order, inside the running unit of work. What was paid last is what the next one is thought to cost. */
  async receive(
    came: readonly CameIn[],
    { note, shed }: { note: string; shed: string | null },
    caller: Person,
  ): Promise<void> {
    const articles = await lockArticles(came.map(({ articleId }) => articleId));
    const books = await readBooks(articles.map(({ id }) => id));
    const { names } = books.sheds;
    const faults = [...shedFaults(shed, names), ...unsaidFaults(shed, names, false)];
    if (faults.length) throw fieldProblem(...faults);
    for (const { articleId, quantity, valueMinor, container } of came) {
      const article = articles.find(({ id }) => id === articleId);
      if (!article) throw notFound('article');
      const moved = { kind: 'received' as const, quantity, valueMinor, container, note, shed };
      await this.move(books, article, moved, caller);
      const priceMinor = Math.round(valueMinor / quantity);
      if (priceMinor !== article.priceMinor)
        await article.update({ priceMinor, version: article.version + 1 });
    }
    await books.lots.write();
  }

  /** Books a count of many articles, all of it or nothing; what moved since it was counted is to be counted anew. */
  async count({ lines, note = '', shed: where }: CountSheetDto, caller: Person): Promise<CountResultDto> {
    return this.work.run(async () => {
      const articles = await lockArticles(lines.map(({ articleId }) => articleId));
      const books = await readBooks(articles.map(({ id }) => id));
      const shed = where || null;
      const isUnsaid = articles.some(({ id }) => books.sheds.onHand(id, null) !== 0);
      const inWhich = [
        ...shedFaults(shed, books.sheds.names),
        ...unsaidFaults(shed, books.sheds.names, isUnsaid),
      ];
      if (inWhich.length) throw fieldProblem(...inWhich);
      const faults = countFaults(lines, articles, (id) => books.sheds.onHand(id, shed));
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
          valueMinor: await this.move(books, article, { kind: 'counted', quantity, note, shed }, caller),
        });
      await books.lots.write();
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
   * Draws what a job used, inside the running unit of work: of the shed in which its machine stands, then of others. What it left of
   * kits goes on the shelf there as loose parts, at their share of what the kits cost. More than is there is drawn all the same, for
   * the work was done; the shelf then asks for a count.
   */
  async draw(draws: readonly DrawDto[], { jobId, shed }: DrawnFor, caller: Person): Promise<void> {
    if (draws.length === 0) return;
    const ids = draws.flatMap(({ articleId, left = [] }) => [
      articleId,
      ...left.map((each) => each.articleId),
    ]);
    const articles = new Map((await lockArticles(ids)).map((article) => [article.id, article]));
    const parts = await partsByKit(draws.map(({ articleId }) => articleId));
    const books = await readBooks([...articles.keys()]);
    const faults = drawFaults(draws, articles, parts, (id) => books.lots.onHand(id));
    if (faults.length) throw fieldProblem(...faults);
    const home = books.sheds.home(shed);
    for (const { articleId, quantity, left = [] } of draws) {
      const article = articles.get(articleId);
      if (!article) throw notFound('article');
      let costMinor = 0;
      for (const part of books.sheds.taken(articleId, home, quantity)) {
        const drawn = { kind: 'drawn' as const, quantity: -part.quantity, shed: part.shed, jobId };
        costMinor -= await this.move(books, article, drawn, caller);
      }
      for (const each of left) {
        const part = articles.get(each.articleId);
        if (!part) throw notFound('part of the kit');
        const valueMinor = leftWorth(costMinor, quantity, parts.get(articleId) ?? [], each) ?? 0;
        const loose = { kind: 'left' as const, quantity: each.quantity, shed: home, jobId, valueMinor };
        await this.move(books, part, loose, caller);
      }
    }
    await books.lots.write();
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

  private async bookReceived(
    books: Books,
    article: Article,
    { kind, quantity, note = '', container = null, priceMinor, shed }: StockActDto,
    caller: Person,
  ): Promise<void> {
    const price = priceMinor ?? article.priceMinor;
    const valueMinor = Math.round(quantity * price);
    const moved = { kind, quantity, note, container, valueMinor, shed: shed || null };
    await this.move(books, article, moved, caller);
    // What was paid last is what the next one is thought to cost.
    if (price !== article.priceMinor)
      await article.update({ priceMinor: price, version: article.version + 1 });
  }

  /** The two movements by which so much is carried from one shed to another: of its worth and its lots nothing changes. */
  private carried(
    article: Article,
    from: string | null,
    to: string | null,
    { quantity, note }: { quantity: number; note: string },
    caller: Person,
  ) {
    const row = {
      articleId: article.id,
      kind: 'moved' as const,
      valueMinor: 0,
      movedAt: new Date(this.clock.now()),
      movedById: caller.id,
      jobId: null,
      note,
    };
    return [
      { ...row, id: uuid(), shed: from, quantity: -quantity },
      { ...row, id: uuid(), shed: to, quantity },
    ];
  }

  private async carry(
    article: Article,
    from: string | null,
    to: string | null,
    what: { quantity: number; note: string },
    caller: Person,
  ): Promise<void> {
    await Movement.bulkCreate(this.carried(article, from, to, what, caller));
    this.work.changed('shelf');
  }

  /** Books a movement; returns what the worth of the shelf changed by. */
  private async move(
    { lots, sheds }: Books,
    article: Article,
    { kind, quantity, note = '', jobId, valueMinor: worth, container = null, shed }: Moved,
    caller: Person,
  ): Promise<number> {
    const id = uuid();
    const isIn = quantity > 0;
    const valueMinor = isIn
      ? (worth ?? Math.round(quantity * article.priceMinor))
      : 0 - lots.takeOut(article.id, id, -quantity, article.priceMinor);
    await Movement.create({
      id,
      articleId: article.id,
      kind,
      quantity,
      valueMinor,
      container: isIn ? container : null,
      shed,
      movedAt: new Date(this.clock.now()),
      movedById: caller.id,
      jobId: jobId ?? null,
      note,
    });
    if (isIn) lots.comeIn(article.id, id, quantity, valueMinor);
    sheds.move(article.id, shed, quantity);
    this.work.changed('shelf');
    return valueMinor;
  }
}
