import { Module } from '@nestjs/common';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { MeterChanges } from './meterChanges.js';
import { MetersController } from './meters.controller.js';
import { Meters } from './meters.js';

/** Readings and what becomes of meters. */
@Module({
  imports: [ScheduleModule],
  controllers: [MetersController],
  providers: [Meters, MeterChanges],
  exports: [Meters],
})
export class MeterModule {}
