import 'reflect-metadata';
import { checkBody, TakeListDto } from '@yugator/contracts';
import type { ShelfList } from '@yugator/contracts';
import type { ArticleLine, FitLine, KitLine, LinkTarget, PriceLine } from '@yugator/core';
import { SetClock } from '../clock/clock.js';
import { connect } from '../database/connect.js';
import { Once } from '../database/once.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { FleetFacts } from '../facts/fleetFacts.js';
import { CollectedChanges } from '../live/collectedChanges.js';
import { fieldProblem, Problem } from '../problem/problem.js';
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

function takeBody(bytes: Uint8Array): TakeListDto {
  let body: unknown;
  try {
    body = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw new Problem(400, 'Not understood', 'This list is no JSON. Reload the page and try again.');
  }
  const checked = checkBody(TakeListDto, body);
  if (checked.faults) throw fieldProblem(...checked.faults);
  return checked.value;
}

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

async function rows(lists: Lists, list: ShelfList): Promise<string[][]> {
  const { open } = lists;
  if (list === 'articles') return rowsOf(await open.articles(false));
  if (list === 'prices') return rowsOf(await open.prices(false));
  return list === 'kits' ? rowsOf(await open.kits(false)) : rowsOf(await open.fits(false));
}

async function take(lists: Lists, list: ShelfList, work: UnitOfWork, body: TakeListDto) {
  const { open } = lists;
  if (list === 'articles') return takeList(work, open.articles, body);
  if (list === 'prices') return takeList(work, open.prices, body);
  return list === 'kits' ? takeList(work, open.kits, body) : takeList(work, open.fits, body);
}

async function run(task: ListTask): Promise<ListAnswer> {
  const sequelize = connect(task.databaseUrl);
  try {
    const changes = new CollectedChanges();
    const clock = new SetClock(task.now);
    const work = new UnitOfWork(sequelize, changes);
    const lists = new Lists(work, clock);
    if (task.kind === 'write') return { kind: 'rows', rows: await rows(lists, task.list) };
    const body = takeBody(task.bytes);
    const handle = () => take(lists, task.list, work, body);
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
