import { Body, Controller, Get, Param, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { CreatePersonDto, PersonDto, UpdatePersonDto } from '@yugator/contracts';
import { Allow, ForEveryRole } from '../session/allow.js';
import { People } from './people.js';

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
  create(@Body() body: CreatePersonDto): Promise<PersonDto> {
    return this.people.create(body);
  }

  @ApiOperation({ summary: 'Change role, presence or password' })
  @ApiOkResponse({ type: PersonDto })
  @Allow('crewLead')
  @Put(':id')
  update(@Param('id') id: string, @Body() body: UpdatePersonDto): Promise<PersonDto> {
    return this.people.update(id, body);
  }
}
