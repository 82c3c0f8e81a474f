import { Controller, Get, Header, Post, Req, Res } from '@nestjs/common';
import { ApiBody, ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { FleetFileDto, ImportFleetDto, ImportResultDto } from '@yugator/contracts';
import type { FastifyReply } from 'fastify';
import { AuditTrail } from '../audit/auditTrail.js';
import { onceKey } from '../database/once.js';
import { Person } from '../models/person.model.js';
import { statusProblem } from '../problem/statusProblem.js';
import { Allow, ForEveryRole, TakesFile, TakesLong } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import type { CallerRequest } from '../session/caller.js';
import { FleetThread } from './fleetThread.js';

@ApiTags('fleet file')
@Controller('api/fleet')
export class FleetFileController {
  constructor(
    private readonly thread: FleetThread,
    private readonly audit: AuditTrail,
  ) {}

  @ApiOperation({ summary: 'The fleet as a file: books, seasons, machines, readings, services' })
  @ApiOkResponse({ type: FleetFileDto })
  @ForEveryRole()
  @TakesLong()
  @Header('content-type', 'application/json; charset=utf-8')
  @Get('file')
  async file(
    @Caller() person: Person,
    @Req() { ip: address }: CallerRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<Buffer> {
    const { json, tag } = await this.thread.export();
    reply.header('etag', tag);
    await this.audit.note({ act: 'fleetExported', person, subject: 'the whole fleet', address });
    return json;
  }

  @ApiOperation({ summary: 'Take a fleet file in, or try it: all of it, or nothing' })
  @ApiBody({ type: ImportFleetDto })
  @ApiCreatedResponse({ type: ImportResultDto })
  @Allow('crewLead')
  @TakesFile()
  @Post('import')
  async import(@Caller() person: Person, @Req() request: CallerRequest): Promise<ImportResultDto> {
    const { body, ip: address } = request;
    if (!Buffer.isBuffer(body)) throw statusProblem(415);
    const result = await this.thread.import(body, { id: person.id }, onceKey(request));
    const subject = `${result.machines} machines, ${result.readings} readings`;
    if (result.written) await this.audit.note({ act: 'fleetImported', person, subject, address });
    return result;
  }
}
