import { Module } from '@nestjs/common';
import { DefectModule } from '../defect/defect.module.js';
import { MeterModule } from '../meter/meter.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { WalksController } from './walks.controller.js';
import { Walks } from './walks.js';

/** Walks round the machines. */
@Module({
  imports: [DefectModule, MeterModule, ScheduleModule],
  controllers: [WalksController],
  providers: [Walks],
})
export class WalkModule {}
