import { Module } from '@nestjs/common';
import { ListThread } from './listThread.js';
import { ShelfListController } from './shelfList.controller.js';

/** The shelf as lists for spreadsheets. */
@Module({
  controllers: [ShelfListController],
  providers: [ListThread],
})
export class ShelfListModule {}
