import { Module } from '@nestjs/common';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { DefectsController } from './defects.controller.js';
import { DefectList } from './defectList.js';
import { Defects } from './defects.js';

/** What is reported to be wrong. */
@Module({
  imports: [ScheduleModule],
  controllers: [DefectsController],
  providers: [DefectList, Defects],
  exports: [DefectList, Defects],
})
export class DefectModule {}
