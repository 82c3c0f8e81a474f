import { Body, Controller, Get, Param, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  CreateMachineDto,
  DeclareDto,
  MachineDetailDto,
  MachineDto,
  ReadingDto,
  UpdateMachineDto,
} from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { Fleet } from './fleet.js';
import { IdOf } from '../gate/idParam.js';

@ApiTags('fleet')
@Controller('api/machines')
export class FleetController {
  constructor(private readonly fleet: Fleet) {}

  @ApiOperation({ summary: 'The fleet with its schedules, by tag' })
  @ApiOkResponse({ type: [MachineDto] })
  @ForEveryRole()
  @Get()
  list(): Promise<MachineDto[]> {
    return this.fleet.list();
  }

  @ApiOperation({ summary: 'One machine with its schedule' })
  @ApiOkResponse({ type: MachineDetailDto })
  @ForEveryRole()
  @Get(':id')
  get(@Param('id', IdOf('machine')) id: string): Promise<MachineDetailDto> {
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'All readings of a machine, void ones too, latest first' })
  @ApiOkResponse({ type: [ReadingDto] })
  @ForEveryRole()
  @Get(':id/readings')
  readings(@Param('id', IdOf('machine')) id: string): Promise<ReadingDto[]> {
    return this.fleet.readings(id);
  }

  @ApiOperation({ summary: 'Register a machine' })
  @ApiCreatedResponse({ type: MachineDetailDto })
  @Allow('crewLead')
  @Post()
  create(@Body() body: CreateMachineDto, @Caller() caller: Person): Promise<MachineDetailDto> {
    return this.fleet.create(body, caller);
  }

  @ApiOperation({ summary: 'Change what a machine was registered with' })
  @ApiOkResponse({ type: MachineDetailDto })
  @Allow('crewLead')
  @Put(':id')
  update(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: UpdateMachineDto,
  ): Promise<MachineDetailDto> {
    return this.fleet.update(id, body);
  }

  @ApiOperation({ summary: 'Say when an item was last done, from an older record' })
  @ApiCreatedResponse({ type: MachineDetailDto })
  @Allow('crewLead')
  @Post(':id/declarations')
  declare(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: DeclareDto,
    @Caller() caller: Person,
  ): Promise<MachineDetailDto> {
    return this.fleet.declare(id, body, caller);
  }
}
