import { Injectable } from '@nestjs/common';
import type {
  ArrivalDto,
  BoughtArticleDto,
  BoughtFromDto,
  BuyingFactsDto,
  ComingArticleDto,
  ComingWorkDto,
} from '@yugator/contracts';
import { addDays, daysBetween, fittingChoices, replacedComponents, roundQuantity } from '@yugator/core';
import type { CivilDate, ComingWork, Fit, FittingArticle } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { isCovered } from '../machine/warrantyOf.js';
import { rulesOn } from '../machine/rulesOn.js';
import { storedCardOrEmpty } from '../machine/storedCard.js';
import { OfferRow, Order, OrderLine, Supplier } from '../models/buying.model.js';
import { Article, FitRow, ItemArticleRow } from '../models/shelf.model.js';
import { mapGently } from '../queue/breather.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { partsByKit } from '../shelf/kitParts.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import type { SiteNow } from '../site/siteCalendar.js';

const WEEKS = 26;
/** What falls due within so many days is done in one visit, where a filter changes how much oil goes in (common practice). */
const ONE_VISIT_DAYS = 14;

/** What the works of a machine may take: by what fits it, else by the lines of its books. */
class MachineNeeds {
  constructor(
    private readonly scheduled: ScheduledMachine,
    private readonly fits: readonly Fit[],
    private readonly lines: ReadonlyMap<string, readonly ItemArticleRow[]>,
    private readonly today: CivilDate,
    private readonly site: SiteNow['site'],
  ) {}

  works(until: CivilDate): ComingWorkDto[] {
    const coming = this.scheduled.schedule.comingUntil(until);
    return coming.flatMap((work) => this.takenBy(work, coming));
  }

  private takenBy(work: ComingWork, coming: readonly ComingWork[]): ComingWorkDto[] {
    const { machine } = this.scheduled;
    const told = {
      machineId: machine.id,
      machineTag: machine.tag,
      earlyOn: work.earlyOn,
      expectedOn: work.expectedOn,
      lateOn: work.lateOn,
    };
    const beside = coming.filter(
      ({ expectedOn }) => Math.abs(daysBetween(work.expectedOn, expectedOn)) <= ONE_VISIT_DAYS,
    );
    const replaced = replacedComponents(beside.map(({ item }) => item));
    const choices = fittingChoices(work.item, replaced, this.fits, storedCardOrEmpty(machine.spec));
    if (choices.length) return choices.map(({ articles }) => ({ ...told, articles: this.allowed(articles) }));
    return (this.lines.get(work.item.id) ?? []).map(({ articleId, quantity }) => ({
      ...told,
      articles: [{ articleId, quantity }],
    }));
  }

  /** Where the house rule asks for the maker's own parts, those alone, if there are any. */
  private allowed(articles: readonly FittingArticle[]): ComingArticleDto[] {
    const { machine, schedule } = this.scheduled;
    const rule = rulesOn(machine, this.site).parts;
    const wantsMakers =
      rule === 'maker' || (rule === 'makerInWarranty' && isCovered(machine, schedule.life, this.today));
    const originals = articles.filter(({ standing }) => standing === 'original');
    const left = wantsMakers && originals.length ? originals : articles;
    return left.map(({ articleId, quantity }) => ({ articleId, quantity }));
  }
}

/** What was ordered and is to come, by article. A day that is past comes today. */
async function arrivalsByArticle(today: CivilDate): Promise<ReadonlyMap<string, ArrivalDto[]>> {
  const lines = await OrderLine.findAll({
    include: [{ model: Order, where: { isOpen: true }, required: true }],
  });
  const open = lines.flatMap(({ articleId, pack, packs, arrived, order }) => {
    const quantity = roundQuantity((packs - arrived) * pack);
    const on = order && order.expectedOn > today ? order.expectedOn : today;
    return quantity > 0 ? [{ articleId, on, quantity }] : [];
  });
  return new Map(
    [...grouped(open, ({ articleId }) => articleId)].map(([id, own]) => [
      id,
      own.map(({ on, quantity }) => ({ on, quantity })),
    ]),
  );
}

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
    const { site, today } = await this.calendar.read();
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
      const own = fitsByMachine.get(scheduled.machine.id) ?? [];
      return new MachineNeeds(scheduled, own, linesByItem, today, site).works(until);
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
