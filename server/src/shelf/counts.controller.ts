import { Body, Controller, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { CountResultDto, CountSheetDto } from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { Ledger } from './ledger.js';

@ApiTags('shelf')
@Controller('api/counts')
export class CountsController {
  constructor(private readonly ledger: Ledger) {}

  @ApiOperation({ summary: 'Book a count of the shelf' })
  @ApiCreatedResponse({ type: CountResultDto })
  @Allow('crewLead', 'mechanic')
  @Post()
  count(@Body() body: CountSheetDto, @Caller() caller: Person): Promise<CountResultDto> {
    return this.ledger.count(body, caller);
  }
}
