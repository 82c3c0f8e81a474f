import { Body, Controller, Delete, Get, HttpCode, Param, Put, Req } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ChangePasswordDto, OpenSessionDto } from '@yugator/contracts';
import type { FastifyRequest } from 'fastify';
import { AuditTrail } from '../audit/auditTrail.js';
import { IdOf } from '../gate/idParam.js';
import { People } from '../people/people.js';
import { Person } from '../models/person.model.js';
import { notFound } from '../problem/problem.js';
import { ForEveryRole } from './allow.js';
import { Caller, SessionId } from './caller.js';
import { readCookie } from './cookie.js';
import { Sessions } from './sessions.js';
import { toOpenSession } from './toOpenSession.js';

/** What everybody may do about their own sign-in. */
@ApiTags('session')
@Controller('api/session')
export class OwnSessionsController {
  constructor(
    private readonly sessions: Sessions,
    private readonly people: People,
    private readonly audit: AuditTrail,
  ) {}

  @ApiOperation({ summary: 'Where you are signed in, the last used first' })
  @ApiOkResponse({ type: [OpenSessionDto] })
  @ForEveryRole()
  @Get('all')
  async list(@Caller() caller: Person, @SessionId() thisId: string): Promise<OpenSessionDto[]> {
    const sessions = await this.sessions.of(caller.id);
    return sessions.map((session) => toOpenSession(session, thisId));
  }

  @ApiOperation({ summary: 'Sign yourself out on another device' })
  @ForEveryRole()
  @HttpCode(204)
  @Delete('all/:id')
  async end(
    @Param('id', IdOf('session')) id: string,
    @Caller() caller: Person,
    @Req() { ip }: FastifyRequest,
  ): Promise<void> {
    if (!(await this.sessions.end(caller.id, id))) throw notFound('session');
    await this.audit.note({ act: 'sessionEnded', person: caller, subject: 'on another device', address: ip });
  }

  @ApiOperation({ summary: 'Give yourself another password; you stay signed in here only' })
  @ForEveryRole()
  @HttpCode(204)
  @Put('password')
  async changePassword(
    @Body() body: ChangePasswordDto,
    @Caller() caller: Person,
    @SessionId() sessionId: string,
    @Req() request: FastifyRequest,
  ): Promise<void> {
    const from = { address: request.ip, deviceCookie: readCookie(request, 'device') };
    await this.people.changeOwnPassword(caller, body, sessionId, from);
  }
}
