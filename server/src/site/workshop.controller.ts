import { Body, Controller, Get, Put } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { UpdateWorkshopDto, WorkshopDto } from '@yugator/contracts';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Workshop } from './workshop.js';

@ApiTags('site')
@Controller('api/site/workshop')
export class WorkshopController {
  constructor(private readonly workshop: Workshop) {}

  @ApiOperation({ summary: 'The house rules, and what the shop drains into' })
  @ApiOkResponse({ type: WorkshopDto })
  @ForEveryRole()
  @Get()
  read(): Promise<WorkshopDto> {
    return this.workshop.read();
  }

  @ApiOperation({ summary: 'Change the house rules' })
  @ApiOkResponse({ type: WorkshopDto })
  @Allow('crewLead')
  @Put()
  update(@Body() body: UpdateWorkshopDto): Promise<WorkshopDto> {
    return this.workshop.update(body);
  }
}
