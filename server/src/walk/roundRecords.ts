import { Injectable } from '@nestjs/common';
import type { PouredDto } from '@yugator/contracts';
import {
  civilDateAt,
  instantOnDay,
  lifeHours,
  lifeKnownAt,
  roundHours,
  segmentAt,
  toLife,
} from '@yugator/core';
import type { CivilDate, Instant } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { recordRow } from '../job/recordRow.js';
import type { StoredWalk } from '../job/storedWalk.js';
import { Meters } from '../meter/meters.js';
import { Job, JobItem, TopUpRow } from '../models/job.model.js';
import { keepNames } from '../models/keepNames.js';
import { Machine } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { Ledger } from '../shelf/ledger.js';
import { SiteCalendar } from '../site/siteCalendar.js';

/** Work that was done without a job. */
export interface RoundRecord {
  readonly doneOn: CivilDate;
  /** what the meter showed; null where nobody read it */
  readonly shown: number | null;
  /** lines that were done */
  readonly itemIds: readonly string[];
  readonly poured: readonly PouredDto[];
  readonly walk: StoredWalk | null;
  /** milliseconds since it was typed; null where it comes at once */
  readonly ago: number | null;
}

/** Records of work without a job: a walk-round, a line that was done now, a top-up. */
@Injectable()
export class RoundRecords {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly meters: Meters,
    private readonly ledger: Ledger,
  ) {}

  /**
   * Keeps a record inside the running unit of work, with its reading, its top-ups and what they drew from the shelf, and returns its id.
   * Without a reading it counts from the last one by that day.
   */
  async keep(scheduled: ScheduledMachine, record: RoundRecord, caller: Person): Promise<string> {
    const { doneOn, itemIds, poured, walk, ago } = record;
    const { now, today, site } = await this.calendar.read(ago ?? 0);
    const { now: signedAt } = await this.calendar.read();
    if (doneOn > today)
      throw fieldProblem(fault('/doneOn', 'future', 'That day is still to come. Give the day it was done.'));
    const at = doneOn === today ? now : instantOnDay(doneOn, 12, site.timeZone);
    const machineId = scheduled.machine.id;
    const hours = await this.hours(scheduled, record.shown, at, caller);
    const jobId = uuid();
    await Job.create(
      recordRow({ id: jobId, machineId, kind: 'round', doneOn, walk, ...hours }, caller, signedAt),
    );
    await JobItem.bulkCreate(
      itemIds.map((itemId) => ({ jobId, itemId, outcome: 'done' as const, version: 1 })),
    );
    await this.pour(jobId, scheduled.machine, poured, caller);
    await keepNames(jobId);
    await this.schedule.touched([machineId]);
    this.work.changed('jobs', 'readings');
    return jobId;
  }

  /** The hours of a record: those of a reading that is kept with it, else those known by then. */
  private async hours(
    scheduled: ScheduledMachine,
    shown: number | null,
    at: Instant,
    caller: Person,
  ): Promise<{ life: number; shown: number; readingId: string | null }> {
    if (shown !== null) {
      const { row, life } = await this.meters.enter(scheduled, { at, shown }, 'round', caller, '');
      return { life, shown, readingId: row.id };
    }
    const { site } = await this.calendar.read();
    const { readings, segments, entry } = scheduled.facts;
    if (civilDateAt(at, site.timeZone) < entry.on)
      throw fieldProblem(fault('/doneOn', 'beforeService', 'It was not in service yet. Give a later day.'));
    const life = lifeKnownAt(toLife(readings, segments), at, lifeHours(entry.life));
    const offset = segmentAt(segments, at).offset;
    return { life, shown: Math.max(0, roundHours(life - offset)), readingId: null };
  }

  private async pour(
    jobId: string,
    { id: machineId, shed }: Machine,
    poured: readonly PouredDto[],
    caller: Person,
  ): Promise<void> {
    await TopUpRow.bulkCreate(
      poured.map(({ component, litres, grade, reason = '', articleId = null }) => ({
        jobId,
        machineId,
        component,
        litres,
        grade,
        reason,
        articleId,
      })),
    );
    const draws = poured.flatMap(({ articleId, litres }) =>
      articleId ? [{ articleId, quantity: litres }] : [],
    );
    if (draws.length) await this.ledger.draw(draws, { jobId, shed }, caller);
  }
}
