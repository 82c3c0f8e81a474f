import { Injectable } from '@nestjs/common';
import type { KeepWalkDto, NotWellDto, WalkDto, WalkKeptDto } from '@yugator/contracts';
import { standingLooks } from '@yugator/core';
import type { CivilDate } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Defects } from '../defect/defects.js';
import { expectedShown } from '../meter/toRoundMeter.js';
import { Meters } from '../meter/meters.js';
import { Job, JobItem } from '../models/job.model.js';
import { keepNames } from '../models/keepNames.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound, Problem } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { answersByPlace } from '../schedule/roundAnswers.js';
import { toDueLines } from '../schedule/toDueLine.js';
import { SiteCalendar } from '../site/siteCalendar.js';

/** Walks round the machines: a figure, a look, and everyday work, without a job. */
@Injectable()
export class Walks {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly meters: Meters,
    private readonly defects: Defects,
  ) {}

  /** What a walk round a machine looks at today. */
  async read(machineId: string): Promise<WalkDto> {
    const { today } = await this.calendar.read();
    const scheduled = await this.schedule.readOne(machineId);
    if (!scheduled) throw notFound('machine');
    const { machine, schedule } = scheduled;
    const waiting = new Set(answersByPlace(scheduled, today).waiting.map(({ item }) => item.id));
    return {
      machine: { id: machine.id, tag: machine.tag, name: machine.name },
      machineClass: machine.machineClass,
      lastShown: schedule.lastReading?.shown ?? null,
      expectedShown: expectedShown(schedule.meters.engine, today),
      lines: toDueLines(scheduled).filter(({ itemId }) => waiting.has(itemId)),
    };
  }

  /** Keeps a walk round: its reading, what was done, its record and the defects that it found are written together, or none of them. */
  async keep(machineId: string, fields: KeepWalkDto, caller: Person): Promise<WalkKeptDto> {
    const { now, today } = await this.calendar.read();
    return this.work.run(async () => {
      await this.meters.lock([machineId]);
      const scheduled = await this.schedule.readOne(machineId);
      if (!scheduled) throw notFound('machine');
      if (scheduled.machine.status === 'retired')
        throw new Problem(
          409,
          'Retired',
          `${scheduled.machine.tag} is retired. Put it back into service first.`,
        );
      checkLines(scheduled, fields, today);
      const { row, life } = await this.meters.enter(
        scheduled,
        { at: now, shown: fields.shown },
        'round',
        caller,
        '',
      );
      const jobId = uuid();
      const signed = { doneById: caller.id, signedOffById: caller.id, openedById: caller.id };
      await Job.create({
        ...signed,
        id: jobId,
        machineId,
        kind: 'round',
        state: 'signedOff',
        openedAt: new Date(now),
        signedOffAt: new Date(now),
        doneOn: today,
        life,
        shown: fields.shown,
        minutes: 0,
        readingId: row.id,
        note: '',
        version: 1,
      });
      await JobItem.bulkCreate(
        fields.itemIds.map((itemId) => ({ jobId, itemId, outcome: 'done' as const, version: 1 })),
      );
      await keepNames(jobId);
      for (const found of fields.notWell) await this.takeDown(found, { machineId, jobId, today }, caller);
      await this.schedule.touched([machineId]);
      this.work.changed('jobs', 'readings');
      return { jobId, defects: await this.defects.open(machineId) };
    });
  }

  private async takeDown(
    { itemId = null, words, severity }: NotWellDto,
    { machineId, jobId, today }: { machineId: string; jobId: string; today: CivilDate },
    caller: Person,
  ): Promise<void> {
    const where = { machineId, itemId, foundInJobId: jobId, foundOn: today };
    await this.defects.add({ ...where, words, severity }, caller);
  }
}

/** Refuses lines that are no everyday work of the machine, and looks that its class has not. */
function checkLines(scheduled: ScheduledMachine, { itemIds, notWell }: KeepWalkDto, today: CivilDate): void {
  const known = new Set(answersByPlace(scheduled, today).walk.map(({ item }) => item.id));
  const looks = new Set(standingLooks(scheduled.machine.machineClass).map(({ key }) => key));
  const gone = 'This is no everyday work of the machine (any more). Leave it out and keep the walk again.';
  const bad = new Set(notWell.flatMap(({ itemId }) => itemId ?? []));
  const faults = [
    ...itemIds.flatMap((id, at) => (known.has(id) ? [] : [fault(`/itemIds/${at}`, 'unknown', gone)])),
    ...itemIds.flatMap((id, at) =>
      bad.has(id) ? [fault(`/itemIds/${at}`, 'notWell', 'A line is done, or it is not well: not both.')] : [],
    ),
    ...notWell.flatMap(({ itemId, look }, at) => [
      ...(itemId && !known.has(itemId) ? [fault(`/notWell/${at}/itemId`, 'unknown', gone)] : []),
      ...(look && !looks.has(look)
        ? [fault(`/notWell/${at}/look`, 'unknown', 'Machines of this class have nothing like that.')]
        : []),
    ]),
  ];
  if (faults.length) throw fieldProblem(...faults);
}
