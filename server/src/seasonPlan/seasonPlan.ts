import { Injectable } from '@nestjs/common';
import { DAILY_WEEKS } from '@yugator/contracts';
import type {
  LoadAheadDto,
  MachineRefDto,
  PlannedMachineDto,
  PlanTroublesDto,
  PlanWeeks,
  PublishPlanDto,
  SeasonPlanDto,
} from '@yugator/contracts';
import {
  ADD_COST,
  addDays,
  civilDate,
  coarsen,
  LAY_UP_COST,
  loadAhead,
  planTroubles,
  READY_COST,
  TOLD_DAYS,
  withKitContents,
  workshopDays,
} from '@yugator/core';
import type { AnnualRule, CivilDate, PlannerInstance } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { arrivalsByArticle } from '../buying/arrivals.js';
import { grouped } from '../database/grouped.js';
import { inChunks } from '../database/inChunks.js';
import { storedList } from '../database/storedJson.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import type { Person } from '../models/person.model.js';
import { VisitCard, VisitCardDefect, VisitCardItem } from '../models/plan.model.js';
import { Article, FitRow, ItemArticleRow } from '../models/shelf.model.js';
import type { Site } from '../models/site.model.js';
import { namesById } from '../people/namesById.js';
import { fieldProblem, stale } from '../problem/problem.js';
import { mapGently } from '../queue/breather.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { partsByKit } from '../shelf/kitParts.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { cardMinutes } from './cardMinutes.js';
import { cardsFaults, planOf } from './cardsOfPlan.js';
import { KnownTroubles } from './knownTroubles.js';
import { plannedMachine } from './planInstance.js';
import type { PlannedMachine } from './planInstance.js';
import { storedCards, workOf } from '../job/storedCards.js';
import type { StoredCard } from '../job/storedCards.js';
import { openDefects } from './openDefects.js';
import { planSite, WorkshopDays, workshopTimes } from './workshopDays.js';

const WEEKS = DAILY_WEEKS;
const YEAR_WEEKS = 52;
/** All that a plan follows from. */
export interface PlanFacts {
  readonly today: CivilDate;
  readonly instance: PlannerInstance;
  readonly machines: readonly PlannedMachine[];
  /** in the same order */
  readonly scheduled: readonly ScheduledMachine[];
  readonly cards: readonly StoredCard[];
}

/** Which machine comes to the workshop on which day, and for what. */
@Injectable()
export class SeasonPlans {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly days: WorkshopDays,
    private readonly shelf: Shelf,
  ) {}

  /** `annual`: as if the house did its yearly service then. */
  async read(weeks: PlanWeeks = WEEKS, annual: AnnualRule | null = null): Promise<SeasonPlanDto> {
    const [site, facts, names] = await Promise.all([planSite(), this.facts(weeks, annual), namesById()]);
    const { today, instance, machines, cards } = facts;
    return {
      today,
      weeks,
      instance,
      machines: machines.map(({ told }) => told),
      cards: cards.map(({ card, state }) => ({
        machineId: card.machineId,
        on: card.onDay,
        isLocked: card.isLocked,
        minutes: card.minutes,
        itemIds: workOf(card),
        state,
      })),
      labourRateMinor: site.labourRateMinor,
      publishedAt: site.planPublishedAt?.toISOString() ?? null,
      publishedBy: names.get(site.planPublishedById ?? '') ?? null,
      version: site.planVersion,
    };
  }

  /** Why what is published no longer holds, by what is known now and was not when it was published. */
  async troubles(): Promise<PlanTroublesDto> {
    const [site, { today, instance, machines, cards }] = await Promise.all([planSite(), this.facts(WEEKS)]);
    const toCome = cards.flatMap(({ card, state }) =>
      state === 'planned' ? [{ machineId: card.machineId, on: card.onDay, itemIds: workOf(card) }] : [],
    );
    if (toCome.length === 0) return { troubles: [] };
    const troubles = planTroubles(instance, planOf(toCome, machines, today), TOLD_DAYS);
    const known = new Set(storedList(site.planKnown).filter((key) => typeof key === 'string'));
    return { troubles: knownTroubles(machines, today).unknown(troubles, known) };
  }

  /** What is asked of the workshop in the coming year, and where that is more than there is. */
  async load(): Promise<LoadAheadDto> {
    const { today, instance, machines } = await this.facts(YEAR_WEEKS);
    const { weeks, machines: years, shortages } = loadAhead(instance);
    return {
      weeks: weeks.map(({ from, ...figures }) => ({ from: addDays(today, from), ...figures })),
      machines: machines.map(({ told }, at) => ({
        machine: refOf(told),
        minutes: years[at]?.map(({ minutes }) => Math.round(minutes)) ?? [],
        isAtRest: years[at]?.map(({ isAtRest }) => isAtRest) ?? [],
      })),
      shortages: shortages.map((shortage) => ({
        from: addDays(today, shortage.from),
        until: addDays(today, shortage.until),
        minutes: shortage.minutes,
        beginOn: shortage.beginOn === null ? null : addDays(today, shortage.beginOn),
        machines: shortage.machines.flatMap((at) => {
          const told = machines[at]?.told;
          return told ? [refOf(told)] : [];
        }),
      })),
    };
  }

  /** Puts cards in place of all that the crew was told of from today on. */
  async publish({ cards, version }: PublishPlanDto, caller: Person): Promise<SeasonPlanDto> {
    const { now } = await this.calendar.read();
    await this.checkVersion(await planSite(), version);
    // Whole schedules are worked out before anything is locked.
    const { today, instance, machines, cards: before } = await this.facts(WEEKS);
    const keys = new Set(cards.map(({ machineId, on }) => `${machineId} ${on}`));
    // What was done stays told, unless its machine comes again on that day.
    const replaced = before.flatMap(({ card, state }) =>
      state === 'planned' || keys.has(`${card.machineId} ${card.onDay}`) ? [card.id] : [],
    );
    const byId = new Map(machines.map((machine) => [machine.told.id, machine]));
    const faults = cardsFaults(cards, machines, today);
    if (faults.length) throw fieldProblem(...faults);
    const troubles = planTroubles(instance, planOf(cards, machines, today), TOLD_DAYS);
    const planKnown = knownTroubles(machines, today).keys(troubles);
    const defects = new Set(
      machines.flatMap(({ told }) => told.items.flatMap(({ id, severity }) => (severity ? [id] : []))),
    );
    await this.work.run(async () => {
      const site = await planSite(true);
      await this.checkVersion(site, version);
      await VisitCard.destroy({ where: { id: replaced } });
      const rows = cards.map((card) => ({ id: uuid(), card }));
      await inChunks(rows, (chunk) =>
        VisitCard.bulkCreate(
          chunk.map(({ id, card }) => ({
            id,
            machineId: card.machineId,
            onDay: card.on,
            isLocked: card.isLocked,
            minutes: cardMinutes(byId.get(card.machineId)?.planner, card.itemIds),
          })),
        ),
      );
      const work = rows.flatMap(({ id: cardId, card }) => card.itemIds.map((id) => ({ cardId, id })));
      const lines = work.flatMap(({ cardId, id }) => (defects.has(id) ? [] : [{ cardId, itemId: id }]));
      const mended = work.flatMap(({ cardId, id }) => (defects.has(id) ? [{ cardId, defectId: id }] : []));
      await inChunks(lines, (chunk) => VisitCardItem.bulkCreate(chunk));
      await inChunks(mended, (chunk) => VisitCardDefect.bulkCreate(chunk));
      await site.update({
        planVersion: version + 1,
        planKnown,
        planPublishedAt: new Date(now),
        planPublishedById: caller.id,
      });
      this.work.changed('plan');
    });
    return this.read();
  }

  private async checkVersion({ planVersion }: Site, version: number): Promise<void> {
    if (planVersion !== version) throw stale('season plan', await this.read());
  }

  /** All that a plan of so many weeks follows from. */
  async facts(weeks: number = WEEKS, annual: AnnualRule | null = null): Promise<PlanFacts> {
    const siteNow = await this.calendar.read();
    const { today, site } = siteNow;
    const horizon = weeks * 7;
    const [scheduled, days, cards, defects, fits, lines, articles, loose, kits, orders] = await Promise.all([
      this.schedule.read(),
      this.days.read(),
      storedCards(today),
      openDefects(),
      FitRow.findAll(),
      ItemArticleRow.findAll(),
      Article.findAll({ attributes: ['id', 'name', 'priceMinor'], raw: true }),
      this.shelf.onHandById(),
      partsByKit(),
      arrivalsByArticle(today),
    ]);
    const arrivals = new Map(
      [...orders].map(([id, own]) => [id, own.map(({ on, quantity }) => ({ on: civilDate(on), quantity }))]),
    );
    const articlesById = new Map(articles.map((article) => [article.id, article]));
    const onHand = withKitContents(loose, kits);
    const fitsOf = grouped(fits, ({ machineId }) => machineId);
    const linesOf = grouped(lines, ({ itemId }) => itemId);
    const toCome = cards.flatMap(({ card, state }) => (state === 'planned' ? [card] : []));
    const cardsOf = grouped(toCome, ({ machineId }) => machineId);
    const defectsOf = grouped(defects, ({ machineId }) => machineId);
    const { readyDays, layUpDays } = days;
    const span = { today, horizon, grid: site.hoursGrid, margins: { readyDays, layUpDays } };
    const needed = days.needed.map(({ machineId = null, from, until }) => ({
      machineId,
      from: civilDate(from),
      until: civilDate(until),
    }));
    const open = workshopDays(await workshopTimes(days), today, horizon);
    const machines = await mapGently(scheduled, (each) => {
      const { id } = each.machine;
      const ofLines = each.facts.items.flatMap((item) => linesOf.get(item.id) ?? []);
      const takes = { fits: fitsOf.get(id) ?? [], ofLines, articles: articlesById, onHand, arrivals };
      const time = { span, days: open, needed, annual };
      const told = { cards: cardsOf.get(id) ?? [], defects: defectsOf.get(id) ?? [] };
      return plannedMachine(each, takes, told, siteNow, time);
    });
    const instance: PlannerInstance = {
      horizon,
      days: open,
      machines: machines.map(({ planner }) => planner),
      readyCost: READY_COST,
      layUpCost: LAY_UP_COST,
      published: toCome.length ? { until: TOLD_DAYS, addCost: ADD_COST } : null,
    };
    // What lies beyond is not known to the day.
    return { today, instance: coarsen(instance, DAILY_WEEKS * 7), machines, scheduled, cards };
  }
}

function refOf({ id, tag, name }: PlannedMachineDto): MachineRefDto {
  return { id, tag, name };
}

function knownTroubles(machines: readonly PlannedMachine[], today: CivilDate): KnownTroubles {
  return new KnownTroubles(
    machines.map(({ told }) => told),
    today,
  );
}
