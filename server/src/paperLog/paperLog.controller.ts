import { Body, Controller, Get, Param, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { KeepPaperLogDto, KnownLifeDto, PaperLogKeptDto } from '@yugator/contracts';
import { IdOf } from '../gate/idParam.js';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole, TakesList } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { PaperLog } from './paperLog.js';

@ApiTags('machines')
@Controller('api/machines/:id/paper-log')
export class PaperLogController {
  constructor(private readonly log: PaperLog) {}

  @ApiOperation({ summary: 'What is known of the machine’s hours, in order of time' })
  @ApiOkResponse({ type: [KnownLifeDto] })
  @ForEveryRole()
  @Get()
  known(@Param('id', IdOf('machine')) id: string): Promise<KnownLifeDto[]> {
    return this.log.known(id);
  }

  @ApiOperation({ summary: 'Take over past services from paper' })
  @ApiCreatedResponse({ type: PaperLogKeptDto })
  @Allow('crewLead')
  @TakesList()
  @Post()
  keep(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: KeepPaperLogDto,
    @Caller() caller: Person,
  ): Promise<PaperLogKeptDto> {
    return this.log.keep(id, body, caller);
  }
}
