import { Injectable } from '@nestjs/common';
import { fileFaults } from '@yugator/contracts';
import type { FileMachineDto, FleetFileDto, ImportFleetDto, ImportResultDto } from '@yugator/contracts';
import { nameKey, OWN_ITEMS, judgementOf } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { Book, Item } from '../models/book.model.js';
import { writeLines, writeNewBook } from '../books/writeBook.js';
import { grouped } from '../database/grouped.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Job, JobItem } from '../models/job.model.js';
import { keepNamesOf } from '../models/keepNames.js';
import { Machine } from '../models/machine.model.js';
import type { Importer } from './fleetTask.js';
import { fieldProblem } from '../problem/problem.js';
import { Declaration } from '../models/declaration.model.js';
import { SeasonRow, SeasonYearRow } from '../models/season.model.js';
import { Seasons } from '../season/seasons.js';
import { Site } from '../models/site.model.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { columnsOf, metersOf, outcomesOf, writeParts } from './fileMachine.js';
import type { FileOutcome, Ids, LineRef } from './fileMachine.js';
import { writeMeter } from './writeMeter.js';
import { writeMovements } from './writeMovements.js';
import { articleIds, knownShelf, newOnShelf, traitFaultsOf, writeFits, writeShelf } from './writeShelf.js';
import type { NewOnShelf } from './writeShelf.js';

/** Takes a fleet file in: all of it, or nothing, with every fault named. */
@Injectable()
export class ImportFleet {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly seasons: Seasons,
  ) {}

  async import({ file, isTrial }: ImportFleetDto, caller: Importer): Promise<ImportResultDto> {
    const { now } = await this.calendar.read();
    const write = async () => {
      const shelf = await this.check(file, now);
      const result = {
        machines: file.machines.length,
        ...(await this.fresh(file)),
        articles: shelf.articles.length,
        suppliers: shelf.suppliers.length,
        readings: file.machines.reduce((sum, { readings }) => sum + readings.length, 0),
        written: !isTrial,
      };
      await this.writeShared(file);
      await writeShelf(shelf, caller, new Date(now));
      const ids = { ...(await this.ids()), articles: await articleIds() };
      const machineIds: string[] = [];
      for (const machine of file.machines)
        machineIds.push(await this.writeMachine(machine, ids, caller, new Date(now)));
      await writeMovements(shelf.articles, ids.articles, machineIds);
      await keepNamesOf(machineIds);
      this.work.changed('machines', 'readings', 'jobs', 'books', 'seasons', 'shelf');
      return result;
    };
    // What the database has against a file shows only when it is written: a trial writes it too, and takes it back.
    return isTrial ? this.work.tryOut(write) : this.work.run(write);
  }

  /** Throws with all that speaks against a file; gives what of its shelf is not here yet. */
  private async check(file: FleetFileDto, now: number): Promise<NewOnShelf> {
    const { site } = await this.calendar.read();
    const here = await knownShelf(site.currency);
    const shelf = file.shelf ?? null;
    const [machines, books, seasons] = await Promise.all([
      Machine.findAll({ attributes: ['tag'] }),
      Book.findAll({ include: [Item] }),
      this.seasons.all(),
    ]);
    const known = {
      tags: new Set(machines.map(({ tag }) => nameKey(tag))),
      seasons: new Set(seasons.map(({ name }) => nameKey(name))),
      books: new Map(
        books.map((book) => [
          nameKey(book.name),
          new Set((book.items ?? []).map(({ name }) => nameKey(name))),
        ]),
      ),
      shelf: here,
    };
    const faults = [...fileFaults(file, known, now), ...traitFaultsOf(shelf, here)];
    if (faults.length) throw fieldProblem(...faults);
    return newOnShelf(shelf, here);
  }

  /** How many of the file's books and seasons are not here yet. */
  private async fresh(file: FleetFileDto): Promise<{ books: number; seasons: number }> {
    const ids = await this.ids();
    return {
      books: file.books.filter(({ name }) => !ids.books.has(nameKey(name))).length,
      seasons: file.seasons.filter(({ name }) => !ids.seasons.has(nameKey(name))).length,
    };
  }

  private async ids(): Promise<Ids> {
    const [books, seasons] = await Promise.all([Book.findAll({ include: [Item] }), this.seasons.all()]);
    return {
      books: new Map(books.map(({ id, name }) => [nameKey(name), id])),
      seasons: new Map(seasons.map(({ id, name }) => [nameKey(name), id])),
      lines: new Map(
        books.map((book) => [
          nameKey(book.name),
          new Map((book.items ?? []).map(({ id, name }) => [nameKey(name), id])),
        ]),
      ),
    };
  }

  private async writeShared(file: FleetFileDto): Promise<void> {
    const known = await this.ids();
    for (const book of file.books) if (!known.books.has(nameKey(book.name))) await writeNewBook(book);
    let place = known.seasons.size;
    for (const { name, years } of file.seasons.filter((season) => !known.seasons.has(nameKey(season.name)))) {
      const seasonId = uuid();
      await SeasonRow.create({ id: seasonId, name, place });
      await SeasonYearRow.bulkCreate(
        years.map(({ year, firstDay, lastDay }) => ({ seasonId, year, firstDay, lastDay })),
      );
      place += 1;
    }
    await Site.increment('seasonsVersion', { where: {} });
  }

  private async writeMachine(
    machine: FileMachineDto,
    ids: Ids & { readonly articles: ReadonlyMap<string, string> },
    caller: Importer,
    now: Date,
  ): Promise<string> {
    const { items, done, declared, judged } = machine;
    const id = uuid();
    await Machine.create({ ...columnsOf(machine), id, version: 1, factsRevision: 1 });
    await writeLines({ machineId: id }, items ?? []);
    const own = new Map(
      (await Item.findAll({ where: { machineId: id } })).map((item) => [nameKey(item.name), item.id]),
    );
    const idOf = ({ book, item }: LineRef) =>
      (book === OWN_ITEMS ? own : ids.lines.get(nameKey(book)))?.get(nameKey(item)) ?? '';
    await writeParts(id, machine, ids, idOf);
    await writeFits(id, machine.fits ?? [], ids.articles);
    for (const meter of metersOf(machine)) await writeMeter(id, meter, machine.inServiceOn, caller);
    await Declaration.bulkCreate(
      declared.map((point) => ({
        id: uuid(),
        machineId: id,
        itemId: idOf(point),
        doneOn: point.on,
        life: point.life,
        note: 'From a file',
        declaredAt: now,
        declaredById: caller.id,
      })),
    );
    await this.writeVisits(id, outcomesOf({ done, judged }, idOf), caller, now);
    return id;
  }

  /** What was done or judged on the same day at the same hours was one visit. */
  private async writeVisits(
    machineId: string,
    outcomes: readonly FileOutcome[],
    caller: Importer,
    now: Date,
  ): Promise<void> {
    const visits = grouped(outcomes, ({ on, life }) => `${on} ${life}`);
    const jobs = [...visits.values()].flatMap((own) => {
      const [first] = own;
      return first ? [{ id: uuid(), on: first.on, life: first.life, own }] : [];
    });
    await Job.bulkCreate(
      jobs.map(({ id, on, life }) => ({
        id,
        machineId,
        state: 'signedOff',
        version: 1,
        note: 'From a file',
        minutes: 0,
        openedAt: now,
        openedById: caller.id,
        signedOffAt: now,
        signedOffById: caller.id,
        doneOn: on,
        life,
        shown: life,
        doneById: caller.id,
      })),
    );
    await JobItem.bulkCreate(
      jobs.flatMap(({ id, own }) =>
        [...new Map(own.map((outcome) => [outcome.itemId, outcome])).values()].map(
          ({ itemId, outcome, untilLife, untilMeter, untilOn }) => ({
            jobId: id,
            itemId,
            outcome,
            untilLife,
            untilMeter,
            untilOn,
            leavesOutNext: judgementOf({ outcome, untilLife, untilOn }) === 'leftOut',
            version: 1,
          }),
        ),
      ),
    );
  }
}
