import { Body, Controller, Get, Param, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { DefectDto, ReportDefectDto, SearchDefectDto } from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { Defects } from './defects.js';
import { IdOf } from '../gate/idParam.js';

@ApiTags('defects')
@Controller('api')
export class DefectsController {
  constructor(private readonly defects: Defects) {}

  @ApiOperation({ summary: 'Open defects of the fleet, earliest first' })
  @ApiOkResponse({ type: [DefectDto] })
  @ForEveryRole()
  @Get('defects')
  all(): Promise<DefectDto[]> {
    return this.defects.open();
  }

  @ApiOperation({ summary: 'Open defects of a machine' })
  @ApiOkResponse({ type: [DefectDto] })
  @ForEveryRole()
  @Get('machines/:id/defects')
  of(@Param('id', IdOf('machine')) id: string): Promise<DefectDto[]> {
    return this.defects.open(id);
  }

  @ApiOperation({ summary: 'Report a defect' })
  @ApiCreatedResponse({ type: [DefectDto] })
  @Allow('crewLead', 'mechanic', 'operator')
  @Post('machines/:id/defects')
  report(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: ReportDefectDto,
    @Caller() caller: Person,
  ): Promise<DefectDto[]> {
    return this.defects.report(id, body, caller);
  }

  @ApiOperation({ summary: 'Keep with a defect why the machine does not start' })
  @ApiCreatedResponse({ type: [DefectDto] })
  @Allow('crewLead', 'mechanic', 'operator')
  @Post('defects/:id/searches')
  search(
    @Param('id', IdOf('defect')) id: string,
    @Body() body: SearchDefectDto,
    @Caller() caller: Person,
  ): Promise<DefectDto[]> {
    return this.defects.search(id, body, caller);
  }
}
