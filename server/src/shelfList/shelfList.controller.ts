import { Controller, Get, Param, ParseEnumPipe, Post, Req } from '@nestjs/common';
import { ApiBody, ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiParam, ApiTags } from '@nestjs/swagger';
import { ListResultDto, SHELF_LISTS, ShelfRowsDto, TakeListDto } from '@yugator/contracts';
import type { ShelfList } from '@yugator/contracts';
import { AuditTrail } from '../audit/auditTrail.js';
import { onceKey } from '../database/once.js';
import { Person } from '../models/person.model.js';
import { notFound } from '../problem/problem.js';
import { statusProblem } from '../problem/statusProblem.js';
import { Allow, TakesFile, TakesLong } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import type { CallerRequest } from '../session/caller.js';
import { ListThread } from './listThread.js';

const ListOf = () =>
  Param('list', new ParseEnumPipe(SHELF_LISTS, { exceptionFactory: () => notFound('list') }));

@ApiTags('shelf')
@ApiParam({ name: 'list', enum: SHELF_LISTS })
@Controller('api/shelf-lists/:list')
export class ShelfListController {
  constructor(
    private readonly thread: ListThread,
    private readonly audit: AuditTrail,
  ) {}

  @ApiOperation({ summary: 'A list of the shelf as rows of cells' })
  @ApiOkResponse({ type: ShelfRowsDto })
  @Allow('crewLead', 'mechanic')
  @TakesLong()
  @Get()
  async rows(@ListOf() list: ShelfList): Promise<ShelfRowsDto> {
    return { rows: await this.thread.rows(list) };
  }

  @ApiOperation({ summary: 'Say what a list would do line by line, or take it in: all of it, or nothing' })
  @ApiBody({ type: TakeListDto })
  @ApiCreatedResponse({ type: ListResultDto })
  @Allow('crewLead')
  @TakesFile()
  @Post()
  async take(
    @ListOf() list: ShelfList,
    @Caller() person: Person,
    @Req() request: CallerRequest,
  ): Promise<ListResultDto> {
    const { body, ip: address } = request;
    if (!Buffer.isBuffer(body)) throw statusProblem(415);
    const result = await this.thread.take(list, body, onceKey(request));
    const subject = `${list}: ${result.counts.new} new, ${result.counts.change} changed`;
    if (result.written) await this.audit.note({ act: 'listTaken', person, subject, address });
    return result;
  }
}
