import { Controller, Delete, Get, HttpCode, Param, Req } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { CrewSessionDto } from '@yugator/contracts';
import type { FastifyRequest } from 'fastify';
import { AuditTrail } from '../audit/auditTrail.js';
import { IdOf } from '../gate/idParam.js';
import { Person } from '../models/person.model.js';
import { notFound } from '../problem/problem.js';
import { Allow } from './allow.js';
import { Caller, SessionId } from './caller.js';
import { Sessions } from './sessions.js';
import { toOpenSession } from './toOpenSession.js';

/** Where the crew is signed in: a phone that was lost is signed out from here. */
@ApiTags('session')
@Controller('api/sessions')
export class CrewSessionsController {
  constructor(
    private readonly sessions: Sessions,
    private readonly audit: AuditTrail,
  ) {}

  @ApiOperation({ summary: 'Where everybody of the crew is signed in, the last used first' })
  @ApiOkResponse({ type: [CrewSessionDto] })
  @Allow('crewLead')
  @Get()
  async list(@SessionId() thisId: string): Promise<CrewSessionDto[]> {
    const sessions = await this.sessions.ofCrew();
    return sessions.map((session) => ({
      ...toOpenSession(session, thisId),
      person: session.person?.name ?? '',
    }));
  }

  @ApiOperation({ summary: 'Sign somebody out on one device' })
  @Allow('crewLead')
  @HttpCode(204)
  @Delete(':id')
  async end(
    @Param('id', IdOf('session')) id: string,
    @Caller() caller: Person,
    @Req() { ip }: FastifyRequest,
  ): Promise<void> {
    const ended = await this.sessions.endOne(id);
    if (!ended) throw notFound('session');
    const subject = `${ended.person?.name ?? ''}, ${ended.device}`;
    await this.audit.note({ act: 'sessionEnded', person: caller, subject, address: ip });
  }
}
