import { Injectable } from '@nestjs/common';
import type { LedgerPageDto, PricePaidDto, ShelfMonthDto } from '@yugator/contracts';
import { civilDateAt, instantOf, shelfMonths } from '@yugator/core';
import { literal, Op } from 'sequelize';
import { Article, Movement, TakeRow } from '../models/shelf.model.js';
import { namesById } from '../people/namesById.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { tagsByJob } from './tagsByJob.js';
import { toMovementDto } from './toArticleDto.js';

const PAGE_SIZE = 200;

/** What went out before it came in cost another price than its record says: the difference, at the time of the lot. */
async function repriced(): Promise<{ movedAt: Date; valueMinor: number }[]> {
  const takes = await TakeRow.findAll({
    where: { [Op.and]: [{ lotId: { [Op.ne]: null } }, literal('cost_minor <> lot_minor')] },
    raw: true,
  });
  const lots = await Movement.findAll({ where: { id: takes.map(({ lotId }) => lotId ?? '') }, raw: true });
  const byId = new Map(lots.map((lot) => [lot.id, lot]));
  return takes.flatMap(({ lotId, costMinor, lotMinor }) => {
    const lot = byId.get(lotId ?? '');
    return lot ? [{ movedAt: lot.movedAt, valueMinor: costMinor - lotMinor }] : [];
  });
}

/** What the shelf was worth month by month, and the whole of its ledger. */
@Injectable()
export class ShelfMonths {
  constructor(private readonly calendar: SiteCalendar) {}

  /** The months since the first movement, the earlier first. */
  async months(): Promise<ShelfMonthDto[]> {
    const [{ site, today }, movements, priced] = await Promise.all([
      this.calendar.read(),
      Movement.findAll({
        where: { voidedAt: null },
        attributes: ['movedAt', 'kind', 'valueMinor'],
        raw: true,
      }),
      repriced(),
    ]);
    const all = [...movements, ...priced.map((each) => ({ ...each, kind: 'priced' as const }))];
    return shelfMonths(
      all.map(({ movedAt, kind, valueMinor }) => ({
        on: civilDateAt(instantOf(movedAt.getTime()), site.timeZone),
        kind,
        valueMinor,
      })),
      today,
    );
  }

  /** What was paid for an article each time that it came in, latest first. */
  async prices(articleId: string): Promise<PricePaidDto[]> {
    const [{ site }, came] = await Promise.all([
      this.calendar.read(),
      Movement.findAll({
        where: { articleId, kind: 'received', voidedAt: null, quantity: { [Op.gt]: 0 } },
        order: [
          ['movedAt', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: PAGE_SIZE,
        raw: true,
      }),
    ]);
    return came.map(({ movedAt, quantity, valueMinor, note }) => ({
      on: civilDateAt(instantOf(movedAt.getTime()), site.timeZone),
      quantity,
      priceMinor: Math.round(valueMinor / quantity),
      note,
    }));
  }

  /** A page of all movements, latest first; voided ones say so. */
  async ledger(page: number): Promise<LedgerPageDto> {
    const [{ count, rows }, names] = await Promise.all([
      Movement.findAndCountAll({
        include: [Article],
        order: [
          ['movedAt', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: PAGE_SIZE,
        offset: (page - 1) * PAGE_SIZE,
      }),
      namesById(),
    ]);
    const tags = await tagsByJob(rows.flatMap(({ jobId }) => jobId ?? []));
    return {
      total: count,
      lines: rows.map((movement) => ({
        article: movement.articleName ?? movement.article?.name ?? '',
        number: movement.article?.number ?? '',
        unit: movement.article?.unit ?? 'piece',
        ...toMovementDto(movement, { names, tags }),
      })),
    };
  }
}
