import { Injectable } from '@nestjs/common';
import type {
  FieldFaultDto,
  NeededDaysDto,
  UpdateWorkshopDaysDto,
  WorkshopDaysDto,
} from '@yugator/contracts';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Machine } from '../models/machine.model.js';
import { NeededDaysRow, WorkshopDayException, WorkshopWeekday } from '../models/plan.model.js';
import { Site } from '../models/site.model.js';
import { fault, fieldProblem, notFound, stale } from '../problem/problem.js';

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
    const [site, week, exceptions, needed] = await Promise.all([
      planSite(),
      WorkshopWeekday.findAll({ raw: true }),
      WorkshopDayException.findAll({ order: ['onDay'], raw: true }),
      NeededDaysRow.findAll({ order: ['fromDay', 'untilDay', 'id'], raw: true }),
    ]);
    return {
      week: WEEK.map((weekday) => {
        const known = week.find((each) => each.weekday === weekday);
        return { minutes: known?.minutes ?? 0, bays: known?.bays ?? 0 };
      }),
      exceptions: exceptions.map(({ onDay, minutes, bays, note }) => ({ on: onDay, minutes, bays, note })),
      needed: needed.map(({ machineId, fromDay, untilDay, note }) => ({
        machineId,
        from: fromDay,
        until: untilDay,
        note,
      })),
      readyDays: site.readyDays,
      layUpDays: site.layUpDays,
      version: site.workshopDaysVersion,
    };
  }

  /** Writes the week, all exceptions and all days on which machines are needed anew. */
  async update({ version, ...said }: UpdateWorkshopDaysDto): Promise<WorkshopDaysDto> {
    return this.work.run(async () => {
      const site = await planSite(true);
      if (site.workshopDaysVersion !== version) throw stale('days of the workshop', await this.read());
      const faults = await neededFaults(said.needed);
      if (faults.length) throw fieldProblem(...faults);
      const { week, exceptions, needed, readyDays, layUpDays } = said;
      await WorkshopWeekday.destroy({ where: {} });
      await WorkshopWeekday.bulkCreate(
        week.map(({ minutes, bays }, weekday) => ({ weekday, minutes, bays })),
      );
      await WorkshopDayException.destroy({ where: {} });
      await WorkshopDayException.bulkCreate(
        exceptions.map(({ on, minutes, bays, note = '' }) => ({ onDay: on, minutes, bays, note })),
      );
      await NeededDaysRow.destroy({ where: {} });
      await NeededDaysRow.bulkCreate(
        needed.map(({ machineId = null, from, until, note = '' }) => ({
          id: uuid(),
          machineId,
          fromDay: from,
          untilDay: until,
          note,
        })),
      );
      await site.update({ readyDays, layUpDays, workshopDaysVersion: version + 1 });
      this.work.changed('plan');
      return this.read();
    });
  }
}

/** What speaks against days on which machines must not be missing. */
async function neededFaults(needed: readonly NeededDaysDto[]): Promise<FieldFaultDto[]> {
  const ids = [...new Set(needed.flatMap(({ machineId }) => machineId ?? []))];
  const known = new Set(
    (await Machine.findAll({ where: { id: ids }, attributes: ['id'], raw: true })).map(({ id }) => id),
  );
  return needed.flatMap(({ machineId, from, until }, at) => [
    ...(machineId && !known.has(machineId)
      ? [fault(`/needed/${at}/machineId`, 'unknown', 'This machine is no longer in the fleet.')]
      : []),
    ...(until < from
      ? [fault(`/needed/${at}/until`, 'beforeFrom', 'Give a last day on or after the first.')]
      : []),
  ]);
}
