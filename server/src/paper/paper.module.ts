import { Module } from '@nestjs/common';
import { JobModule } from '../job/job.module.js';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { ShelfModule } from '../shelf/shelf.module.js';
import { LabelPrinter, SimulatedLabelPrinter } from './labelPrinter.js';
import { CodesController } from './codes.controller.js';
import { PaperController } from './paper.controller.js';
import { ShelfPaperController } from './shelfPaper.controller.js';
import { PrintShop } from './printShop.js';

/** Sheets, labels and records on paper. */
@Module({
  imports: [JobModule, ScheduleModule, ShelfModule],
  controllers: [CodesController, PaperController, ShelfPaperController],
  providers: [PrintShop, { provide: LabelPrinter, useClass: SimulatedLabelPrinter }],
})
export class PaperModule {}
