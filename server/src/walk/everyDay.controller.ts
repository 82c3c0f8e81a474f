import { Body, Controller, Get, Param, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { DoneNowDto, RecordKeptDto, TopUpDto, TopUpsDto } from '@yugator/contracts';
import { IdOf } from '../gate/idParam.js';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Ago, Caller } from '../session/caller.js';
import { DoneNow } from './doneNow.js';
import { TopUps } from './topUps.js';

@ApiTags('walks')
@Controller('api/machines/:id')
export class EveryDayController {
  constructor(
    private readonly doneNow: DoneNow,
    private readonly topUps: TopUps,
  ) {}

  @ApiOperation({ summary: 'Note a short line as done, without a job' })
  @ApiCreatedResponse({ type: RecordKeptDto })
  @Allow('crewLead', 'mechanic', 'operator')
  @Post('done')
  done(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: DoneNowDto,
    @Caller() caller: Person,
    @Ago() ago: number | null,
  ): Promise<RecordKeptDto> {
    return this.doneNow.keep(id, body, caller, ago);
  }

  @ApiOperation({ summary: 'What was filled up on a machine, and how much it uses up' })
  @ApiOkResponse({ type: TopUpsDto })
  @ForEveryRole()
  @Get('top-ups')
  read(@Param('id', IdOf('machine')) id: string): Promise<TopUpsDto> {
    return this.topUps.of(id);
  }

  @ApiOperation({ summary: 'Keep that a fluid was filled up' })
  @ApiCreatedResponse({ type: RecordKeptDto })
  @Allow('crewLead', 'mechanic', 'operator')
  @Post('top-ups')
  topUp(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: TopUpDto,
    @Caller() caller: Person,
    @Ago() ago: number | null,
  ): Promise<RecordKeptDto> {
    return this.topUps.keep(id, body, caller, ago);
  }
}
