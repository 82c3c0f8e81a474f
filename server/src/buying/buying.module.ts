import { Module } from '@nestjs/common';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { SeasonModule } from '../season/season.module.js';
import { ShelfModule } from '../shelf/shelf.module.js';
import { BuyingController } from './buying.controller.js';
import { BuyingFacts } from './buyingFacts.js';
import { Orders } from './orders.js';
import { PartsUsed } from './partsUsed.js';
import { Suppliers } from './suppliers.js';

/** Where things are bought, what was ordered, and what the fleet will take. */
@Module({
  imports: [ScheduleModule, SeasonModule, ShelfModule],
  controllers: [BuyingController],
  providers: [BuyingFacts, Orders, PartsUsed, Suppliers],
})
export class BuyingModule {}
