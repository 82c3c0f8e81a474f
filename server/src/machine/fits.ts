import { Injectable } from '@nestjs/common';
import type { FitsDto, UpdateFitsDto } from '@yugator/contracts';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Machine } from '../models/machine.model.js';
import type { Person } from '../models/person.model.js';
import { FitRow } from '../models/shelf.model.js';
import { fieldProblem, notFound, stale } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { fitsOf } from '../shelf/fits.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { articlesOf, fitFaults } from './fitFaults.js';
import { isCovered } from './warrantyOf.js';

/** What fits a machine. */
@Injectable()
export class Fits {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly shelf: Shelf,
  ) {}

  async of(machineId: string): Promise<FitsDto> {
    const [scheduled, { today }, fits, onHand] = await Promise.all([
      this.schedule.readOne(machineId),
      this.calendar.read(),
      fitsOf(machineId),
      this.shelf.onHandById(),
    ]);
    if (!scheduled) throw notFound('machine');
    return {
      fits: fits.map(({ component, articleId, quantity, standing, reason, article: { name, unit } }) => ({
        component,
        articleId,
        quantity,
        standing,
        reason,
        name,
        unit,
        onHand: onHand.get(articleId) ?? 0,
      })),
      underWarranty: isCovered(scheduled.machine, scheduled.schedule.life, today),
      version: scheduled.machine.version,
    };
  }

  /** Says anew what fits a machine. What the card or the house rules forbid is refused. */
  async update(machineId: string, { fits, version }: UpdateFitsDto, caller: Person): Promise<FitsDto> {
    const siteNow = await this.calendar.read();
    return this.work.run(async () => {
      const machine = await Machine.findByPk(machineId, { lock: true });
      if (!machine) throw notFound('machine');
      if (machine.version !== version) throw stale('machine', await this.of(machineId));
      const scheduled = await this.schedule.readOne(machineId);
      if (!scheduled) throw notFound('machine');
      const [before, articles] = await Promise.all([fitsOf(machineId), articlesOf(fits)]);
      const faults = fitFaults(fits, { before, articles, scheduled, siteNow, caller });
      if (faults.length) throw fieldProblem(...faults);
      await FitRow.destroy({ where: { machineId } });
      await FitRow.bulkCreate(fits.map((fit) => ({ ...fit, machineId })));
      await machine.update({ version: version + 1 });
      await this.schedule.touched([machineId]);
      this.work.changed('machines');
      return this.of(machineId);
    });
  }
}
