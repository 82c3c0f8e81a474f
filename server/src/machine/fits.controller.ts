import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { FitsDto, UpdateFitsDto } from '@yugator/contracts';
import { IdOf } from '../gate/idParam.js';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { Fits } from './fits.js';

@ApiTags('machines')
@Controller('api/machines/:id/fits')
export class FitsController {
  constructor(private readonly fits: Fits) {}

  @ApiOperation({ summary: 'Which articles fit a machine, by component' })
  @ApiOkResponse({ type: FitsDto })
  @ForEveryRole()
  @Get()
  of(@Param('id', IdOf('machine')) id: string): Promise<FitsDto> {
    return this.fits.of(id);
  }

  @ApiOperation({ summary: 'Say anew which articles fit a machine' })
  @ApiOkResponse({ type: FitsDto })
  @Allow('crewLead', 'mechanic')
  @Put()
  update(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: UpdateFitsDto,
    @Caller() caller: Person,
  ): Promise<FitsDto> {
    return this.fits.update(id, body, caller);
  }
}
