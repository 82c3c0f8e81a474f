import { Body, Controller, Get, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { FleetFileDto, ImportFleetDto, ImportResultDto } from '@yugator/contracts';
import { Person } from '../people/person.model.js';
import { Allow } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { ExportFleet } from './exportFleet.js';
import { ImportFleet } from './importFleet.js';

@ApiTags('fleet file')
@Controller('api/fleet')
export class FleetFileController {
  constructor(
    private readonly exporting: ExportFleet,
    private readonly importing: ImportFleet,
  ) {}

  @ApiOperation({ summary: 'The fleet as a file: books, seasons, machines, readings, services' })
  @ApiOkResponse({ type: FleetFileDto })
  @Allow('crewLead', 'mechanic')
  @Get('file')
  file(): Promise<FleetFileDto> {
    return this.exporting.file();
  }

  @ApiOperation({ summary: 'Take a fleet file in, or try it: all of it, or nothing' })
  @ApiCreatedResponse({ type: ImportResultDto })
  @Allow('crewLead')
  @Post('import')
  import(@Body() body: ImportFleetDto, @Caller() caller: Person): Promise<ImportResultDto> {
    return this.importing.import(body, caller);
  }
}
