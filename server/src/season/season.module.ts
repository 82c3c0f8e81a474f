import { Module } from '@nestjs/common';
import { SeasonsController } from './seasons.controller.js';
import { Seasons } from './seasons.js';

/** The seasons of the site. */
@Module({
  controllers: [SeasonsController],
  providers: [Seasons],
  exports: [Seasons],
})
export class SeasonModule {}
