import { Module } from '@nestjs/common';
import { DefectModule } from '../defect/defect.module.js';
import { MeterModule } from '../meter/meter.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { ShelfModule } from '../shelf/shelf.module.js';
import { DoneNow } from './doneNow.js';
import { EveryDayController } from './everyDay.controller.js';
import { RoundRecords } from './roundRecords.js';
import { TopUps } from './topUps.js';
import { Walks } from './walks.js';
import { WalksController } from './walks.controller.js';

/** Everyday work without a job: walks round the machines, lines that are done now, top-ups. */
@Module({
  imports: [DefectModule, MeterModule, ScheduleModule, ShelfModule],
  controllers: [WalksController, EveryDayController],
  providers: [DoneNow, RoundRecords, TopUps, Walks],
  exports: [TopUps],
})
export class WalkModule {}
