import type { CreationAttributes } from 'sequelize';
import { drawsWithKits, fittingNeeds, leftWorth, onHand, proposedDraw, roundQuantity } from '@yugator/core';
import type { Finding, Fit, KitDraw, ScheduleItem, ShelvedKit } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import type { Book } from '../models/book.model.js';
import { grouped } from '../database/grouped.js';
import { known } from '../database/known.js';
import { Job, JobItem } from '../models/job.model.js';
import { keepNamesOf } from '../models/keepNames.js';
import { Article, FitRow, KitPartRow, Movement, TakeRow } from '../models/shelf.model.js';
import { ARTICLES } from './articles.js';
import type { DemoArticle } from './articles.js';
import { inLots } from './inLots.js';
import { FITS } from './demoFits.js';
import { LABOUR_RATE_MINOR } from './larkmere.js';
import type { DemoMachine } from './larkmere.js';
import type { DemoJob } from './machineHistory.js';
import { specCardOf } from './specCards.js';

/** A machine of the fleet, as far as its jobs draw from the shelf. */
export interface DemoWorked {
  readonly id: string;
  readonly machine: Pick<DemoMachine, 'machineClass' | 'fuel' | 'model'>;
  readonly items: readonly ScheduleItem[];
}

interface MachineJob extends DemoJob {
  readonly id: string;
  readonly of: DemoWorked;
  readonly findings: (itemId: string) => Finding[] | null;
}

/** A row of the stock ledger to be written. */
type Row = CreationAttributes<Movement>;

type Shelved = DemoArticle & { readonly id: string };

/** A day before the first job, so that the shelf was filled when it began. */
const BEFORE_MS = 86_400_000;
const HOUR_MS = 3_600_000;

/** Bought only when a job finds none. */
const FORGOTTEN: ReadonlySet<string> = new Set([
  'Air filter, V-twin',
  'Fuel filter, in-line',
  '20W-50 hydro oil',
  'Hydro filter, zero-turn',
]);

/** Where jobs are done, and what is bought lies. */
const WORKSHOP = 'North shed';

/** What the crew of the nursery yard keeps at hand, as far as there is enough of it. */
const KEPT_IN_YARD = [
  '10W-30 engine oil',
  '15W-40 diesel engine oil',
  'Spark plug, 5/8 in',
  'Oil filter, V-twin',
  'Grease cartridge, NLGI 2, 400 g',
];

/** The jobs of the whole fleet in order of time, and the shelf that they drew from. */
export class DemoJobs {
  private readonly jobs: MachineJob[] = [];
  private readonly articles: readonly Shelved[] = ARTICLES.map((article) => ({ ...article, id: uuid() }));
  private readonly idByName = new Map(this.articles.map(({ id, name }) => [name, id]));
  private readonly minutes: ReadonlyMap<string, number>;

  constructor(
    books: readonly Book[],
    private readonly mechanicId: string,
    private readonly leadId: string,
  ) {
    this.minutes = new Map(books.flatMap(({ items = [] }) => items.map(({ id, minutes }) => [id, minutes])));
  }

  /** Takes in the jobs of a machine, with what its checks found of an item. */
  add(of: DemoWorked, jobs: readonly DemoJob[], findings: MachineJob['findings']): void {
    this.jobs.push(...jobs.map((job) => ({ ...job, id: uuid(), of, findings })));
  }

  async write(): Promise<void> {
    this.jobs.sort((a, b) => a.at - b.at);
    await Article.bulkCreate(
      this.articles.map(
        ({
          lot: _lot,
          container: _container,
          holds: _holds,
          makerNumbers,
          fluid,
          filter,
          plug,
          ...columns
        }) => ({
          ...columns,
          traits: { makerNumbers, fluid, filter, plug },
        }),
      ),
    );
    await KitPartRow.bulkCreate(
      this.articles.flatMap(({ id: kitId, holds }) =>
        holds.map(([name, quantity]) => ({ kitId, articleId: known(this.idByName, name), quantity })),
      ),
    );
    const worked = [...new Map(this.jobs.map(({ of }) => [of.id, of])).values()];
    await FitRow.bulkCreate(
      worked.flatMap(({ id: machineId, machine }) =>
        this.fitsOf(machine).map((fit) => ({ ...fit, machineId })),
      ),
    );
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
    const { movements, takes } = inLots(this.movements());
    await Movement.bulkCreate(movements.map((row) => ({ ...row, shed: WORKSHOP })));
    await Movement.bulkCreate(this.carried(movements));
    await TakeRow.bulkCreate(takes);
    await keepNamesOf(worked.map(({ id }) => id));
  }

  private fitsOf({ model }: DemoWorked['machine']): (Fit & { reason: string })[] {
    return (FITS[model] ?? []).map(([component, name, quantity, standing = 'original', reason = '']) => ({
      component,
      articleId: known(this.idByName, name),
      quantity,
      standing,
      reason,
    }));
  }

  private jobRow({ id, of, at, on, life, shown, itemIds }: MachineJob) {
    return {
      id,
      machineId: of.id,
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

  /** Each job draws what its items take, as Yugator proposes it; a lot comes in whenever the shelf would run out. */
  private movements(): Row[] {
    const stock = new Map(this.articles.map(({ id, lot }) => [id, lot]));
    const first = (this.jobs[0]?.at ?? BEFORE_MS) - BEFORE_MS;
    const rows = this.articles.map((article) => this.received(article, first));
    for (const job of this.jobs) {
      for (const draw of this.drawsOf(job, stock)) rows.push(...this.drawn(draw, job, stock));
      rows.push(...this.ordered(job, stock));
    }
    return rows;
  }

  private drawsOf(
    { of: { machine, items }, itemIds }: MachineJob,
    stock: ReadonlyMap<string, number>,
  ): KitDraw[] {
    const { spec } = specCardOf(machine.machineClass, machine.fuel);
    const done = items.filter(({ id }) => itemIds.includes(id));
    const needs = fittingNeeds(done, this.fitsOf(machine), spec, stock);
    return drawsWithKits(proposedDraw(itemIds, needs), this.kits(stock), stock);
  }

  private kits(stock: ReadonlyMap<string, number>): ShelvedKit[] {
    return this.articles
      .filter(({ kind }) => kind === 'kit')
      .map((kit) => ({
        articleId: kit.id,
        onHand: stock.get(kit.id) ?? 0,
        contents: kit.holds.flatMap(([name, quantity]) =>
          this.articles
            .filter((article) => article.name === name)
            .map(({ id, unit, priceMinor }) => ({ articleId: id, unit, quantity, priceMinor })),
        ),
      }));
  }

  private drawn({ articleId, quantity, left }: KitDraw, job: MachineJob, stock: Map<string, number>): Row[] {
    const article = this.articles.find((candidate) => candidate.id === articleId);
    if (!article) return [];
    const before = stock.get(articleId) ?? 0;
    const lots = Math.max(0, Math.ceil((quantity - before) / article.lot));
    stock.set(articleId, roundQuantity(before + lots * article.lot - quantity));
    const moved = { movedAt: new Date(job.at), movedById: this.mechanicId, jobId: job.id, note: '' };
    const contents = this.kits(stock).find((kit) => kit.articleId === articleId)?.contents ?? [];
    const loose = left.map((each) => {
      stock.set(each.articleId, roundQuantity((stock.get(each.articleId) ?? 0) + each.quantity));
      return {
        ...moved,
        id: uuid(),
        articleId: each.articleId,
        kind: 'left' as const,
        quantity: each.quantity,
        valueMinor: leftWorth(article.priceMinor * quantity, quantity, contents, each) ?? 0,
      };
    });
    const out = {
      ...moved,
      id: uuid(),
      articleId,
      kind: 'drawn' as const,
      quantity: -quantity,
      valueMinor: -Math.round(quantity * article.priceMinor),
    };
    const came = Array.from({ length: lots }, () => this.received(article, job.at - HOUR_MS));
    return [...came, out, ...loose];
  }

  /** What the crew of the nursery yard keeps there, so that nobody drives for a plug. */
  private carried(movements: readonly Row[]): Row[] {
    const latest = this.jobs.at(-1)?.at ?? 0;
    const byArticle = grouped(movements, ({ articleId }) => articleId);
    return KEPT_IN_YARD.flatMap((name) => {
      const articleId = known(this.idByName, name);
      const quantity = Math.floor(Math.max(0, onHand(byArticle.get(articleId) ?? [])) / 3);
      const moved = { articleId, kind: 'moved' as const, valueMinor: 0, movedAt: new Date(latest) };
      const by = { ...moved, movedById: this.mechanicId, jobId: null, note: 'For the yard' };
      return quantity === 0
        ? []
        : [
            { ...by, id: uuid(), shed: WORKSHOP, quantity: -quantity },
            { ...by, id: uuid(), shed: 'Nursery yard', quantity },
          ];
    });
  }

  /** What is below its least is bought, but for what nobody thought of lately. */
  private ordered(job: MachineJob, stock: Map<string, number>): Row[] {
    return this.articles.flatMap((article) => {
      const there = stock.get(article.id) ?? 0;
      if (there >= article.leastOnHand || FORGOTTEN.has(article.name)) return [];
      stock.set(article.id, roundQuantity(there + article.lot));
      return [this.received(article, job.at + HOUR_MS)];
    });
  }

  private received(article: Shelved, at: number): Row {
    return {
      id: uuid(),
      articleId: article.id,
      kind: 'received' as const,
      quantity: article.lot,
      valueMinor: Math.round(article.lot * article.priceMinor),
      container: article.container,
      note: '',
      movedAt: new Date(at),
      movedById: this.leadId,
      jobId: null,
    };
  }
}
