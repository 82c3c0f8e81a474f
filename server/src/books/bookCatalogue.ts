import { Injectable } from '@nestjs/common';
import { v7 as uuid } from 'uuid';
import { Book, Item, ItemTrigger } from './book.model.js';
import { CATALOGUE } from './catalogue.js';

/** Puts the shipped service books into a new database. */
@Injectable()
export class BookCatalogue {
  async load(): Promise<void> {
    for (const book of CATALOGUE) {
      const { id: bookId } = await Book.create({
        id: uuid(),
        name: book.name,
        machineClass: book.machineClass,
      });
      const items = book.items.map((item, place) => ({ ...item, id: uuid(), place }));
      await Item.bulkCreate(
        items.map(({ id, name, minutes, place }) => ({ id, bookId, name, minutes, place })),
      );
      await ItemTrigger.bulkCreate(
        items.flatMap(({ id, triggers }) =>
          triggers.map((trigger) => ({
            id: uuid(),
            itemId: id,
            kind: trigger.kind,
            everyHours: trigger.kind === 'everyHours' ? trigger.hours : null,
            everyCount: trigger.kind === 'everyCalendar' ? trigger.count : null,
            everyUnit: trigger.kind === 'everyCalendar' ? trigger.unit : null,
          })),
        ),
      );
    }
  }
}
