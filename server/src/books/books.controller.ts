import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { BookDto } from '@yugator/contracts';
import { ForEveryRole } from '../session/allow.js';
import { Book, Item, ItemTrigger } from './book.model.js';
import { toBookDto } from './toScheduleItem.js';

@ApiTags('books')
@Controller('api/books')
export class BooksController {
  @ApiOperation({ summary: 'The service books with their items' })
  @ApiOkResponse({ type: [BookDto] })
  @ForEveryRole()
  @Get()
  async list(): Promise<BookDto[]> {
    const books = await Book.findAll({ include: { model: Item, include: [ItemTrigger] }, order: ['name'] });
    return books.map(toBookDto);
  }
}
