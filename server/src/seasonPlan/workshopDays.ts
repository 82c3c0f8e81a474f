import { Injectable } from '@nestjs/common';
import type { UpdateWorkshopDaysDto, WorkshopDaysDto } from '@yugator/contracts';
import { UnitOfWork } from '../database/unitOfWork.js';
import { WorkshopDayException, WorkshopWeekday } from '../models/plan.model.js';
import { Site } from '../models/site.model.js';
import { notFound, stale } from '../problem/problem.js';

const WEEK = [0, 1, 2, 3, 4, 5, 6];

/** The site, whose plan and days have a version each; locked, where one of them is to be changed. */
export async function planSite(lock = false): Promise<Site> {
  const site = await Site.findOne({ lock });
  if (!site) throw notFound('site');
  return site;
}

/** When the workshop is open. */
@Injectable()
export class WorkshopDays {
  constructor(private readonly work: UnitOfWork) {}

  async read(): Promise<WorkshopDaysDto> {
    const [site, week, exceptions] = await Promise.all([
      planSite(),
      WorkshopWeekday.findAll({ raw: true }),
      WorkshopDayException.findAll({ order: ['onDay'], raw: true }),
    ]);
    return {
      week: WEEK.map((weekday) => {
        const known = week.find((each) => each.weekday === weekday);
        return { minutes: known?.minutes ?? 0, bays: known?.bays ?? 0 };
      }),
      exceptions: exceptions.map(({ onDay, minutes, bays, note }) => ({ on: onDay, minutes, bays, note })),
      version: site.workshopDaysVersion,
    };
  }

  /** Writes the week and all exceptions anew. */
  async update({ week, exceptions, version }: UpdateWorkshopDaysDto): Promise<WorkshopDaysDto> {
    return this.work.run(async () => {
      const site = await planSite(true);
      if (site.workshopDaysVersion !== version) throw stale('days of the workshop', await this.read());
      await WorkshopWeekday.destroy({ where: {} });
      await WorkshopWeekday.bulkCreate(
        week.map(({ minutes, bays }, weekday) => ({ weekday, minutes, bays })),
      );
      await WorkshopDayException.destroy({ where: {} });
      await WorkshopDayException.bulkCreate(
        exceptions.map(({ on, minutes, bays, note = '' }) => ({ onDay: on, minutes, bays, note })),
      );
      await site.update({ workshopDaysVersion: version + 1 });
      this.work.changed('plan');
      return this.read();
    });
  }
}
