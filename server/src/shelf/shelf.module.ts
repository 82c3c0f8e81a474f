import { Module } from '@nestjs/common';
import { CountsController } from './counts.controller.js';
import { ShelfController } from './shelf.controller.js';
import { Shelf } from './shelf.js';

/** What lies on the shelf. */
@Module({
  controllers: [ShelfController, CountsController],
  providers: [Shelf],
  exports: [Shelf],
})
export class ShelfModule {}
