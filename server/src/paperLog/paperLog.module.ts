import { Module } from '@nestjs/common';
import { MeterModule } from '../meter/meter.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { PaperLog } from './paperLog.js';
import { PaperLogController } from './paperLog.controller.js';

/** Takes over what was kept on paper before. */
@Module({
  imports: [MeterModule, ScheduleModule],
  controllers: [PaperLogController],
  providers: [PaperLog],
})
export class PaperLogModule {}
