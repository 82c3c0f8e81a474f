import { Body, Controller, Get, Header, HttpCode, Param, Post, Req, StreamableFile } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ChangeMeterDto, EnterRoundDto, RoundDto, RoundResultDto, VoidDto } from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole, ForShed, TakesPhotos } from '../session/allow.js';
import { Ago, Caller } from '../session/caller.js';
import type { CallerRequest } from '../session/caller.js';
import { MeterChanges } from './meterChanges.js';
import { Meters } from './meters.js';
import { IdOf } from '../gate/idParam.js';

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
  @ForShed()
  @TakesPhotos()
  @Post('round')
  enterRound(
    @Body() body: EnterRoundDto,
    @Caller() caller: Person,
    @Ago() ago: number | null,
  ): Promise<RoundResultDto> {
    return this.meters.enterRound(body, caller, ago);
  }

  @ApiOperation({ summary: 'Void a mistaken reading' })
  @Allow('crewLead', 'mechanic', 'operator')
  @HttpCode(204)
  @Post('readings/:id/void')
  void(
    @Param('id', IdOf('reading')) id: string,
    @Body() body: VoidDto,
    @Caller() caller: Person,
    @Req() { ip }: CallerRequest,
  ): Promise<void> {
    return this.meters.void(id, body.reason, caller, ip);
  }

  @ApiOperation({ summary: 'The photo taken with a reading' })
  @ForEveryRole()
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', 'private, max-age=31536000, immutable')
  @Get('readings/:id/photo')
  async photo(@Param('id', IdOf('reading')) id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.meters.photo(id));
  }

  @ApiOperation({ summary: 'Say that a meter was replaced or rolled over' })
  @Allow('crewLead', 'mechanic')
  @HttpCode(204)
  @Post('machines/:id/meter')
  change(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: ChangeMeterDto,
    @Caller() caller: Person,
  ): Promise<void> {
    return this.changes.change(id, body, caller);
  }
}
