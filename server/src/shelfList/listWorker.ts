import 'reflect-metadata';
import { TakeListDto } from '@yugator/contracts';
import type { ShelfList } from '@yugator/contracts';
import type { ArticleLine, FitLine, KitLine, LinkTarget, PriceLine } from '@yugator/core';
import { SetClock } from '../clock/clock.js';
import { connect } from '../database/connect.js';
import { Once } from '../database/once.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { FleetFacts } from '../facts/fleetFacts.js';
import { CollectedChanges } from '../live/collectedChanges.js';
import { sentBody } from '../queue/sentBody.js';
import { sentProblem } from '../queue/sentProblem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { Seasons } from '../season/seasons.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { articleList } from './articleList.js';
import type { ArticleTarget } from './articleList.js';
import { fitList } from './fitList.js';
import { kitList } from './kitList.js';
import type { ListAnswer, ListTask } from './listTask.js';
import type { OpenList } from './openList.js';
import { priceList } from './priceList.js';
import { rowsOf, takeList } from './takeList.js';

/** The lists of the shelf, each opened when it is asked for. */
class Lists {
  private readonly calendar: SiteCalendar;
  private readonly schedule: FleetSchedule;

  constructor(
    work: UnitOfWork,
    private readonly clock: SetClock,
  ) {
    this.calendar = new SiteCalendar(clock);
    this.schedule = new FleetSchedule(this.calendar, new Seasons(work), new FleetFacts());
  }

  /** For taking a list in, what it changes is locked. */
  readonly open = {
    articles: async (isTaking: boolean): Promise<OpenList<ArticleLine, ArticleTarget>> =>
      articleList(await this.currency(), new Date(this.clock.now()), isTaking),
    prices: async (isTaking: boolean): Promise<OpenList<PriceLine, LinkTarget>> =>
      priceList(await this.currency(), isTaking),
    kits: (isTaking: boolean): Promise<OpenList<KitLine, LinkTarget>> => kitList(isTaking),
    fits: (isTaking: boolean): Promise<OpenList<FitLine, LinkTarget>> =>
      fitList(this.schedule, this.calendar, isTaking),
  };

  private async currency(): Promise<string> {
    return (await this.calendar.read()).site.currency;
  }
}

/** What is done with a list, whichever it is. */
type Use<R> = <L, T>(open: (isTaking: boolean) => Promise<OpenList<L, T>>) => Promise<R>;

function onList<R>({ open }: Lists, list: ShelfList, use: Use<R>): Promise<R> {
  switch (list) {
    case 'articles':
      return use(open.articles);
    case 'prices':
      return use(open.prices);
    case 'kits':
      return use(open.kits);
    case 'fits':
      return use(open.fits);
  }
}

const NO_JSON = 'This list is no JSON. Reload the page and try again.';

async function run(task: ListTask): Promise<ListAnswer> {
  const sequelize = connect(task.databaseUrl);
  try {
    const changes = new CollectedChanges();
    const clock = new SetClock(task.now);
    const work = new UnitOfWork(sequelize, changes);
    const lists = new Lists(work, clock);
    if (task.kind === 'rows')
      return {
        kind: 'rows',
        rows: await onList(lists, task.list, async (open) => rowsOf(await open(false))),
      };
    const body = sentBody(TakeListDto, task.bytes, NO_JSON);
    const handle = () => onList(lists, task.list, (open) => takeList(work, open, body));
    const result = task.once ? await new Once(work, clock).run(task.once, handle) : await handle();
    return { kind: 'taken', result, changed: [...changes.subjects] };
  } finally {
    await sequelize.close();
  }
}

/** Writes or takes in a list of the shelf in this thread, over a connection of its own. What is refused comes back as data. */
export default async function listWorker(task: ListTask): Promise<ListAnswer> {
  try {
    return await run(task);
  } catch (error) {
    return { kind: 'refused', problem: sentProblem(error) };
  }
}
