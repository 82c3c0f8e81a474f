import { Body, Controller, Get, Param, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { KeepWalkDto, WalkDto, WalkKeptDto } from '@yugator/contracts';
import { IdOf } from '../gate/idParam.js';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole, ForShed, TakesPhotos } from '../session/allow.js';
import { Ago, Caller } from '../session/caller.js';
import { Walks } from './walks.js';

@ApiTags('walks')
@Controller('api/machines/:id/walk')
export class WalksController {
  constructor(private readonly walks: Walks) {}

  @ApiOperation({ summary: 'What a walk round the machine looks at' })
  @ApiOkResponse({ type: WalkDto })
  @ForEveryRole()
  @Get()
  read(@Param('id', IdOf('machine')) id: string): Promise<WalkDto> {
    return this.walks.read(id);
  }

  @ApiOperation({ summary: 'Keep a walk round: the reading, what was done, and what is not well' })
  @ApiCreatedResponse({ type: WalkKeptDto })
  @Allow('crewLead', 'mechanic', 'operator')
  @ForShed()
  @TakesPhotos()
  @Post()
  keep(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: KeepWalkDto,
    @Caller() caller: Person,
    @Ago() ago: number | null,
  ): Promise<WalkKeptDto> {
    return this.walks.keep(id, body, caller, ago);
  }
}
