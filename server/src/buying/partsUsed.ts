import { Injectable } from '@nestjs/common';
import type { PartsUsedDto, UsedLineDto, UsedPeriodDto } from '@yugator/contracts';
import {
  addDays,
  civilDate,
  dayNumber,
  lifeAtDay,
  roundHours,
  takenUntil,
  usedBySeason,
  usedByYear,
} from '@yugator/core';
import type { CivilDate, Season, UsedArticle, UsedDraw, UsedPeriod } from '@yugator/core';
import { Job } from '../models/job.model.js';
import { Article, FitRow, ItemArticleRow, Movement } from '../models/shelf.model.js';
import { notFound } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { Seasons } from '../season/seasons.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { machineNeeds } from './machineNeeds.js';

const DAYS_AHEAD = 365;

/** What the jobs of a machine drew and left. */
async function drawsOf(machineId: string): Promise<UsedDraw[]> {
  const jobs = await Job.findAll({
    where: { machineId, state: 'signedOff' },
    attributes: ['id', 'doneOn'],
    raw: true,
  });
  const doneOn = new Map(jobs.map((job) => [job.id, job.doneOn]));
  const movements = await Movement.findAll({
    where: { jobId: jobs.map(({ id }) => id), voidedAt: null },
    attributes: ['articleId', 'quantity', 'valueMinor', 'jobId'],
    raw: true,
  });
  return movements.flatMap(({ articleId, quantity, valueMinor, jobId }) => {
    const on = doneOn.get(jobId ?? '') ?? null;
    const costMinor = 0 - valueMinor;
    return on === null ? [] : [{ articleId, on: civilDate(on), quantity: 0 - quantity, costMinor }];
  });
}

/** The seasons that a machine takes part in. */
function ownSeasons({ facts }: ScheduledMachine, seasons: readonly Season[]): Season[] {
  const own = new Set(facts.participation.map(({ seasonId }) => seasonId));
  return seasons.filter(({ id }) => own.has(id));
}

/** Engine hours run from one day to another, both included, up to `today`. */
function hoursIn({ schedule }: ScheduledMachine, from: CivilDate, to: CivilDate, today: CivilDate): number {
  const end = lifeAtDay(schedule.points, dayNumber(to < today ? to : today));
  return roundHours(Math.max(0, end - lifeAtDay(schedule.points, dayNumber(addDays(from, -1)))));
}

/** Which kits and parts a machine takes in a year, and took. */
@Injectable()
export class PartsUsed {
  constructor(
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly seasons: Seasons,
  ) {}

  async of(machineId: string): Promise<PartsUsedDto> {
    const [scheduled, siteNow, draws, fits, articles, seasons] = await Promise.all([
      this.schedule.readOne(machineId),
      this.calendar.read(),
      drawsOf(machineId),
      FitRow.findAll({ where: { machineId } }),
      Article.findAll(),
      this.seasons.all(),
    ]);
    if (!scheduled) throw notFound('machine');
    const lines = await ItemArticleRow.findAll({
      where: { itemId: scheduled.facts.items.map(({ id }) => id) },
    });
    const { today } = siteNow;
    const until = addDays(today, DAYS_AHEAD - 1);
    const works = machineNeeds(scheduled, fits, lines, siteNow, until);
    const known = new Map(articles.map((article) => [article.id, article]));
    const periodDto = ({ season, year, isBefore, from, to, used, costMinor }: UsedPeriod): UsedPeriodDto => ({
      season,
      year,
      isBefore,
      hours: hoursIn(scheduled, from, to, today),
      lines: used.map((each) => this.line(each, known)),
      costMinor,
    });
    return {
      until,
      takes: takenUntil(works, until).flatMap(({ articleId, quantity, times }) => {
        const article = known.get(articleId);
        if (!article) return [];
        const { name, unit, number, place, priceMinor } = article;
        const costMinor = Math.round(quantity * priceMinor);
        return [{ articleId, name, unit, number: number ?? '', place, quantity, times, costMinor }];
      }),
      years: usedByYear(draws).map(periodDto),
      seasons: usedBySeason(draws, ownSeasons(scheduled, seasons)).map(periodDto),
    };
  }

  private line(used: UsedArticle, known: ReadonlyMap<string, Article>): UsedLineDto {
    const { articleId, drawn, left, costMinor } = used;
    const article = known.get(articleId);
    return {
      articleId,
      name: article?.name ?? '',
      kind: article?.kind ?? 'part',
      unit: article?.unit ?? 'piece',
      drawn,
      left,
      costMinor,
    };
  }
}
