import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { UnsettledDto } from '@yugator/contracts';
import { Allow } from '../session/allow.js';
import { Unsettled } from './unsettled.js';

@ApiTags('books')
@Controller('api/unsettled-components')
export class UnsettledController {
  constructor(private readonly unsettled: Unsettled) {}

  @ApiOperation({
    summary: 'Lines of an older version that wait for the crew lead to say what they are done to',
  })
  @ApiOkResponse({ type: [UnsettledDto] })
  @Allow('crewLead')
  @Get()
  list(): Promise<UnsettledDto[]> {
    return this.unsettled.list();
  }
}
