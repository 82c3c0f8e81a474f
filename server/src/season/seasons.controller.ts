import { Body, Controller, Get, Put } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { SeasonsDto, UpdateSeasonsDto } from '@yugator/contracts';
import { Allow, ForEveryRole, TakesList } from '../session/allow.js';
import { Seasons } from './seasons.js';

@ApiTags('seasons')
@Controller('api/seasons')
export class SeasonsController {
  constructor(private readonly seasons: Seasons) {}

  @ApiOperation({ summary: 'The seasons of the site, with the machines that work in them' })
  @ApiOkResponse({ type: SeasonsDto })
  @ForEveryRole()
  @Get()
  read(): Promise<SeasonsDto> {
    return this.seasons.read();
  }

  @ApiOperation({ summary: 'Write all seasons anew' })
  @ApiOkResponse({ type: SeasonsDto })
  @Allow('crewLead')
  @TakesList()
  @Put()
  update(@Body() body: UpdateSeasonsDto): Promise<SeasonsDto> {
    return this.seasons.update(body);
  }
}
