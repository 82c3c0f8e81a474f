import { Injectable } from '@nestjs/common';
import { paperFaultWords } from '@yugator/contracts';
import type { KeepPaperLogDto, KnownLifeDto, PaperLogKeptDto, PaperRowDto } from '@yugator/contracts';
import {
  civilDate,
  civilDateAt,
  instantOnDay,
  paperFaults,
  roundHours,
  segmentAt,
  toLife,
} from '@yugator/core';
import type { CivilDate, KnownLife } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { recordRow } from '../job/recordRow.js';
import { Meters } from '../meter/meters.js';
import { Job, JobItem } from '../models/job.model.js';
import { keepNamesOf } from '../models/keepNames.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { SiteCalendar } from '../site/siteCalendar.js';

/** Past services of machines, taken over from paper. */
@Injectable()
export class PaperLog {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly meters: Meters,
  ) {}

  /** What is known of a machine's hours, in order of time: rows of paper are judged against it. */
  async known(machineId: string): Promise<KnownLifeDto[]> {
    const { site } = await this.calendar.read();
    const scheduled = await this.schedule.readOne(machineId);
    if (!scheduled) throw notFound('machine');
    const { entry } = scheduled.facts;
    return [{ on: entry.on, life: entry.life }, ...(await knownOf(scheduled, site.timeZone))];
  }

  /** Takes over rows of paper: each becomes a record of its day, marked as from paper; all of them, or none. */
  async keep(machineId: string, { rows }: KeepPaperLogDto, caller: Person): Promise<PaperLogKeptDto> {
    const { now, today, site } = await this.calendar.read();
    return this.work.run(async () => {
      await this.meters.lock([machineId]);
      const scheduled = await this.schedule.readOne(machineId);
      if (!scheduled) throw notFound('machine');
      await this.check(scheduled, rows, today);
      const { segments } = scheduled.facts;
      const jobs = rows.map(({ doneOn, life, note }) => {
        const at = instantOnDay(civilDate(doneOn), 12, site.timeZone);
        const shown = Math.max(0, roundHours(life - segmentAt(segments, at).offset));
        const own = { id: uuid(), machineId, kind: 'paper' as const, doneOn, life, shown, note };
        return recordRow(own, caller, now);
      });
      await Job.bulkCreate(jobs);
      await JobItem.bulkCreate(
        rows.flatMap(({ itemIds }, at) =>
          itemIds.map((itemId) => ({
            itemId,
            jobId: jobs[at]?.id ?? '',
            outcome: 'done' as const,
            version: 1,
          })),
        ),
      );
      await keepNamesOf([machineId]);
      await this.schedule.touched([machineId]);
      this.work.changed('jobs', 'machines');
      return { kept: rows.length };
    });
  }

  private async check(
    scheduled: ScheduledMachine,
    rows: readonly PaperRowDto[],
    today: CivilDate,
  ): Promise<void> {
    const { site } = await this.calendar.read();
    const items = new Set(scheduled.schedule.answers.map(({ item }) => item.id));
    const typed = rows.map(({ doneOn, life }) => ({ on: civilDate(doneOn), life }));
    const { entry } = scheduled.facts;
    const wrong = paperFaults(typed, await knownOf(scheduled, site.timeZone), entry, today);
    const faults = [
      ...wrong.map(({ place, fault: why }) =>
        fault(
          `/rows/${place}/${why.code === 'future' || why.code === 'beforeService' ? 'doneOn' : 'life'}`,
          why.code,
          paperFaultWords(why),
        ),
      ),
      ...rows.flatMap(({ itemIds }, row) =>
        itemIds.flatMap((id, at) =>
          items.has(id)
            ? []
            : [fault(`/rows/${row}/itemIds/${at}`, 'unknown', 'The machine has no such line (any more).')],
        ),
      ),
    ];
    if (faults.length) throw fieldProblem(...faults);
  }
}

/** Readings and records of a machine, as days with their life hours, in order of time. */
async function knownOf({ machine, facts }: ScheduledMachine, timeZone: string): Promise<KnownLife[]> {
  const jobs = await Job.findAll({
    where: { machineId: machine.id, state: 'signedOff', kind: ['paper', 'visit'] },
    attributes: ['doneOn', 'life'],
    raw: true,
  });
  const recorded = jobs.flatMap(({ doneOn, life }) =>
    doneOn === null || life === null ? [] : [{ on: civilDate(doneOn), life }],
  );
  const read = toLife(facts.readings, facts.segments).map(({ at, life }) => ({
    on: civilDateAt(at, timeZone),
    life,
  }));
  return [...read, ...recorded].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.life - b.life));
}
