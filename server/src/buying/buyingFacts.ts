import { Injectable } from '@nestjs/common';
import type { BoughtArticleDto, BoughtFromDto, BuyingFactsDto } from '@yugator/contracts';
import { addDays, civilDate } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { linesOf, storedCards } from '../job/storedCards.js';
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

/** The days on which items are planned by what is published, by machine and item. */
async function plannedDays(
  today: CivilDate,
): Promise<ReadonlyMap<string, ReadonlyMap<string, readonly CivilDate[]>>> {
  const cards = (await storedCards(today)).filter(({ state }) => state === 'planned');
  const days = new Map<string, Map<string, CivilDate[]>>();
  for (const { card } of cards) {
    const own = days.get(card.machineId) ?? new Map<string, CivilDate[]>();
    for (const itemId of linesOf(card)) own.set(itemId, [...(own.get(itemId) ?? []), civilDate(card.onDay)]);
    days.set(card.machineId, own);
  }
  return days;
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
    const [machines, articles, onHand, parts, arrivals, fits, lines, planned] = await Promise.all([
      this.schedule.read(),
      Article.findAll({ order: ['name'] }),
      this.shelf.onHandById(),
      partsByKit(),
      arrivalsByArticle(today),
      FitRow.findAll(),
      ItemArticleRow.findAll(),
      plannedDays(today),
    ]);
    const fitsByMachine = grouped(fits, ({ machineId }) => machineId);
    const linesByItem = grouped(lines, ({ itemId }) => itemId);
    const until = addDays(today, weeks * 7 - 1);
    const works = await mapGently(machines, (scheduled) => {
      const { id: machineId, tag: machineTag } = scheduled.machine;
      const ofLines = scheduled.facts.items.flatMap(({ id }) => linesByItem.get(id) ?? []);
      const ofFits = fitsByMachine.get(machineId) ?? [];
      return machineNeeds(scheduled, ofFits, ofLines, siteNow, until, planned.get(machineId)).map(
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
