import { Injectable } from '@nestjs/common';
import { CATALOGUE } from './catalogue.js';
import { writeNewBook } from './writeBook.js';

/** Puts the shipped service books into a new database. */
@Injectable()
export class BookCatalogue {
  async load(): Promise<void> {
    for (const book of CATALOGUE) await writeNewBook(book);
  }
}
