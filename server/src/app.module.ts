import { Module } from '@nestjs/common';
import type { DynamicModule } from '@nestjs/common';
import { BooksModule } from './books/books.module.js';
import { ComponentModule } from './component/component.module.js';
import { GroundModule } from './database/ground.module.js';
import type { Ground } from './database/ground.module.js';
import { DefectModule } from './defect/defect.module.js';
import { EvidenceModule } from './evidence/evidence.module.js';
import { FleetFileModule } from './fleetFile/fleetFile.module.js';
import { ShelfListModule } from './shelfList/shelfList.module.js';
import { JobModule } from './job/job.module.js';
import { MachineModule } from './machine/machine.module.js';
import { MeterModule } from './meter/meter.module.js';
import { OilModule } from './oil/oil.module.js';
import { PaperLogModule } from './paperLog/paperLog.module.js';
import { PaperModule } from './paper/paper.module.js';
import { ScheduleModule } from './schedule/schedule.module.js';
import { SeasonModule } from './season/season.module.js';
import { CrewModule } from './session/crew.module.js';
import { ShelfModule } from './shelf/shelf.module.js';
import { SiteModule } from './site/site.module.js';
import { TodayModule } from './today/today.module.js';
import { WalkModule } from './walk/walk.module.js';
import { SeasonPlanModule } from './seasonPlan/seasonPlan.module.js';
import { BuyingModule } from './buying/buying.module.js';

@Module({})
export class AppModule {
  /** The application over a database and a clock: its subjects, each a module of its own. */
  static over(ground: Ground): DynamicModule {
    return {
      module: AppModule,
      imports: [
        GroundModule.over(ground),
        ...[CrewModule, SiteModule, SeasonModule, ScheduleModule, BooksModule, MeterModule, MachineModule],
        ...[DefectModule, OilModule, ShelfModule, JobModule, ComponentModule, EvidenceModule],
        ...[
          FleetFileModule,
          PaperModule,
          PaperLogModule,
          TodayModule,
          WalkModule,
          BuyingModule,
          ShelfListModule,
          SeasonPlanModule,
        ],
      ],
    };
  }
}
