import { Controller, Get, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { LedgerPageDto, PageQueryDto, ShelfMonthDto } from '@yugator/contracts';
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

  @ApiOperation({ summary: 'A page of all that came and went, latest first' })
  @ApiOkResponse({ type: LedgerPageDto })
  @Allow('crewLead', 'mechanic')
  @Get()
  lines(@Query() { page = 1 }: PageQueryDto): Promise<LedgerPageDto> {
    return this.shelf.ledger(page);
  }
}
