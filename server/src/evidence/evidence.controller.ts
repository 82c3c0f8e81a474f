import { Body, Controller, Get, Param, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { AnswerEvidenceDto, EvidenceDto } from '@yugator/contracts';
import { IdOf } from '../gate/idParam.js';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { Evidence } from './evidence.js';

@ApiTags('schedule')
@Controller('api')
export class EvidenceController {
  constructor(private readonly evidence: Evidence) {}

  @ApiOperation({
    summary: 'Proposals to check items of a machine more or less often, by what its checks found',
  })
  @ApiOkResponse({ type: [EvidenceDto] })
  @ForEveryRole()
  @Get('machines/:id/evidence')
  proposals(@Param('id', IdOf('machine')) id: string): Promise<EvidenceDto[]> {
    return this.evidence.of(id);
  }

  @ApiOperation({ summary: 'Accept such a proposal, refuse it, or have it asked again later' })
  @ApiCreatedResponse({ type: [EvidenceDto] })
  @Allow('crewLead')
  @Post('machines/:id/evidence/:itemId')
  answer(
    @Param('id', IdOf('machine')) id: string,
    @Param('itemId', IdOf('item')) itemId: string,
    @Body() { answer }: AnswerEvidenceDto,
    @Caller() caller: Person,
  ): Promise<EvidenceDto[]> {
    return this.evidence.answer(id, itemId, answer, caller);
  }
}
