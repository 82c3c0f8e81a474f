import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ApiNoContentResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { SettleShedDto, ShedsDto } from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { Ledger } from './ledger.js';
import { shedNames } from './shedStocks.js';

@ApiTags('shelf')
@Controller('api/stock-sheds')
export class ShedsController {
  constructor(private readonly ledger: Ledger) {}

  @ApiOperation({ summary: 'The sheds between which stock is told apart' })
  @ApiOkResponse({ type: ShedsDto })
  @ForEveryRole()
  @Get()
  async sheds(): Promise<ShedsDto> {
    return { sheds: await shedNames() };
  }

  @ApiOperation({ summary: 'Say of all that lies where nobody said in which shed: in this one' })
  @ApiNoContentResponse()
  @Allow('crewLead')
  @HttpCode(204)
  @Post('settled')
  settle(@Body() body: SettleShedDto, @Caller() caller: Person): Promise<void> {
    return this.ledger.settle(body, caller);
  }
}
