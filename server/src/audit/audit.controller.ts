import { Controller, Get, Query } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { AuditPageDto, AuditQueryDto } from '@yugator/contracts';
import { Allow } from '../session/allow.js';
import { AuditTrail } from './auditTrail.js';

@ApiTags('audit')
@Controller('api/audit')
export class AuditController {
  constructor(private readonly audit: AuditTrail) {}

  @ApiOperation({ summary: 'Who did what, latest first, a page at a time' })
  @ApiOkResponse({ type: AuditPageDto })
  @Allow('crewLead')
  @Get()
  find(@Query() query: AuditQueryDto): Promise<AuditPageDto> {
    return this.audit.find(query);
  }
}
