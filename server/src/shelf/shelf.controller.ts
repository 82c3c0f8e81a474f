import { Body, Controller, Get, Header, Param, Post, Put, Req, StreamableFile } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  ArticleDto,
  CreateArticleDto,
  MergeArticleDto,
  StockActDto,
  UpdateArticleDto,
  UpdatePhotoDto,
} from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole, TakesPhotos } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import type { CallerRequest } from '../session/caller.js';
import { Ledger } from './ledger.js';
import { ArticlePhotos } from './articlePhotos.js';
import { MergeArticles } from './mergeArticles.js';
import { Shelf } from './shelf.js';
import { IdOf } from '../gate/idParam.js';

@ApiTags('shelf')
@Controller('api/articles')
export class ShelfController {
  constructor(
    private readonly shelf: Shelf,
    private readonly ledger: Ledger,
    private readonly merging: MergeArticles,
    private readonly photos: ArticlePhotos,
  ) {}

  @ApiOperation({ summary: 'Kits, parts and fluids with what is on hand' })
  @ApiOkResponse({ type: [ArticleDto] })
  @ForEveryRole()
  @Get()
  list(): Promise<ArticleDto[]> {
    return this.shelf.list();
  }

  @ApiOperation({ summary: 'Put a new article on the shelf' })
  @ApiCreatedResponse({ type: ArticleDto })
  @Allow('crewLead', 'mechanic')
  @Post()
  create(@Body() body: CreateArticleDto): Promise<ArticleDto> {
    return this.shelf.create(body);
  }

  @ApiOperation({ summary: 'Change an article, and what a kit holds' })
  @ApiOkResponse({ type: ArticleDto })
  @Allow('crewLead', 'mechanic')
  @Put(':id')
  update(@Param('id', IdOf('article')) id: string, @Body() body: UpdateArticleDto): Promise<ArticleDto> {
    return this.shelf.update(id, body);
  }

  @ApiOperation({ summary: 'Keep a photo of an article, or take it away' })
  @ApiOkResponse({ type: ArticleDto })
  @Allow('crewLead', 'mechanic')
  @TakesPhotos()
  @Put(':id/photo')
  async updatePhoto(
    @Param('id', IdOf('article')) id: string,
    @Body() body: UpdatePhotoDto,
    @Caller() caller: Person,
  ): Promise<ArticleDto> {
    await this.photos.update(id, body, caller);
    return this.shelf.get(id);
  }

  @ApiOperation({ summary: 'What an article looks like' })
  @ForEveryRole()
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', 'private, max-age=31536000, immutable')
  @Get(':id/photo/:revision')
  async photo(
    @Param('id', IdOf('article')) id: string,
    @Param('revision', IdOf('photo')) revision: string,
  ): Promise<StreamableFile> {
    return new StreamableFile(await this.photos.bytes(id, revision));
  }

  @ApiOperation({ summary: 'Merge an article that was entered twice into the other' })
  @ApiCreatedResponse({ type: ArticleDto })
  @Allow('crewLead')
  @Post(':id/merge')
  mergeInto(
    @Param('id', IdOf('article')) id: string,
    @Body() body: MergeArticleDto,
    @Caller() caller: Person,
    @Req() { ip }: CallerRequest,
  ): Promise<ArticleDto> {
    return this.merging.merge(id, body, caller, ip);
  }

  @ApiOperation({ summary: 'Book stock that came in, came back or went away, or a count' })
  @ApiCreatedResponse({ type: ArticleDto })
  @Allow('crewLead', 'mechanic')
  @Post(':id/movements')
  async act(
    @Param('id', IdOf('article')) id: string,
    @Body() body: StockActDto,
    @Caller() caller: Person,
  ): Promise<ArticleDto> {
    await this.ledger.act(id, body, caller);
    return this.shelf.get(id);
  }
}
