import { Injectable } from '@nestjs/common';
import type { BoughtArticleDto, BoughtFromDto, BuyingFactsDto } from '@yugator/contracts';
import { addDays } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { OfferRow, Supplier } from '../models/buying.model.js';
import { Article, FitRow, ItemArticleRow } from '../models/shelf.model.js';
import { mapGently } from '../queue/breather.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { partsByKit } from '../shelf/kitParts.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { arrivalsByArticle } from './arrivals.js';
import { machineNeeds } from './machineNeeds.js';

const WEEKS = 26;

async function suppliersOf(sold: ReadonlySet<string>): Promise<BoughtFromDto[]> {
  const suppliers = await Supplier.findAll({
    where: { retiredAt: null },
    include: [OfferRow],
    order: ['name'],
  });
  return suppliers.map(({ id, name, leadDays, carriageMinor, freeFromMinor, offers = [] }) => ({
    id,
    name,
    leadDays,
    carriageMinor,
    freeFromMinor,
    offers: offers
      .filter(({ articleId }) => sold.has(articleId))
      .map(({ articleId, number, pack, priceMinor, leadDays: days }) => ({
        articleId,
        number,
        pack,
        priceMinor,
        leadDays: days,
      })),
  }));
}

/** All that what to buy follows from: what is coming, what lies there, what is to come, and what is sold where. */
@Injectable()
export class BuyingFacts {
  constructor(
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly shelf: Shelf,
  ) {}

  async read(weeks = WEEKS): Promise<BuyingFactsDto> {
    const siteNow = await this.calendar.read();
    const { today } = siteNow;
    const [machines, articles, onHand, parts, arrivals, fits, lines] = await Promise.all([
      this.schedule.read(),
      Article.findAll({ order: ['name'] }),
      this.shelf.onHandById(),
      partsByKit(),
      arrivalsByArticle(today),
      FitRow.findAll(),
      ItemArticleRow.findAll(),
    ]);
    const fitsByMachine = grouped(fits, ({ machineId }) => machineId);
    const linesByItem = grouped(lines, ({ itemId }) => itemId);
    const until = addDays(today, weeks * 7 - 1);
    const works = await mapGently(machines, (scheduled) => {
      const { id: machineId, tag: machineTag } = scheduled.machine;
      const ofLines = scheduled.facts.items.flatMap(({ id }) => linesByItem.get(id) ?? []);
      return machineNeeds(scheduled, fitsByMachine.get(machineId) ?? [], ofLines, siteNow, until).map(
        ({ articles: takes, ...dates }) => ({ machineId, machineTag, ...dates, articles: [...takes] }),
      );
    });
    return {
      today,
      weeks,
      works: works.flat(),
      articles: articles.map((article): BoughtArticleDto => {
        const { id, name, kind, unit, priceMinor, leastOnHand, retiredAt } = article;
        return {
          id,
          name,
          kind,
          unit,
          onHand: onHand.get(id) ?? 0,
          // Nothing is wanted of what is no longer bought.
          leastOnHand: retiredAt === null ? leastOnHand : 0,
          priceMinor,
          contents: (parts.get(id) ?? []).map(({ articleId, quantity }) => ({ articleId, quantity })),
          arrivals: arrivals.get(id) ?? [],
        };
      }),
      suppliers: await suppliersOf(
        new Set(articles.filter(({ retiredAt }) => retiredAt === null).map(({ id }) => id)),
      ),
    };
  }
}
