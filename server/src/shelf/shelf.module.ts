import { Module } from '@nestjs/common';
import { ShelfController } from './shelf.controller.js';
import { Shelf } from './shelf.js';

/** What lies on the shelf. */
@Module({
  controllers: [ShelfController],
  providers: [Shelf],
  exports: [Shelf],
})
export class ShelfModule {}
