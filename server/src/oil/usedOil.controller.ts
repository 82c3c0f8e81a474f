import { Body, Controller, Get, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { EnterUsedOilDto, UsedOilDto } from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { UsedOil } from './usedOil.js';

@ApiTags('used oil')
@Controller('api/used-oil')
export class UsedOilController {
  constructor(private readonly usedOil: UsedOil) {}

  @ApiOperation({ summary: 'The used-oil container and its book' })
  @ApiOkResponse({ type: UsedOilDto })
  @ForEveryRole()
  @Get()
  read(): Promise<UsedOilDto> {
    return this.usedOil.read();
  }

  @ApiOperation({ summary: 'Write down used oil that went in or was collected' })
  @ApiCreatedResponse({ type: UsedOilDto })
  @Allow('crewLead', 'mechanic')
  @Post()
  enter(@Body() body: EnterUsedOilDto, @Caller() caller: Person): Promise<UsedOilDto> {
    return this.usedOil.enter(body, caller);
  }
}
