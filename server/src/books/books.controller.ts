import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { BookDto, CreateBookDto, UpdateBookDto } from '@yugator/contracts';
import { Allow, ForEveryRole, TakesList } from '../session/allow.js';
import { Books } from './books.js';
import { IdOf } from '../gate/idParam.js';

@ApiTags('books')
@Controller('api/books')
export class BooksController {
  constructor(private readonly books: Books) {}

  @ApiOperation({ summary: 'The service books with their lines' })
  @ApiOkResponse({ type: [BookDto] })
  @ForEveryRole()
  @Get()
  list(): Promise<BookDto[]> {
    return this.books.list();
  }

  @ApiOperation({ summary: 'One service book' })
  @ApiOkResponse({ type: BookDto })
  @ForEveryRole()
  @Get(':id')
  get(@Param('id', IdOf('book')) id: string): Promise<BookDto> {
    return this.books.get(id);
  }

  @ApiOperation({ summary: 'Enter a service book' })
  @ApiCreatedResponse({ type: BookDto })
  @Allow('crewLead')
  @TakesList()
  @Post()
  create(@Body() body: CreateBookDto): Promise<BookDto> {
    return this.books.create(body);
  }

  @ApiOperation({ summary: 'Write a service book anew' })
  @ApiOkResponse({ type: BookDto })
  @Allow('crewLead')
  @TakesList()
  @Put(':id')
  update(@Param('id', IdOf('book')) id: string, @Body() body: UpdateBookDto): Promise<BookDto> {
    return this.books.update(id, body);
  }

  @ApiOperation({ summary: 'Remove a service book that no machine follows' })
  @Allow('crewLead')
  @HttpCode(204)
  @Delete(':id')
  remove(@Param('id', IdOf('book')) id: string): Promise<void> {
    return this.books.remove(id);
  }
}
