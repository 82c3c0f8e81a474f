import { Controller, Get, Param, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { LedgerPageDto, PageQueryDto, PricePaidDto, ShelfMonthDto } from '@yugator/contracts';
import { IdOf } from '../gate/idParam.js';
import { Allow } from '../session/allow.js';
import { ShelfMonths } from './shelfMonths.js';

@ApiTags('shelf')
@Controller('api/ledger')
export class LedgerController {
  constructor(private readonly shelf: ShelfMonths) {}

  @ApiOperation({ summary: 'What the shelf was worth month by month' })
  @ApiOkResponse({ type: [ShelfMonthDto] })
  @Allow('crewLead', 'mechanic')
  @Get('months')
  months(): Promise<ShelfMonthDto[]> {
    return this.shelf.months();
  }

  @ApiOperation({ summary: 'What was paid for an article each time that it came in, latest first' })
  @ApiOkResponse({ type: [PricePaidDto] })
  @Allow('crewLead', 'mechanic')
  @Get('prices/:id')
  prices(@Param('id', IdOf('article')) id: string): Promise<PricePaidDto[]> {
    return this.shelf.prices(id);
  }

  @ApiOperation({ summary: 'A page of all that came and went, latest first' })
  @ApiOkResponse({ type: LedgerPageDto })
  @Allow('crewLead', 'mechanic')
  @Get()
  lines(@Query() { page = 1 }: PageQueryDto): Promise<LedgerPageDto> {
    return this.shelf.ledger(page);
  }
}
