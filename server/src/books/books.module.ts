import { Module } from '@nestjs/common';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { BookCatalogue } from './bookCatalogue.js';
import { BooksController } from './books.controller.js';
import { Books } from './books.js';

/** Service books, those that are shipped included. */
@Module({
  imports: [ScheduleModule],
  controllers: [BooksController],
  providers: [Books, BookCatalogue],
  exports: [BookCatalogue],
})
export class BooksModule {}
