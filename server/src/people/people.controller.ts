import { Body, Controller, Get, Param, Post, Put, Req } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { CreatePersonDto, PersonDto, UpdatePersonDto } from '@yugator/contracts';
import type { FastifyRequest } from 'fastify';
import { IdOf } from '../gate/idParam.js';
import { Allow, ForEveryRole } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { People } from './people.js';
import { Person } from '../models/person.model.js';

@ApiTags('people')
@Controller('api/people')
export class PeopleController {
  constructor(private readonly people: People) {}

  @ApiOperation({ summary: 'The crew' })
  @ApiOkResponse({ type: [PersonDto] })
  @ForEveryRole()
  @Get()
  list(): Promise<PersonDto[]> {
    return this.people.list();
  }

  @ApiOperation({ summary: 'Add somebody' })
  @ApiCreatedResponse({ type: PersonDto })
  @Allow('crewLead')
  @Post()
  create(
    @Body() body: CreatePersonDto,
    @Caller() caller: Person,
    @Req() { ip: address }: FastifyRequest,
  ): Promise<PersonDto> {
    return this.people.create(body, { caller, address });
  }

  @ApiOperation({ summary: 'Change role, presence or password' })
  @ApiOkResponse({ type: PersonDto })
  @Allow('crewLead')
  @Put(':id')
  update(
    @Param('id', IdOf('person')) id: string,
    @Body() body: UpdatePersonDto,
    @Caller() caller: Person,
    @Req() { ip: address }: FastifyRequest,
  ): Promise<PersonDto> {
    return this.people.update(id, body, { caller, address });
  }
}
