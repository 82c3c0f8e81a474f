import type { CreationAttributes } from 'sequelize';
import { proposedDraw, roundQuantity } from '@yugator/core';
import type { Draw, Finding, ItemArticle } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import type { Book } from '../models/book.model.js';
import { Job, JobItem } from '../models/job.model.js';
import { keepNamesOf } from '../models/keepNames.js';
import { Article, ItemArticleRow, KitPartRow, Movement } from '../models/shelf.model.js';
import { ARTICLES } from './articles.js';
import type { DemoArticle } from './articles.js';
import { LABOUR_RATE_MINOR } from './larkmere.js';
import type { DemoJob } from './machineHistory.js';

interface MachineJob extends DemoJob {
  readonly id: string;
  readonly machineId: string;
  readonly findings: (itemId: string) => Finding[] | null;
}

/** A row of the stock ledger to be written. */
type Row = CreationAttributes<Movement>;

/** A day before the first job, so that the shelf was filled when it began. */
const BEFORE_MS = 86_400_000;

/** The jobs of the whole fleet in order of time, and the shelf that they drew from. */
export class DemoJobs {
  private readonly jobs: MachineJob[] = [];
  private readonly articles: readonly (DemoArticle & { id: string })[];
  private readonly needs: readonly ItemArticle[];
  private readonly minutes: ReadonlyMap<string, number>;

  constructor(
    books: readonly Book[],
    private readonly mechanicId: string,
    private readonly leadId: string,
  ) {
    this.articles = ARTICLES.map((article) => ({ ...article, id: uuid() }));
    const items = books.flatMap((book) => (book.items ?? []).map((item) => ({ book: book.name, item })));
    this.minutes = new Map(items.map(({ item }) => [item.id, item.minutes]));
    this.needs = this.articles.flatMap((article) =>
      article.needs.map(([book, name, quantity]) => {
        const found = items.find((candidate) => candidate.book === book && candidate.item.name === name);
        if (!found) throw new Error(`"${article.name}" is for "${name}" of "${book}", which does not exist.`);
        return { itemId: found.item.id, articleId: article.id, quantity };
      }),
    );
  }

  /** Takes in the jobs of a machine, with what its checks found of an item. */
  add(machineId: string, jobs: readonly DemoJob[], findings: MachineJob['findings']): void {
    this.jobs.push(...jobs.map((job) => ({ ...job, id: uuid(), machineId, findings })));
  }

  async write(): Promise<void> {
    this.jobs.sort((a, b) => a.at - b.at);
    await Article.bulkCreate(
      this.articles.map(({ id, name, kind, unit, leastOnHand, priceMinor }) => ({
        id,
        name,
        kind,
        unit,
        leastOnHand,
        priceMinor,
      })),
    );
    const idOf = (name: string) => this.articles.find((article) => article.name === name)?.id ?? '';
    await KitPartRow.bulkCreate(
      this.articles.flatMap(({ id: kitId, holds = [] }) =>
        holds.map(([name, quantity]) => ({ kitId, articleId: idOf(name), quantity })),
      ),
    );
    await ItemArticleRow.bulkCreate(this.needs.map((need) => ({ ...need })));
    await Job.bulkCreate(this.jobs.map((job) => this.jobRow(job)));
    await JobItem.bulkCreate(
      this.jobs.flatMap((job) =>
        job.itemIds.map((itemId) => ({
          jobId: job.id,
          itemId,
          outcome: 'done',
          version: 2,
          findings: job.findings(itemId),
        })),
      ),
    );
    await Movement.bulkCreate(this.movements());
    await keepNamesOf([...new Set(this.jobs.map(({ machineId }) => machineId))]);
  }

  private jobRow({ id, machineId, at, on, life, shown, itemIds }: MachineJob) {
    return {
      id,
      machineId,
      state: 'signedOff' as const,
      version: 2,
      note: '',
      openedAt: new Date(at),
      openedById: this.leadId,
      signedOffAt: new Date(at),
      signedOffById: this.mechanicId,
      doneOn: on,
      life,
      shown,
      doneById: this.mechanicId,
      labourRateMinor: LABOUR_RATE_MINOR,
      minutes: itemIds.reduce((sum, itemId) => sum + (this.minutes.get(itemId) ?? 0), 0),
    };
  }

  /** Each job draws what its items take; a lot comes in whenever the shelf would run out. */
  private movements(): Row[] {
    const stock = new Map(this.articles.map(({ id, lot }) => [id, lot]));
    const first = (this.jobs[0]?.at ?? BEFORE_MS) - BEFORE_MS;
    const rows = this.articles.map((article) => this.received(article, first));
    for (const job of this.jobs) {
      for (const draw of proposedDraw(job.itemIds, this.needs)) rows.push(...this.drawn(draw, job, stock));
    }
    return rows;
  }

  private drawn({ articleId, quantity }: Draw, job: MachineJob, stock: Map<string, number>): Row[] {
    const article = this.articles.find((candidate) => candidate.id === articleId);
    if (!article) return [];
    const before = stock.get(articleId) ?? 0;
    const lots = Math.max(0, Math.ceil((quantity - before) / article.lot));
    stock.set(articleId, roundQuantity(before + lots * article.lot - quantity));
    const out = {
      id: uuid(),
      articleId,
      kind: 'drawn' as const,
      quantity: -quantity,
      priceMinor: article.priceMinor,
      note: '',
      movedAt: new Date(job.at),
      movedById: this.mechanicId,
      jobId: job.id,
    };
    return [...Array.from({ length: lots }, () => this.received(article, job.at - BEFORE_MS / 24)), out];
  }

  private received(article: DemoArticle & { id: string }, at: number): Row {
    return {
      id: uuid(),
      articleId: article.id,
      kind: 'received' as const,
      quantity: article.lot,
      priceMinor: article.priceMinor,
      note: '',
      movedAt: new Date(at),
      movedById: this.leadId,
      jobId: null,
    };
  }
}
