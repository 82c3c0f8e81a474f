import { Body, Controller, Get, HttpCode, Param, Post, Put, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  DropJobDto,
  JobDto,
  OpenJobDto,
  RecordPageDto,
  RecordQueryDto,
  SignOffDto,
  TickDto,
  VoidDto,
} from '@yugator/contracts';
import { Person } from '../people/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { Jobs } from './jobs.js';
import { JobSheets } from './jobSheets.js';
import { Records } from './records.js';

@ApiTags('jobs')
@Controller('api')
export class JobsController {
  constructor(
    private readonly jobs: Jobs,
    private readonly sheets: JobSheets,
    private readonly records: Records,
  ) {}

  @ApiOperation({ summary: 'One job with its items and what it takes from the shelf' })
  @ApiOkResponse({ type: JobDto })
  @ForEveryRole()
  @Get('jobs/:id')
  get(@Param('id') id: string): Promise<JobDto> {
    return this.sheets.get(id);
  }

  @ApiOperation({ summary: 'Open a job for a machine with the chosen items' })
  @ApiCreatedResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic')
  @Post('jobs')
  open(@Body() body: OpenJobDto, @Caller() caller: Person): Promise<JobDto> {
    return this.jobs.open(body, caller);
  }

  @ApiOperation({ summary: 'Tick an item off, or take the tick back' })
  @ApiOkResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic')
  @Put('jobs/:id/items/:itemId')
  tick(@Param('id') id: string, @Param('itemId') itemId: string, @Body() body: TickDto): Promise<JobDto> {
    return this.jobs.tick(id, itemId, body);
  }

  @ApiOperation({ summary: 'Sign a job off: record, reading and stock together' })
  @ApiCreatedResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic')
  @Post('jobs/:id/sign-off')
  signOff(@Param('id') id: string, @Body() body: SignOffDto, @Caller() caller: Person): Promise<JobDto> {
    return this.jobs.signOff(id, body, caller);
  }

  @ApiOperation({ summary: 'Put an open job away without a record' })
  @Allow('crewLead', 'mechanic')
  @HttpCode(204)
  @Post('jobs/:id/drop')
  drop(@Param('id') id: string, @Body() body: DropJobDto): Promise<void> {
    return this.jobs.drop(id, body);
  }

  @ApiOperation({ summary: 'Everything done, latest first, 50 a page' })
  @ApiOkResponse({ type: RecordPageDto })
  @ForEveryRole()
  @Get('records')
  find(@Query() query: RecordQueryDto): Promise<RecordPageDto> {
    return this.records.find(query);
  }

  @ApiOperation({ summary: 'Void a mistaken record, with its reading and what it drew' })
  @ApiCreatedResponse({ type: JobDto })
  @Allow('crewLead')
  @Post('records/:id/void')
  void(@Param('id') id: string, @Body() body: VoidDto, @Caller() caller: Person): Promise<JobDto> {
    return this.jobs.void(id, body.reason, caller);
  }
}
