import { Controller, Get, Header, Query, StreamableFile } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { LABELS_OF_SHEET, PaperQueryDto, ShelfLabelsQueryDto } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { byPlaces, componentSpec, labelWords } from '@yugator/core';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound } from '../problem/problem.js';
import { Allow, TakesLong } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { Shelf } from '../shelf/shelf.js';
import { shedNames } from '../shelf/shedStocks.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { countParts } from './countParts.js';
import { PrintShop } from './printShop.js';

function aboutWords({ number, barcode, place, fluid, component }: ArticleDto): string {
  const label = fluid ? labelWords(fluid) : '';
  return [number, barcode, place, label || (component ? componentSpec(component).words : '')]
    .filter(Boolean)
    .join(' · ');
}

/** What of the shelf goes on paper. */
@ApiTags('paper')
@Controller('api/shelf-paper')
export class ShelfPaperController {
  constructor(
    private readonly shelf: Shelf,
    private readonly calendar: SiteCalendar,
    private readonly shop: PrintShop,
  ) {}

  @ApiOperation({ summary: 'Labels for the shelf with the codes of articles as bars, as PDF' })
  @Allow('crewLead', 'mechanic')
  @TakesLong()
  @Header('content-type', 'application/pdf')
  @Get('labels.pdf')
  async labels(
    @Query() { paper = 'a4', from = 1, articleId, place }: ShelfLabelsQueryDto,
  ): Promise<StreamableFile> {
    if (from > LABELS_OF_SHEET[paper]) {
      const detail = `This sheet has ${LABELS_OF_SHEET[paper]} labels. Give the first that is still there.`;
      throw fieldProblem(fault('/from', 'beyond', detail));
    }
    return this.shop.print(async () => {
      const all = await this.shelf.list(articleId ? [articleId] : undefined);
      const chosen = all.filter(
        (article) =>
          Boolean(articleId) || (!article.isRetired && (place === undefined || article.place === place)),
      );
      if (chosen.length === 0) throw notFound('article');
      const labels = byPlaces(chosen).flatMap(({ articles }) =>
        articles.map((article) => ({
          name: article.name,
          about: aboutWords(article),
          code: article.barcode || article.number,
        })),
      );
      return { kind: 'shelfLabels', paper, labels, from };
    });
  }

  @ApiOperation({ summary: 'A sheet to count the shelf with, shed by shed and place by place, as PDF' })
  @Allow('crewLead', 'mechanic')
  @TakesLong()
  @Header('content-type', 'application/pdf')
  @Get('count.pdf')
  async count(@Query() { paper = 'a4' }: PaperQueryDto, @Caller() caller: Person): Promise<StreamableFile> {
    return this.shop.print(async () => {
      const [articles, sheds, { site, today }] = await Promise.all([
        this.shelf.list(),
        shedNames(),
        this.calendar.read(),
      ]);
      const parts = countParts(articles, sheds);
      return { kind: 'count', paper, parts, today, units: caller.unitSystem ?? site.unitSystem };
    });
  }
}
