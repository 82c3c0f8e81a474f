import { Module } from '@nestjs/common';
import { DefectModule } from '../defect/defect.module.js';
import { MeterModule } from '../meter/meter.module.js';
import { OilModule } from '../oil/oil.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { ShelfModule } from '../shelf/shelf.module.js';
import { JobPhotos } from './jobPhotos.js';
import { JobSheets } from './jobSheets.js';
import { JobSteps } from './jobSteps.js';
import { JobsController } from './jobs.controller.js';
import { Jobs } from './jobs.js';
import { OpenJobs } from './openJobs.js';
import { Records } from './records.js';
import { Visits } from './visits.js';

/** Jobs from the visit to the record. */
@Module({
  imports: [DefectModule, MeterModule, OilModule, ScheduleModule, ShelfModule],
  controllers: [JobsController],
  providers: [Jobs, JobPhotos, JobSheets, JobSteps, OpenJobs, Records, Visits],
  exports: [JobSheets, Records],
})
export class JobModule {}
