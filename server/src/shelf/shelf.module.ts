import { Module } from '@nestjs/common';
import { CountsController } from './counts.controller.js';
import { Ledger } from './ledger.js';
import { LedgerController } from './ledger.controller.js';
import { ArticlePhotos } from './articlePhotos.js';
import { MergeArticles } from './mergeArticles.js';
import { ShedsController } from './sheds.controller.js';
import { ShelfController } from './shelf.controller.js';
import { Shelf } from './shelf.js';
import { ShelfMonths } from './shelfMonths.js';

/** What lies on the shelf. */
@Module({
  controllers: [ShelfController, CountsController, LedgerController, ShedsController],
  providers: [ArticlePhotos, Shelf, Ledger, MergeArticles, ShelfMonths],
  exports: [Shelf, Ledger],
})
export class ShelfModule {}
