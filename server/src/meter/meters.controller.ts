import { Body, Controller, Get, Header, HttpCode, Param, Post, StreamableFile } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ChangeMeterDto, EnterRoundDto, RoundDto, RoundResultDto, VoidDto } from '@yugator/contracts';
import { Person } from '../people/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { MeterChanges } from './meterChanges.js';
import { Meters } from './meters.js';

@ApiTags('meters')
@Controller('api')
export class MetersController {
  constructor(
    private readonly meters: Meters,
    private readonly changes: MeterChanges,
  ) {}

  @ApiOperation({ summary: 'The fleet in walking order with the last readings' })
  @ApiOkResponse({ type: RoundDto })
  @ForEveryRole()
  @Get('round')
  round(): Promise<RoundDto> {
    return this.meters.round();
  }

  @ApiOperation({ summary: 'Enter the readings of a round: all are kept, or none' })
  @ApiCreatedResponse({ type: RoundResultDto })
  @Allow('crewLead', 'mechanic', 'operator')
  @Post('round')
  enterRound(@Body() body: EnterRoundDto, @Caller() caller: Person): Promise<RoundResultDto> {
    return this.meters.enterRound(body, caller);
  }

  @ApiOperation({ summary: 'Void a mistaken reading' })
  @Allow('crewLead', 'mechanic')
  @HttpCode(204)
  @Post('readings/:id/void')
  void(@Param('id') id: string, @Body() body: VoidDto, @Caller() caller: Person): Promise<void> {
    return this.meters.void(id, body.reason, caller);
  }

  @ApiOperation({ summary: 'The photo taken with a reading' })
  @ForEveryRole()
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', 'private, max-age=31536000, immutable')
  @Get('readings/:id/photo')
  async photo(@Param('id') id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.meters.photo(id));
  }

  @ApiOperation({ summary: 'Say that a meter was replaced or rolled over' })
  @Allow('crewLead', 'mechanic')
  @HttpCode(204)
  @Post('machines/:id/meter')
  change(@Param('id') id: string, @Body() body: ChangeMeterDto, @Caller() caller: Person): Promise<void> {
    return this.changes.change(id, body, caller);
  }
}
