import { Module } from '@nestjs/common';
import { FleetFacts } from '../facts/fleetFacts.js';
import { SeasonModule } from '../season/season.module.js';
import { FleetSchedule } from './fleetSchedule.js';
import { ScheduleController } from './schedule.controller.js';

/** What is due, of the facts as they stand. */
@Module({
  imports: [SeasonModule],
  controllers: [ScheduleController],
  providers: [FleetSchedule, FleetFacts],
  exports: [FleetSchedule],
})
export class ScheduleModule {}
