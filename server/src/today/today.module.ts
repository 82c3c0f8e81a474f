import { Module } from '@nestjs/common';
import { DefectModule } from '../defect/defect.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { ShelfModule } from '../shelf/shelf.module.js';
import { WalkModule } from '../walk/walk.module.js';
import { TodayController } from './today.controller.js';
import { Today } from './today.js';

/** What the day asks for. */
@Module({
  imports: [DefectModule, ScheduleModule, ShelfModule, WalkModule],
  controllers: [TodayController],
  providers: [Today],
})
export class TodayModule {}
