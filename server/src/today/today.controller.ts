import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { TodayDto } from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Caller } from '../session/caller.js';
import { ForEveryRole } from '../session/allow.js';
import { Today } from './today.js';

@ApiTags('today')
@Controller('api/today')
export class TodayController {
  constructor(private readonly today: Today) {}

  @ApiOperation({ summary: 'What bites now: machines worst first, stale meters, articles that run short' })
  @ApiOkResponse({ type: TodayDto })
  @ForEveryRole()
  @Get()
  read(@Caller() caller: Person): Promise<TodayDto> {
    return this.today.read(caller);
  }
}
