import { Injectable } from '@nestjs/common';
import { lineFaults } from '@yugator/contracts';
import type { BookDto, BookFieldsDto, CreateBookDto, UpdateBookDto } from '@yugator/contracts';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Machine, MachineBook } from '../models/machine.model.js';
import { fault, fieldProblem, notFound, Problem, stale } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { Book, Item } from '../models/book.model.js';
import { linesOf, toBookDto } from './toBookDto.js';
import { writeLines, writeNewBook } from './writeBook.js';

/** The service books of the site. */
@Injectable()
export class Books {
  constructor(
    private readonly work: UnitOfWork,
    private readonly schedule: FleetSchedule,
  ) {}

  async list(): Promise<BookDto[]> {
    const [books, followed, machines] = await Promise.all([
      Book.findAll({ include: [Item], order: ['name'] }),
      MachineBook.findAll({ raw: true }),
      Machine.findAll({ attributes: ['id', 'tag'], order: ['tag'], raw: true }),
    ]);
    return books.map((book) => {
      const ids = new Set(
        followed.filter(({ bookId }) => bookId === book.id).map(({ machineId }) => machineId),
      );
      return toBookDto(
        book,
        machines.filter(({ id }) => ids.has(id)).map(({ tag }) => tag),
      );
    });
  }

  async get(id: string): Promise<BookDto> {
    const book = (await this.list()).find((candidate) => candidate.id === id);
    if (!book) throw notFound('service book');
    return book;
  }

  async create(fields: CreateBookDto): Promise<BookDto> {
    return this.work.run(async () => {
      await this.check(fields, null);
      const id = await writeNewBook(fields);
      this.work.changed('books');
      return this.get(id);
    });
  }

  /** Writes the whole book. Machines that follow it have the new schedule at once. */
  async update(id: string, fields: UpdateBookDto): Promise<BookDto> {
    return this.work.run(async () => {
      const book = await Book.findByPk(id, { lock: true });
      if (!book) throw notFound('service book');
      if (book.version !== fields.version) throw stale('service book', await this.get(id));
      await this.check(fields, id);
      const { name, machineClass, meter } = fields;
      await book.update({ name, machineClass, meter, version: fields.version + 1 });
      await writeLines({ bookId: id }, fields.items);
      await this.schedule.touched(await this.followers(id));
      this.work.changed('books', 'machines');
      return this.get(id);
    });
  }

  /** Removes a book that no machine follows and no record names. */
  async remove(id: string): Promise<void> {
    await this.work.run(async () => {
      const book = await Book.findByPk(id, { lock: true, include: [Item] });
      if (!book) throw notFound('service book');
      const followers = await this.followers(id);
      if (followers.length) {
        const tags = (await Machine.findAll({ where: { id: followers }, order: ['tag'] })).map(
          ({ tag }) => tag,
        );
        throw new Problem(
          409,
          'In use',
          `${tags.join(', ')} follow this book. Choose another for them first.`,
        );
      }
      // Lines stay for the records that name them; a book without any line left to show is gone for good.
      for (const line of linesOf(book)) await line.update({ dropped: true });
      await Item.update({ bookId: null }, { where: { bookId: id } });
      await book.destroy();
      this.work.changed('books');
    });
  }

  private async followers(id: string): Promise<string[]> {
    return (await MachineBook.findAll({ where: { bookId: id }, raw: true })).map(
      ({ machineId }) => machineId,
    );
  }

  private async check(fields: BookFieldsDto, id: string | null): Promise<void> {
    const faults = lineFaults(fields, '');
    const same = await Book.findOne({ where: { name: fields.name } });
    if (same && same.id !== id) {
      faults.push(
        fault('/name', 'taken', `There is a book called ${fields.name} already. Give another name.`),
      );
    }
    if (faults.length) throw fieldProblem(...faults);
  }
}
