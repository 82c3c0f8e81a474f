import { Module } from '@nestjs/common';
import { UsedOilController } from './usedOil.controller.js';
import { UsedOil } from './usedOil.js';

/** The book of used oil. */
@Module({
  controllers: [UsedOilController],
  providers: [UsedOil],
  exports: [UsedOil],
})
export class OilModule {}
