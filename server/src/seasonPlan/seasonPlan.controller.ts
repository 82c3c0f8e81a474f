import { Body, Controller, Get, HttpCode, Post, Put, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  JudgePlanDto,
  LoadAheadDto,
  PlanJudgementDto,
  PlanProposalDto,
  PlanTroublesDto,
  ProposePlanDto,
  PublishPlanDto,
  SeasonPlanDto,
  SeasonPlanQueryDto,
  UpdateWorkshopDaysDto,
  WeeklyProposalDto,
  WorkshopDaysDto,
} from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole, TakesList } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { PlanJudge } from './planJudge.js';
import { PlanProposals } from './planProposals.js';
import { SeasonPlans } from './seasonPlan.js';
import { WorkshopDays } from './workshopDays.js';

@ApiTags('season plan')
@Controller('api')
export class SeasonPlanController {
  constructor(
    private readonly plans: SeasonPlans,
    private readonly days: WorkshopDays,
    private readonly proposals: PlanProposals,
    private readonly judge: PlanJudge,
  ) {}

  @ApiOperation({ summary: 'Which machine comes on which day, and all that a plan is made from' })
  @ApiOkResponse({ type: SeasonPlanDto })
  @Allow('crewLead', 'mechanic')
  @Get('season-plan')
  read(@Query() { weeks, annual }: SeasonPlanQueryDto): Promise<SeasonPlanDto> {
    return this.plans.read(weeks, annual);
  }

  @ApiOperation({ summary: 'Why the published plan no longer holds' })
  @ApiOkResponse({ type: PlanTroublesDto })
  @Allow('crewLead', 'mechanic')
  @Get('season-plan/troubles')
  troubles(): Promise<PlanTroublesDto> {
    return this.plans.troubles();
  }

  @ApiOperation({ summary: 'What is asked of the workshop in the coming year' })
  @ApiOkResponse({ type: LoadAheadDto })
  @Allow('crewLead', 'mechanic')
  @Get('season-plan/load')
  load(): Promise<LoadAheadDto> {
    return this.plans.load();
  }

  @ApiOperation({ summary: 'Publish the cards of a plan, in place of all from today on' })
  @ApiOkResponse({ type: SeasonPlanDto })
  @Allow('crewLead')
  @TakesList()
  @Put('season-plan')
  publish(@Body() body: PublishPlanDto, @Caller() caller: Person): Promise<SeasonPlanDto> {
    return this.plans.publish(body, caller);
  }

  @ApiOperation({ summary: 'Have the server plan under the locks of these cards; nothing is stored' })
  @ApiOkResponse({ type: PlanProposalDto })
  @Allow('crewLead')
  @TakesList()
  @HttpCode(200)
  @Post('season-plan/propose')
  propose(@Body() body: ProposePlanDto): Promise<PlanProposalDto> {
    return this.proposals.propose(body);
  }

  @ApiOperation({ summary: 'What of these cards is late when it is done, by the rules of the schedule' })
  @ApiOkResponse({ type: PlanJudgementDto })
  @Allow('crewLead', 'mechanic')
  @TakesList()
  @HttpCode(200)
  @Post('season-plan/judge')
  judgeCards(@Body() body: JudgePlanDto): Promise<PlanJudgementDto> {
    return this.judge.judge(body);
  }

  @ApiOperation({ summary: 'What the server proposed for this week' })
  @ApiOkResponse({ type: WeeklyProposalDto })
  @Allow('crewLead')
  @Get('season-plan/proposal')
  async weekly(): Promise<WeeklyProposalDto> {
    return { proposal: await this.proposals.weekly() };
  }

  @ApiOperation({ summary: 'When the workshop is open' })
  @ApiOkResponse({ type: WorkshopDaysDto })
  @ForEveryRole()
  @Get('workshop-days')
  readDays(): Promise<WorkshopDaysDto> {
    return this.days.read();
  }

  @ApiOperation({ summary: 'Say when the workshop is open' })
  @ApiOkResponse({ type: WorkshopDaysDto })
  @Allow('crewLead')
  @Put('workshop-days')
  updateDays(@Body() body: UpdateWorkshopDaysDto): Promise<WorkshopDaysDto> {
    return this.days.update(body);
  }
}
