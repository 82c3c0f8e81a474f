import { Module } from '@nestjs/common';
import { ScheduleModule } from '../schedule/schedule.module.js';
import { ShelfModule } from '../shelf/shelf.module.js';
import { PlanJudge } from './planJudge.js';
import { PlanProposals } from './planProposals.js';
import { SeasonPlanController } from './seasonPlan.controller.js';
import { SeasonPlans } from './seasonPlan.js';
import { WorkshopDays } from './workshopDays.js';

/** Which machine comes to the workshop on which day. */
@Module({
  imports: [ScheduleModule, ShelfModule],
  controllers: [SeasonPlanController],
  providers: [PlanJudge, PlanProposals, SeasonPlans, WorkshopDays],
})
export class SeasonPlanModule {}
